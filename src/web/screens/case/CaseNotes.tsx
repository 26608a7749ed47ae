import { caseTexts } from '../../texts/caseTexts.ts';
import { commonTexts } from '../../texts/commonTexts.ts';
import { handoverTexts } from '../../texts/handoverTexts.ts';
import { followTexts } from '../../texts/followTexts.ts';
import { sampleTexts } from '../../texts/sampleTexts.ts';
import { styled } from 'styled-components';
import type { CaseRecord, Conflict } from '../../../contracts/cases.ts';
import { sampleNumber } from '../../../contracts/samples.ts';
import { Button } from '../../kit/Button.tsx';
import type { RefusedEvent } from '../../store/cases/caseEntity.ts';
import { refusedDropped } from '../../store/cases/casesSlice.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { restoreEvent } from './restoreEvent.ts';
import { tabTitle } from './tabTitle.ts';
import { useCaseId, useRecordEvent } from './common/useCase.ts';

const Area = styled.section`
  max-height: 30vh;
  overflow: auto;
  background: var(--ochre-wash);
  border-bottom: 1px solid var(--hairline);
  & li {
    display: flex;
    align-items: baseline;
    gap: 10px;
    padding: 5px 16px;
    border-top: 1px solid var(--hairline);
    font-size: 14px;
  }
  & li:first-child {
    border-top: 0;
  }
  & p {
    flex: 1;
    min-width: 0;
    overflow-wrap: anywhere;
  }
`;

const FIELD_WORDS: Readonly<Record<Conflict['field'], string>> = {
  words: caseTexts.words,
  plant: commonTexts.plant,
  date: commonTexts.day,
  place: caseTexts.place,
  approach: caseTexts.approach,
  answer: caseTexts.answer,
  outcome: caseTexts.whatItProvedToBe,
  harvest: caseTexts.harvest,
  label: caseTexts.label,
  seen: caseTexts.daySeen,
  dates: caseTexts.keptDates,
  channel: caseTexts.came,
  name: caseTexts.name,
  contact: caseTexts.howToReachThem,
  'call-back': commonTexts.callBack,
  status: commonTexts.state,
  'follow-up': followTexts.went,
  sample: sampleTexts.samples,
  consent: caseTexts.consent,
  assignee: handoverTexts.assignee,
};

const shown = (value: string): string =>
  value === 'null' || value === '' ? 'nothing' : `“${value}”`;

/** What was set twice at once: both values, and which one holds. */
function ConflictItem({
  conflict,
  about,
}: {
  readonly conflict: Conflict;
  readonly about: string;
}) {
  const happen = useRecordEvent();
  const { id, field, kept, other, otherBy } = conflict;
  const settle = (): void => void happen({ kind: 'conflict-settled', conflictId: id });
  const restore = restoreEvent(conflict);
  const what = `${FIELD_WORDS[field]}${about}`;
  return (
    <li>
      <p>
        <b>{what}:</b>{' '}
        {field === 'words'
          ? caseTexts.bothWordsStand(otherBy, shown(other), shown(kept))
          : caseTexts.holdsOver(shown(kept), otherBy, shown(other))}
      </p>
      {restore && (
        <Button
          kind="quiet"
          aria-label={caseTexts.chooseTheOther(what, shown(other))}
          onPress={() => {
            happen(restore);
            settle();
          }}
        >
          {caseTexts.take} {shown(other.length > 24 ? `${other.slice(0, 24)}…` : other)}
        </Button>
      )}
      <Button kind="quiet" aria-label={caseTexts.leaveAs(what)} onPress={settle}>
        {caseTexts.leaveAsItIs}
      </Button>
    </li>
  );
}

/** The words of a change that was not accepted, so that they can be copied. */
function wordsOf({ event }: RefusedEvent): string {
  switch (event.kind) {
    case 'words-edited':
      return event.edits
        .map(({ insert }) => insert)
        .join(' ')
        .trim();
    case 'enquirer-set':
      return `${event.name ?? ''} ${event.contact ?? ''}`.trim();
    default:
      return '';
  }
}

function RefusedItem({ refused }: { readonly refused: RefusedEvent }) {
  const dispatch = useAppDispatch();
  const caseId = useCaseId();
  const { id, problem } = refused;
  const words = wordsOf(refused);
  return (
    <li>
      <p>
        <b>{caseTexts.notAccepted}</b> {problem.message} {problem.cure}
        {words !== '' && (
          <span>
            {' '}
            {caseTexts.yourWords}
            {words}”
          </span>
        )}
      </p>
      {words !== '' && (
        <Button kind="quiet" onPress={() => void navigator.clipboard.writeText(words)}>
          {caseTexts.copy}
        </Button>
      )}
      <Button kind="quiet" onPress={() => void dispatch(refusedDropped({ caseId, id }))}>
        {caseTexts.letItGo}
      </Button>
    </li>
  );
}

/** What a conflict is about: the number of a sample and its field, what was agreed to, or an id as words. */
function aboutInWords(field: Conflict['field'], about: string, caseNumber: number): string {
  if (field === 'consent') return CONSENT_WORDS[about] ?? about;
  if (field !== 'sample') return about.replaceAll('-', ' ');
  const [id = '', part = ''] = about.split(' ');
  return `${sampleNumber(caseNumber, { id })}, ${SAMPLE_PARTS[part] ?? part}`;
}
const CONSENT_WORDS: Readonly<Record<string, string>> = {
  callBack: followTexts.mayCall,
  photographs: followTexts.mayKeepPictures,
};
const SAMPLE_PARTS: Readonly<Record<string, string>> = {
  sentOn: sampleTexts.sentOn,
  laboratory: sampleTexts.laboratory,
  dueOn: sampleTexts.dueOn,
  cost: sampleTexts.cost,
  result: sampleTexts.result,
};

/** What needs a look: values that were set twice at once, and changes that the server did not take. */
export function CaseNotes({ record }: { readonly record: CaseRecord }) {
  const refused = useAppSelector((state) => state.cases.byId[record.id]?.refused ?? NONE);
  const { conflicts, plants } = record;
  if (conflicts.length + refused.length === 0) return null;
  const aboutOf = ({ field, plantId, about }: Conflict): string => {
    const at = plants.findIndex(({ id }) => id === plantId);
    const plant = plants[at];
    const which =
      plant && plants.length > 1
        ? caseTexts.ofPlant(tabTitle({ ...plant, name: plant.name.trim() || null, position: at }))
        : '';
    return `${about === null ? '' : ` ${aboutInWords(field, about, record.number)}`}${which}`;
  };
  return (
    <Area aria-label={caseTexts.toBeLookedAt} tabIndex={0}>
      <ul>
        {refused.map((one) => (
          <RefusedItem key={one.id} refused={one} />
        ))}
        {conflicts.map((one) => (
          <ConflictItem key={one.id} conflict={one} about={aboutOf(one)} />
        ))}
      </ul>
    </Area>
  );
}

const NONE: readonly RefusedEvent[] = [];
