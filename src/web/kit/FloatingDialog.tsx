import type { ReactNode } from 'react';
import { Dialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import { styled } from 'styled-components';

/** Covers the page below a dialog. */
export const Veil = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  z-index: 2;
  display: grid;
  place-items: center;
  background: rgb(10 30 36 / 0.5);
`;
/** The surface of a dialog; `$width` in pixels, as far as the window allows. */
export const Sheet = styled(Modal)<{ $width?: number }>`
  width: min(${({ $width = 440 }) => $width}px, 94vw);
  max-height: 94vh;
  overflow: auto;
  padding: 20px 24px;
  background: var(--surface);
  border: 1px solid var(--hairline);
  border-radius: 4px;
  & h2 {
    font-size: 20px;
  }
`;

interface FloatingDialogProps {
  readonly title: string;
  readonly open: boolean;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/** A dialog over the page; Escape and a press beside it close it. */
export function FloatingDialog({ title, open, onClose, children }: FloatingDialogProps) {
  return (
    <Veil isOpen={open} onOpenChange={(is) => !is && onClose()} isDismissable>
      <Sheet>
        <Dialog>
          <Heading slot="title">{title}</Heading>
          {children}
        </Dialog>
      </Sheet>
    </Veil>
  );
}
