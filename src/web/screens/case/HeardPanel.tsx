import { caseTexts } from '../../texts/caseTexts.ts';
import { useEffect, useRef, type KeyboardEvent } from 'react';
import { styled } from 'styled-components';
import type { CasePlant } from '../../../contracts/cases.ts';
import { MAX_CHARACTERS, type ConsultResponse } from '../../../contracts/consult.ts';
import { newId } from '../../../contracts/ids.ts';
import { Button } from '../../kit/Button.tsx';
import { Key } from '../../kit/Key.tsx';
import { useKeys } from '../../kit/useKeys.ts';
import { listEvidence, type Evidence } from './evidence.ts';
import { Column, ColumnTitle, Quietly } from './common/layout.ts';
import { MarkedText, type Mark } from './MarkedText.tsx';
import { PART_WORDS } from './partWords.ts';
import { SeveralPlants } from './SeveralPlants.tsx';
import { useEditsBetween, useRecordEvent, useTyping } from './common/useCase.ts';

const Part = styled.h3`
  font-size: 13px;
  font-weight: 500;
  color: var(--quiet);
  padding: 8px 0 2px;
`;
const Item = styled.li`
  display: flex;
  align-items: center;
  gap: 0;
  & button {
    padding: 2px 5px;
  }
  padding: 3px 0;
  border-top: 1px solid var(--hairline);
  & > span {
    flex: 1;
    font-size: 14px;
    line-height: 1.3;
  }
  &[data-state='dropped'] > span {
    color: var(--quiet);
    text-decoration: line-through;
  }
`;
const AddRow = styled.div`
  display: flex;
  align-items: center;
  gap: 8px;
  padding-top: 6px;
`;
const Sign = styled.b`
  font-family: var(--figures);
  font-weight: 500;
  display: inline-block;
  flex: none;
  width: 4.1em;
  font-size: 13px;
`;

const HEADINGS: Readonly<Record<string, string>> = { ...PART_WORDS, answered: caseTexts.answered };
const STATE_WORDS = {
  said: 'yes',
  denied: 'no',
  doubted: 'unsure',
  dropped: caseTexts.leftOut,
} as const;

function byPart(list: readonly Evidence[]): [string, Evidence[]][] {
  const parts = new Map<string, Evidence[]>();
  for (const one of list) parts.set(one.part, [...(parts.get(one.part) ?? []), one]);
  const order = Object.keys(HEADINGS);
  return [...parts].sort(([a], [b]) => order.indexOf(a) - order.indexOf(b));
}

/** The rows of what was understood, in the order of the page. */
const rows = (): HTMLElement[] => [...document.querySelectorAll<HTMLElement>('[data-heard]')];

function focusRow(row: HTMLElement | undefined): void {
  row?.querySelector('button')?.focus();
}

