import { caseTexts } from '../../texts/caseTexts.ts';
import { styled } from 'styled-components';
import type { CasePlant } from '../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../contracts/consult.ts';
import { listEvidence } from './evidence.ts';
import { strengthInWords } from './strength.ts';

const Area = styled.section`
  display: flex;
  flex-direction: column;
  align-items: center;
  min-height: 0;
  padding: 14px 0 10px;
  border-right: 1px solid var(--hairline);
  background: var(--sunk);
  @media (max-width: 1000px) {
    display: none;
  }
`;
const Line = styled.ol`
  position: relative;
  width: 100%;
  flex: 1;
  min-height: 0;
  overflow: hidden;
  &::before {
    content: '';
    position: absolute;
    left: 50%;
    top: 0;
    bottom: 0;
    border-left: 2px solid var(--ink);
  }
  &[data-settled='false']::before {
    bottom: 14%;
  }
`;
const Knot = styled.button`
  position: absolute;
  height: 24px;
  margin-top: -12px;
  padding: 0;
  border: 0;
  background: transparent;
  cursor: pointer;
  &::after {
    content: '';
    position: absolute;
    left: 0;
    right: 0;
    top: 8px;
    height: 8px;
    background: var(--teal);
  }
  &[data-way='against']::after {
    background: repeating-linear-gradient(45deg, var(--ochre) 0 3px, transparent 3px 6px);
    border: 1px solid var(--ochre);
  }
  &[data-way='none']::after {
    background: var(--quiet);
  }
`;
const Foot = styled.p`
  font-size: 13px;
  line-height: 1.2;
  text-align: center;
  padding-top: 6px;
  border-top: 3px double var(--ink);
  width: 60px;
  color: var(--quiet);
`;

/** Half the width of the line's column, less a margin, in pixels; reached at so many decibans. */
const MAX_KNOT = 36;
const FULL_DECIBANS = 20;
const MIN_KNOT = 5;

interface KnotShape {
  readonly finding: string;
  readonly label: string;
  readonly decibans: number;
}

function knotsOf(plant: CasePlant, answer: ConsultResponse): readonly KnotShape[] {
  const [leader] = answer.causes;
  const moved = new Map(
    [...(leader?.for ?? []), ...(leader?.against ?? [])].map((one) => [one.finding, one.decibans]),
  );
  const choices = new Map(plant.answers.map(({ finding, value }) => [finding, value]));
  return listEvidence(plant, answer)
    .filter(({ state }) => state !== 'dropped')
    .map(({ finding, label }) => {
      const choice = choices.get(finding);
      return {
        finding,
        label,
        decibans: moved.get(finding) ?? (typeof choice === 'string' ? (moved.get(choice) ?? 0) : 0),
      };
    });
}

function placeKnot(decibans: number, index: number, count: number): React.CSSProperties {
  const length = Math.max(MIN_KNOT, Math.min(1, Math.abs(decibans) / FULL_DECIBANS) * MAX_KNOT);
  const top = `${((index + 0.7) / Math.max(count + 1, 7)) * 84}%`;
  return decibans >= 0 ? { top, left: '50%', width: length } : { top, right: '50%', width: length };
}

const wayOf = (decibans: number): string => {
  if (decibans === 0) return 'none';
  return decibans > 0 ? 'for' : 'against';
};

const inWords = ({ label, decibans }: KnotShape, leader: string): string =>
  decibans === 0
    ? caseTexts.movesNothing(label, leader)
    : caseTexts.moves(label, decibans, strengthInWords(decibans), leader);

interface SoundingLineProps {
  readonly plant: CasePlant;
  readonly answer: ConsultResponse | null;
  /** Told the finding that is pointed at, to show the ranking without it; null when none is. */
  readonly onPoint: (finding: string | null) => void;
}

/** How we got here: a knot for each piece of evidence, right when it lifts the leading cause, left when it lowers it. */
export function SoundingLine({ plant, answer, onPoint }: SoundingLineProps) {
  const knots = answer ? knotsOf(plant, answer) : [];
  const leader = answer?.causes[0]?.name ?? caseTexts.theLeadingCause;
  const settled = answer?.settled ?? false;
  return (
    <Area aria-label={caseTexts.soundingLine}>
      <Line data-settled={settled}>
        {knots.map((knot, i) => (
          <li key={knot.finding}>
            <Knot
              type="button"
              data-way={wayOf(knot.decibans)}
              style={placeKnot(knot.decibans, i, knots.length)}
              title={inWords(knot, leader)}
              aria-label={inWords(knot, leader)}
              onPointerEnter={() => onPoint(knot.finding)}
              onPointerLeave={() => onPoint(null)}
              onFocus={() => onPoint(knot.finding)}
              onBlur={() => onPoint(null)}
            />
          </li>
        ))}
      </Line>
      <Foot>{settled ? 'settled' : caseTexts.notSettled}</Foot>
    </Area>
  );
}
