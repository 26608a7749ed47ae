import { caseTexts } from '../../texts/caseTexts.ts';
import { labelTexts } from '../../texts/labelTexts.ts';
import { followTexts } from '../../texts/followTexts.ts';
import { sampleTexts } from '../../texts/sampleTexts.ts';
import { sheetTexts } from '../../texts/sheetTexts.ts';
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
  ['Alt W', caseTexts.goToTheWords],
  ['Alt S', caseTexts.addFindingKey],
  ['Alt H', caseTexts.goToFindings],
  ['Alt Y', caseTexts.yesToTheFirstQuestion],
  ['Alt N', caseTexts.noToTheFirstQuestion],
  ['Alt U', caseTexts.cannotTell],
  ['Alt 0', caseTexts.noneOfTheLook],
  ['Alt T', caseTexts.goToDates],
  ['Alt L', sheetTexts.key],
  ['Alt R', labelTexts.key],
  ['Alt M', sampleTexts.key],
  ['Alt O', followTexts.key],
  ['Alt G', caseTexts.urgentKey],
  ['Alt P', caseTexts.addAnotherPlant],
  ['Alt D', caseTexts.backToTheDesk],
  ['?', caseTexts.thisList],
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
          <Heading slot="title">{caseTexts.keys}</Heading>
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
          <Button onPress={onClose}>{caseTexts.close}</Button>
        </Dialog>
      </Sheet>
    </Over>
  );
}