function EvidenceItem({ plant, one }: { readonly plant: CasePlant; readonly one: Evidence }) {
  const happen = useRecordEvent();
  const { finding, label, state, byHand } = one;
  const set = (value: boolean | 'unknown', sure: number) => () =>
    void happen({
      kind: 'answer-given',
      plantId: plant.id,
      answer: { id: newId(), finding, value, sure },
    });
  const undo = (): void => {
    const given = plant.answers.find((answer) => answer.finding === finding);
    if (given) happen({ kind: 'answer-withdrawn', plantId: plant.id, answerId: given.id });
  };
  const item = useRef<HTMLLIElement>(null);
  const keyed = useRef(false);
  useEffect(() => {
    // The buttons of the row change with what is known of it, and take the focus with them.
    if (keyed.current) focusRow(item.current ?? undefined);
    keyed.current = false;
  }, [state, byHand]);
  const move = (row: HTMLElement, by: number): void => {
    const all = rows();
    focusRow(all[all.indexOf(row) + by]);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLElement>): void => {
    const row = event.currentTarget;
    const turns: Readonly<Record<string, () => void>> = {
      y: set(true, 0.9),
      n: set(false, 0.9),
      u: set(state !== 'denied', 0.4),
      delete: set('unknown', 1),
      backspace: byHand ? undo : set('unknown', 1),
    };
    const moves: Readonly<Record<string, () => void>> = {
      arrowdown: () => move(row, 1),
      arrowup: () => move(row, -1),
    };
    const key = event.key.toLowerCase();
    const action = turns[key] ?? moves[key];
    if (!action || event.altKey || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    keyed.current = key in turns;
    action();
  };
  return (
    <Item ref={item} data-state={state} data-heard onKeyDown={onKeyDown}>
      <Sign>{STATE_WORDS[state]}</Sign>
      <span>{label}</span>
      {byHand ? (
        <Button kind="quiet" keepsFocus onPress={undo} aria-label={caseTexts.undoFinding(label)}>
          {caseTexts.undo}
        </Button>
      ) : (
        <>
          <Button
            kind="quiet"
            keepsFocus
            onPress={set(state === 'denied', 0.9)}
            aria-label={caseTexts.turnRound(
              state === 'denied' ? caseTexts.yes : caseTexts.no,
              label,
            )}
          >
            {state === 'denied' ? caseTexts.yes : caseTexts.no}
          </Button>
          <Button
            kind="quiet"
            keepsFocus
            onPress={set(state !== 'denied', 0.4)}
            aria-label={caseTexts.notSure(label)}
          >
            {caseTexts.unsure}
          </Button>
          <Button
            kind="quiet"
            keepsFocus
            onPress={set('unknown', 1)}
            aria-label={caseTexts.leaveOut(label)}
          >
            {caseTexts.drop}
          </Button>
        </>
      )}
    </Item>
  );
}

const overlap = (a: Mark, b: Mark): boolean => a.start < b.end && b.start < a.end;

function marksOf(plant: CasePlant, answer: ConsultResponse | null): readonly Mark[] {
  if (!answer) return [];
  const states = new Map(listEvidence(plant, answer).map(({ finding, state }) => [finding, state]));
  const marks = answer.heard.flatMap(({ finding, span: [start, end] }): Mark[] => {
    const state = states.get(finding) ?? 'said';
    return state === 'dropped' ? [] : [{ start, end, tone: state }];
  });
  const values = answer.amounts.map(({ span: [start, end] }): Mark => ({
    start,
    end,
    tone: 'value',
  }));
  return [...marks, ...values.filter((one) => !marks.some((other) => overlap(one, other)))];
}

/** Values that were said, as they were understood. */
function Amounts({ amounts }: { readonly amounts: ConsultResponse['amounts'] }) {
  if (amounts.length === 0) return null;
  return (
    <>
      <Part>{caseTexts.whenAndHowMuch}</Part>
      <ul>
        {amounts.map(({ text, span: [start] }) => (
          <Item key={start}>
            <span>{text}</span>
          </Item>
        ))}
      </ul>
    </>
  );
}

interface HeardPanelProps {
  readonly plant: CasePlant;
  readonly answer: ConsultResponse | null;
  /** Opens the search for a finding, for the words that are selected in the text. */
  readonly onAdd: () => void;
}

/** The enquirer's words, what was understood of them, and one press to correct it. */
export function HeardPanel({ plant, answer, onAdd }: HeardPanelProps) {
  const type = useTyping(plant.id);
  const editsBetween = useEditsBetween(plant.id);
  const list = answer ? listEvidence(plant, answer) : [];
  useKeys({ 'alt+h': () => focusRow(rows()[0]) });
  return (
    <Column aria-label={caseTexts.heard}>
      <ColumnTitle>
        {caseTexts.heard}{' '}
        <Quietly>
          {list.length === 0 ? caseTexts.nothingUnderstoodYet : caseTexts.understood(list.length)}
        </Quietly>
        <Key>Alt W</Key>
      </ColumnTitle>
      <MarkedText
        label={caseTexts.theEnquirersWords}
        value={plant.words}
        marks={marksOf(plant, answer)}
        max={MAX_CHARACTERS}
        onType={type}
        editsBetween={editsBetween}
      />
      <SeveralPlants plant={plant} answer={answer} />
      <AddRow>
        <Button kind="quiet" onPress={onAdd}>
          {caseTexts.addAFinding} <Key>Alt S</Key>
        </Button>
        <Quietly>{caseTexts.markWordsFirst}</Quietly>
      </AddRow>
      {list.length > 0 && (
        <Quietly>
          <Key>Alt H</Key> {caseTexts.thenKeys}
        </Quietly>
      )}
      {byPart(list).map(([part, items]) => (
        <div key={part}>
          <Part>{HEADINGS[part] ?? part}</Part>
          <ul>
            {items.map((one) => (
              <EvidenceItem key={one.finding} plant={plant} one={one} />
            ))}
          </ul>
        </div>
      ))}
      <Amounts amounts={answer?.amounts ?? []} />
    </Column>
  );
}
