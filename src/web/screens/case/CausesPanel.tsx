import { caseTexts } from '../../texts/caseTexts.ts';
import { commonTexts } from '../../texts/commonTexts.ts';
import { useState } from 'react';
import { styled } from 'styled-components';
import type { ConsultResponse } from '../../../contracts/consult.ts';
import type { Problem } from '../../../contracts/problem.ts';
import { Notice } from '../../kit/Notice.tsx';
import { CauseRow, Weights } from './CauseRow.tsx';
import { Column, ColumnTitle, Quietly } from './common/layout.ts';
import { midSentence } from '../../../wording/midSentence.ts';

const Rows = styled.ol`
  border-top: 2px solid var(--ink);
`;

interface CausesPanelProps {
  readonly answer: ConsultResponse | null;
  /** Ranking without one piece of evidence, while it is pointed at. */
  readonly without: ConsultResponse | null;
  /** Why there is no newer answer. */
  readonly problem: Problem | null;
}

const CAUSES_LISTED = 5;

/** Pseudo-causes that are always in the list. */
function always(answer: ConsultResponse) {
  return [
    { id: 'nothing-wrong', name: caseTexts.nothingWrong, probability: answer.nothingWrong },
    { id: 'not-in-library', name: caseTexts.notInOurLibrary, probability: answer.unexplained },
  ];
}

const Aside = styled.div`
  padding: 10px 4px;
  font-size: 14px;
  display: grid;
  gap: 6px;
  & h3 {
    font-size: 14px;
  }
`;

/** Where two causes together lead: what both explain that one alone does not. */
function Together({ pair }: { readonly pair: ConsultResponse['pair'] }) {
  if (pair.length === 0) return null;
  return (
    <Aside>
      <h3>
        {caseTexts.twoAtOnce} {pair.map(({ name }) => name).join(' with ')}
      </h3>
      {pair.map(({ alone, name, arguments: list }) => (
        <Weights key={alone} title={caseTexts.ratherThanAlone(midSentence(name))} list={list} />
      ))}
    </Aside>
  );
}

/** The fewest answers after which another cause would lead. */
function WouldChange({ change }: { readonly change: ConsultResponse['wouldChange'] }) {
  if (!change) return null;
  return (
    <Aside>
      <h3>{caseTexts.whatWouldChangeThis}</h3>
      <p>
        {change.leader.name} {caseTexts.wouldLeadIf}
      </p>
      <ul>
        {change.turns.map(({ finding, label, value, takesBack }) => (
          <li key={finding}>
            {value ? caseTexts.isTrue : caseTexts.notSo}
            {label}
            {takesBack && caseTexts.againstWhatWasSaid}
          </li>
        ))}
      </ul>
    </Aside>
  );
}

/** The causes by their share, always with "nothing wrong" and "not in our library". */
export function CausesPanel({ answer, without, problem }: CausesPanelProps) {
  const [open, setOpen] = useState<string | null>(null);
  const shown = without ?? answer;
  const leading = answer?.causes[0]?.id ?? null;
  const show = (id: string) => () => setOpen(id);
  return (
    <Column aria-label={commonTexts.causes}>
      <ColumnTitle>
        {commonTexts.causes}{' '}
        <Quietly>{without ? caseTexts.standingWithout : caseTexts.shareNotProof}</Quietly>
      </ColumnTitle>
      {problem && (
        <Notice tone="caution">
          {problem.message} {problem.cure}
        </Notice>
      )}
      {!shown && !problem && <Notice>{caseTexts.loadingTheLibrary}</Notice>}
      {shown && shown.plant === null && shown.heard.length === 0 ? (
        <Notice>{caseTexts.nothingToWeigh}</Notice>
      ) : null}
      {shown && (shown.plant !== null || shown.heard.length > 0) && (
        <Rows>
          {shown.causes.slice(0, CAUSES_LISTED).map((cause) => (
            <CauseRow
              key={cause.id}
              name={cause.name}
              probability={cause.probability}
              cause={cause}
              open={(open ?? leading) === cause.id}
              onToggle={show((open ?? leading) === cause.id ? '' : cause.id)}
            />
          ))}
          {always(shown).map(({ id, name, probability }) => (
            <CauseRow
              key={id}
              name={name}
              probability={probability}
              cause={null}
              open={false}
              onToggle={null}
            />
          ))}
        </Rows>
      )}
      {shown && <Together pair={shown.pair} />}
      {shown && <WouldChange change={shown.wouldChange} />}
    </Column>
  );
}
