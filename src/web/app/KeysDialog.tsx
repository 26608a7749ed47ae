import { appTexts } from '../texts/appTexts.ts';
import { caseTexts } from '../texts/caseTexts.ts';
import { deskTexts } from '../texts/deskTexts.ts';
import { libraryTexts } from '../texts/libraryTexts.ts';
import { labelTexts } from '../texts/labelTexts.ts';
import { finishTexts } from '../texts/finishTexts.ts';
import { followTexts } from '../texts/followTexts.ts';
import { sampleTexts } from '../texts/sampleTexts.ts';
import { sheetTexts } from '../texts/sheetTexts.ts';
import { styled } from 'styled-components';
import { Button } from '../kit/Button.tsx';
import { FloatingDialog } from '../kit/FloatingDialog.tsx';
import { Key } from '../kit/Key.tsx';

const List = styled.dl`
  display: grid;
  grid-template-columns: 96px 1fr;
  gap: 8px;
  padding: 12px 0;
`;

type Keys = readonly (readonly [key: string, does: string])[];

const EVERYWHERE: Keys = [
  ['Alt D', caseTexts.backToTheDesk],
  ['Esc', appTexts.escape],
  ['?', caseTexts.thisList],
];
const ON_THE_DESK: Keys = [
  ['N', deskTexts.takeANewEnquiry],
  ['W', deskTexts.takeAtTheDesk],
  ['E', deskTexts.takeByEmail],
  ['T', deskTexts.takeByText],
];
const IN_THE_LIBRARY: Keys = [['/', libraryTexts.searchTheLibrary]];
const IN_A_CASE: Keys = [
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
  ['Alt F', finishTexts.key],
];

/** The keys of a page, those of the page itself first. */
function keysAt(pathname: string): Keys {
  const own = pathname.startsWith('/case/')
    ? IN_A_CASE
    : pathname.startsWith('/library')
      ? IN_THE_LIBRARY
      : pathname === '/'
        ? ON_THE_DESK
        : [];
  return [...own, ...EVERYWHERE];
}

interface KeysDialogProps {
  readonly pathname: string;
  readonly open: boolean;
  readonly onClose: () => void;
}

/** The keys of the page that is shown. */
export function KeysDialog({ pathname, open, onClose }: KeysDialogProps) {
  return (
    <FloatingDialog title={caseTexts.keys} open={open} onClose={onClose}>
      <List>
        {keysAt(pathname).map(([key, does]) => (
          <div key={key} style={{ display: 'contents' }}>
            <dt>
              <Key>{key}</Key>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </List>
      <Button onPress={onClose}>{caseTexts.close}</Button>
    </FloatingDialog>
  );
}
