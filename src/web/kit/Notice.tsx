import type { ReactNode } from 'react';
import { styled } from 'styled-components';

const Frame = styled.div<{ $tone: 'calm' | 'caution' }>`
  padding: 10px 12px;
  border-left: 4px solid ${({ $tone }) => ($tone === 'calm' ? 'var(--teal)' : 'var(--ochre)')};
  background: ${({ $tone }) => ($tone === 'calm' ? 'var(--sunk)' : 'var(--ochre-wash)')};
`;

interface NoticeProps {
  readonly tone?: 'calm' | 'caution';
  readonly children: ReactNode;
}

/** A few words about the state of things: empty, waiting, or something to mind. */
export function Notice({ tone = 'calm', children }: NoticeProps) {
  return (
    <Frame $tone={tone} role={tone === 'caution' ? 'alert' : 'status'}>
      {children}
    </Frame>
  );
}
