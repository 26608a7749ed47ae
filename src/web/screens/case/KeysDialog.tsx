import { Dialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import { styled } from 'styled-components';
import { Button } from '../../kit/Button.tsx';
import { Key } from '../../kit/Key.tsx';

const Over = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  display: grid;
  place-items: center;
  background: rgb(10 30 36 / 0.5);
`;
const Sheet = styled(Modal)`
  background: var(--surface);
  border: 1px solid var(--hairline);
  border-radius: 4px;
  padding: 20px 24px;
  min-width: 380px;
  & dl {
    display: grid;
    grid-template-columns: 96px 1fr;
    gap: 8px;
    padding: 12px 0;
  }
`;

const KEYS = [
  ['Alt W', 'Go to the words'],
  ['Alt S', 'Add a finding; words marked in the text are tied to it'],
  ['Alt H', 'Go to what was understood: Y, N, U or Del on a row, arrows to the next'],
  ['Alt Y', 'Yes to the first question'],
  ['Alt N', 'No to the first question'],
  ['Alt U', 'Cannot tell'],
  ['Alt T', 'The dates of the plan, and back to the causes'],
  ['Alt P', 'Add another plant to this call'],
  ['Alt D', 'Back to the Desk'],
  ['?', 'This list, when nothing is being typed'],
] as const;

/** The keys of the case page. */
export function KeysDialog({
  open,
  onClose,
}: {
  readonly open: boolean;
  readonly onClose: () => void;
}) {
  return (
    <Over isOpen={open} onOpenChange={(is) => !is && onClose()} isDismissable>
      <Sheet>
        <Dialog>
          <Heading slot="title">Keys</Heading>
          <dl>
            {KEYS.map(([key, does]) => (
              <div key={key} style={{ display: 'contents' }}>
                <dt>
                  <Key>{key}</Key>
                </dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
          <Button onPress={onClose}>Close</Button>
        </Dialog>
      </Sheet>
    </Over>
  );
}
