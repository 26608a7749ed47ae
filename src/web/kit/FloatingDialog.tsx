import type { ReactNode } from 'react';
import { Dialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import { styled } from 'styled-components';

const Over = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  display: grid;
  place-items: center;
  background: rgb(10 30 36 / 0.5);
`;
const Sheet = styled(Modal)`
  width: min(440px, 94vw);
  max-height: 94vh;
  overflow: auto;
  padding: 20px 24px;
  background: var(--surface);
  border: 1px solid var(--hairline);
  border-radius: 4px;
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
    <Over isOpen={open} onOpenChange={(is) => !is && onClose()} isDismissable>
      <Sheet>
        <Dialog>
          <Heading slot="title">{title}</Heading>
          {children}
        </Dialog>
      </Sheet>
    </Over>
  );
}
