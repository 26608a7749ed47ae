import type { ReactNode } from 'react';
import { styled } from 'styled-components';
import { Button } from '../../../kit/Button.tsx';
import { Key } from '../../../kit/Key.tsx';
import { caseTexts } from '../../../texts/caseTexts.ts';
import { Column, ColumnTitle } from './layout.ts';

const Wide = styled(Column)<{ $onGround: boolean }>`
  grid-column: 3 / -1;
  ${({ $onGround }) => $onGround && 'background: var(--ground);'}
`;

interface WidePanelProps {
  readonly title: string;
  /** Keys that open and leave it. */
  readonly chord: string;
  readonly onClose: () => void;
  /** Shows its content as a paper on the ground of the page. */
  readonly onGround?: boolean;
  readonly children: ReactNode;
}

/** What stands in place of the causes and the plan for a while: dates, a label, the sheet. */
export function WidePanel({ title, chord, onClose, onGround = false, children }: WidePanelProps) {
  return (
    <Wide aria-label={title} $onGround={onGround}>
      <ColumnTitle>
        {title}
        <Button kind="quiet" onPress={onClose}>
          {caseTexts.backToTheCauses} <Key>{chord}</Key>
        </Button>
      </ColumnTitle>
      {children}
    </Wide>
  );
}
