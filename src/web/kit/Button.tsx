import { Button as AriaButton, type ButtonProps as AriaButtonProps } from 'react-aria-components';
import { styled } from 'styled-components';

/** `main` is the one thing to do here; `plain` the others; `quiet` small ones inside a row. */
export type ButtonKind = 'main' | 'plain' | 'quiet';

interface ButtonProps extends AriaButtonProps {
  readonly kind?: ButtonKind;
  /** A mouse press leaves the focus where it is, for example in the text box somebody types in. */
  readonly keepsFocus?: boolean;
}

const Base = styled(AriaButton)`
  display: inline-flex;
  align-items: center;
  gap: 8px;
  border-radius: 3px;
  font: inherit;
  cursor: pointer;
  white-space: nowrap;
  &[data-disabled] {
    opacity: 0.55;
    cursor: default;
  }
`;

const Main = styled(Base)`
  padding: 7px 14px;
  border: 1px solid var(--teal);
  background: var(--teal);
  color: var(--on-teal);
  font-weight: 600;
`;

const Plain = styled(Base)`
  padding: 6px 12px;
  border: 1px solid var(--teal);
  background: var(--surface);
  color: var(--teal);
  font-weight: 600;
  &[data-hovered] {
    background: var(--teal-wash);
  }
`;

const Quiet = styled(Base)`
  padding: 2px 7px;
  min-height: 26px;
  border: 1px solid transparent;
  background: transparent;
  color: var(--teal);
  font-size: 13px;
  &[data-hovered] {
    border-color: var(--hairline);
  }
`;

const LOOKS = { main: Main, plain: Plain, quiet: Quiet } as const;

/** A button in one of the three looks of the kit. */
export function Button({ kind = 'plain', keepsFocus = false, ...props }: ButtonProps) {
  const Look = LOOKS[kind];
  return <Look {...props} preventFocusOnPress={keepsFocus} />;
}
