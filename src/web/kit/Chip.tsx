import { kitTexts } from '../texts/kitTexts.ts';
import type { ReactNode } from 'react';
import { Button, Dialog, DialogTrigger, Popover } from 'react-aria-components';
import { styled } from 'styled-components';

const Face = styled(Button)`
  display: inline-flex;
  gap: 6px;
  align-items: baseline;
  max-width: 260px;
  padding: 4px 8px;
  border: 0;
  border-right: 1px solid var(--hairline);
  background: transparent;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
  &[data-hovered] {
    background: var(--teal-wash);
  }
`;
const Name = styled.span`
  color: var(--quiet);
  font-size: 13px;
`;
const Value = styled.span`
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  font-weight: 600;
`;
const Floating = styled(Popover)`
  background: var(--surface);
  border: 1px solid var(--hairline);
  border-radius: 4px;
  box-shadow: 0 4px 18px rgb(0 0 0 / 0.18);
  padding: 14px;
  min-width: 260px;
`;

interface ChipProps {
  readonly name: string;
  readonly value: string;
  /** What opens in place to change the value; it is told how to close. */
  readonly children: (close: () => void) => ReactNode;
}

/** A fact of the strip that opens in place to be changed. */
export function Chip({ name, value, children }: ChipProps) {
  return (
    <DialogTrigger>
      <Face aria-label={kitTexts.changeValue(name, value)}>
        <Name>{name}</Name>
        <Value>{value}</Value>
      </Face>
      <Floating placement="bottom start">
        <Dialog aria-label={name}>{({ close }) => children(close)}</Dialog>
      </Floating>
    </DialogTrigger>
  );
}
