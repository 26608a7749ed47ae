import { caseTexts } from '../../texts/caseTexts.ts';
import { commonTexts } from '../../texts/commonTexts.ts';
import { Button } from 'react-aria-components';
import { Link } from 'react-router';
import { styled } from 'styled-components';
import type { ConsultResponse } from '../../../contracts/consult.ts';
import { strengthInWords } from './strength.ts';
import { midSentence } from '../../../wording/midSentence.ts';

type Cause = ConsultResponse['causes'][number];

const Row = styled.li`
  border-bottom: 1px solid var(--hairline);
`;
const Face = styled(Button)`
  display: grid;
  grid-template-columns: 1fr 88px 4.2em;
  align-items: center;
  gap: 10px;
  width: 100%;
  padding: 7px 4px;
  border: 0;
  background: transparent;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
  &[data-hovered] {
    background: var(--sunk);
  }
  &[aria-expanded='true'] b {
    color: var(--teal);
  }
`;
const Still = styled(Face).attrs({ as: 'div' })`
  cursor: default;
  color: var(--quiet);
`;
const Names = styled.span`
  min-width: 0;
  & b {
    display: block;
    font-weight: 600;
  }
  & i {
    font-size: 13px;
    color: var(--quiet);
  }
`;
const Here = styled.em`
  display: block;
  width: fit-content;
  padding: 0 6px;
  font-size: 13px;
  font-style: normal;
  background: var(--ochre-wash);
  color: var(--ochre);
`;
const Bar = styled.span`
  height: 8px;
  border-left: 1px solid var(--ink);
  background: linear-gradient(var(--hairline), var(--hairline)) 0 50% / 100% 1px no-repeat;
  & span {
    display: block;
    height: 8px;
    background: var(--ink);
  }
`;
const Share = styled.span`
  font-family: var(--figures);
  text-align: right;
`;
const Detail = styled.div`
  padding: 2px 4px 12px;
  display: grid;
  gap: 8px;
`;
const Reasons = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: 14px;
  & caption {
    text-align: left;
    font-size: 13px;
    color: var(--quiet);
  }
  & td {
    padding: 2px 0;
    vertical-align: top;
  }
  & td:last-child {
    width: 1%;
    padding-left: 10px;
    text-align: right;
    white-space: nowrap;
  }
`;

function shareInWords(probability: number): string {
  if (probability < 0.005) return '<1 %';
  if (probability > 0.99) return '>99 %';
  return `${Math.round(probability * 100)} %`;
}

const Strength = styled.span`
  display: grid;
  grid-template-columns: auto 40px;
  gap: 0 8px;
  align-items: center;
  & i {
    height: 6px;
    background: var(--teal);
  }
  &[data-way='against'] i {
    background: repeating-linear-gradient(45deg, var(--ochre) 0 3px, transparent 3px 6px);
  }
`;
/** A bar is full at so many decibans. */
const FULL_DECIBANS = 20;

/** How strongly a finding speaks, in words and as a length; its measure on demand. */
function StrengthOf({ decibans }: { readonly decibans: number }) {
  const way = decibans > 0 ? caseTexts.speaksFor : caseTexts.speaksAgainst;
  const width = `${Math.min(1, Math.abs(decibans) / FULL_DECIBANS) * 100}%`;
  return (
    <Strength data-way={decibans > 0 ? 'for' : 'against'} title={caseTexts.inDecibans(decibans)}>
      {strengthInWords(decibans)} {way}
      <i aria-hidden style={{ width }} />
    </Strength>
  );
}

/** Findings with how strongly each speaks for or against. */
export function Weights({ title, list }: { readonly title: string; readonly list: Cause['for'] }) {
  return (
    <Reasons>
      <caption>{title}</caption>
      <tbody>
        {list.map(({ finding, label, decibans }) => (
          <tr key={finding}>
            <td>{label}</td>
            <td>
              <StrengthOf decibans={decibans} />
            </td>
          </tr>
        ))}
      </tbody>
    </Reasons>
  );
}

/** The rival shows none of this when its table would only repeat the first. */
function tellsMore(versus: Cause['for'], reasons: Cause['for']): boolean {
  const known = new Set(
    reasons.map(({ finding, decibans }) => `${finding} ${decibans.toFixed(0)}`),
  );
  return versus.some(({ finding, decibans }) => !known.has(`${finding} ${decibans.toFixed(0)}`));
}

function CauseDetail({ cause }: { readonly cause: Cause }) {
  const reasons = [...cause.for, ...cause.against];
  return (
    <Detail>
      <p>{cause.say}</p>
      {reasons.length > 0 ? (
        <Weights title={caseTexts.ratherThanNothingWrong} list={reasons} />
      ) : (
        <p>{caseTexts.noArgument}</p>
      )}
      {cause.versus !== null && tellsMore(cause.versus.arguments, reasons) && (
        <Weights
          title={caseTexts.ratherThan(midSentence(cause.versus.name))}
          list={cause.versus.arguments}
        />
      )}
      {cause.seenHere !== null && (
        <p>
          {caseTexts.confirmedHere} {cause.seenHere.cases.toFixed(1)} {caseTexts.timesAsWeighted}{' '}
          {cause.seenHere.factor.toFixed(2)} {caseTexts.timesAsCommon}
        </p>
      )}
      {cause.lookAlikes.map(({ id, name, tells }) => (
        <p key={id}>
          <b>
            {caseTexts.not} {midSentence(name)}?
          </b>{' '}
          {tells} <Link to={`/library/compare/${cause.id}/${id}`}>{commonTexts.sideBySide}</Link>
        </p>
      ))}
      <Link to={`/library/${cause.category === 'care' ? 'care' : 'cause'}/${cause.id}`}>
        {caseTexts.allInLibrary}
      </Link>
    </Detail>
  );
}

/** A word on the range, where it is not simply known here. */
function hereText(cause: Cause | null): string | null {
  if (cause?.here === 'absent') return caseTexts.notKnownHere;
  return cause?.here === 'spreading' ? caseTexts.spreadingHere : null;
}

interface CauseRowProps {
  readonly name: string;
  readonly probability: number;
  /** Null for the two rows that are no cause of the library. */
  readonly cause: Cause | null;
  readonly open: boolean;
  readonly onToggle: (() => void) | null;
}

/** One cause with its share; opened it shows its reasons. */
export function CauseRow({ name, probability, cause, open, onToggle }: CauseRowProps) {
  const here = hereText(cause);
  const face = (
    <>
      <Names>
        <b>{name}</b>
        {cause?.scientificName && <i>{cause.scientificName}</i>}
        {here !== null && <Here>{here}</Here>}
      </Names>
      <Bar aria-hidden>
        <span style={{ width: `${probability * 100}%` }} />
      </Bar>
      <Share>{shareInWords(probability)}</Share>
    </>
  );
  return (
    <Row>
      {onToggle ? (
        <Face onPress={onToggle} aria-expanded={open}>
          {face}
        </Face>
      ) : (
        <Still>{face}</Still>
      )}
      {open && cause && <CauseDetail cause={cause} />}
    </Row>
  );
}
