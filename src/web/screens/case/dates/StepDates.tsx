import { commonTexts } from '../../../texts/commonTexts.ts';
import { datesTexts } from '../../../texts/datesTexts.ts';
import { styled } from 'styled-components';
import type { CasePlan, StoredLabel } from '../../../../contracts/cases.ts';
import { movesBetween, type Application, type Move } from '../../../../core/timing/applications.ts';
import { isoDay, parseDay, type Day } from '../../../../core/timing/calendar.ts';
import { neverText, WATCH_THE_PLANT } from '../../../../wording/advice.ts';
import { moveReasonText, rotationText, windowReasonText } from '../../../../wording/schedule.ts';
import type { StepSchedule } from '../../../../core/timing/schedule.ts';
import type { WindowState } from '../../../../core/timing/windows.ts';
import type { BandedDay, BandedSpan } from '../../../../core/timing/yearAhead.ts';
import { shortDate } from '../../../kit/dates.ts';
import { Button } from '../../../kit/Button.tsx';
import { DateField } from '../../../kit/DateField.tsx';
import { WholeNumber } from '../../../kit/fields.tsx';
import { Ribbon } from './Ribbon.tsx';
import { TenDays } from './TenDays.tsx';

const Block = styled.section`
  border-top: 1px solid var(--hairline);
  padding: 8px 0 12px;
  display: grid;
  gap: 6px;
  & h3 {
    font: 600 15px/1.35 var(--sans);
  }
  & p {
    font-size: 14px;
  }
`;
const Quiet = styled.p`
  color: var(--quiet);
`;
const Careful = styled.p`
  color: var(--ochre);
`;
const Days = styled.ol`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 2px 20px;
  font-size: 14px;
  & li {
    display: grid;
    grid-template-columns: 1fr auto;
    align-items: center;
    align-content: start;
    min-height: 30px;
  }
  & small {
    grid-column: 1 / -1;
    font-size: 13px;
    color: var(--ochre);
  }
  & b {
    font-family: var(--figures);
    font-weight: 500;
  }
`;
const Facts = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
`;

const NO_FACTS: StoredLabel = {
  daysToHarvest: null,
  reentryHours: null,
  mostPerYear: null,
  everyDays: null,
  text: '',
};

function bandInWords({ early, late }: BandedDay, today: string): string {
  return early === late
    ? datesTexts.on(shortDate(isoDay(early), today))
    : datesTexts.betweenAnd(shortDate(isoDay(early), today), shortDate(isoDay(late), today));
}

function windowInWords(state: WindowState, today: string): string {
  const word = (day: Day): string => shortDate(isoDay(day), today);
  switch (state.kind) {
    case 'always':
      return datesTexts.anyTime;
    case 'watch':
      return datesTexts.goByThePlant(WATCH_THE_PLANT);
    case 'never':
      return datesTexts.notHere(neverText(state));
    case 'open':
      return datesTexts.openSince(word(state.span.from), word(state.span.to));
    case 'opens': {
      const since =
        state.closedSince === null ? '' : datesTexts.closedSince(word(state.closedSince));
      return datesTexts.opensAbout(since, word(state.span.from), word(state.span.to));
    }
  }
}

function movesOf(step: StepSchedule, { kept }: CasePlan): readonly Move[] {
  const stored = kept.flatMap(({ step: id, number, on }) => {
    const day = parseDay(on);
    return id === step.step && day.ok ? [{ number, on: day.value }] : [];
  });
  return movesBetween(stored, step);
}

function moveInWords({ number, from, to, why }: Move, on: Day): string {
  const today = isoDay(on);
  const was = shortDate(isoDay(from), today);
  const reason = moveReasonText(why, on);
  return to === null
    ? datesTexts.takenOff(number, was, reason)
    : datesTexts.moved(number, was, shortDate(isoDay(to), today), reason);
}

/** Done once, whenever it suits. */
const isPlain = ({ state, checks, list }: StepSchedule): boolean =>
  state.kind === 'always' && checks.length === 0 && list.length === 1;

const isWide = ({ from, to }: BandedSpan): boolean => from.late > from.early || to.late > to.early;

interface StepDatesProps {
  readonly step: StepSchedule;
  readonly text: string;
  /** How much and how often; null where the plan says nothing of it. */
  readonly amount: string | null;
  /** It kills something, so its label has a say. */
  readonly product: boolean;
  readonly food: boolean;
  readonly plan: CasePlan;
  readonly today: Day;
  readonly onDone: (on: Day, done: boolean) => void;
  readonly onLabel: (label: StoredLabel) => void;
  readonly onSeen: (event: string, on: string | null) => void;
}

/** One step: its window with the reason, the next ten days, the days on which it is done, and what the label asks. */
export function StepDates(props: StepDatesProps) {
  const { step, text, amount, product, food, plan, today, onDone, onLabel, onSeen } = props;
  const iso = isoDay(today);
  const label = plan.labels[step.step] ?? NO_FACTS;
  const moves = movesOf(step, plan);
  if (isPlain(step))
    return (
      <Block aria-label={text}>
        <h3>{text}</h3>
        {amount !== null && <p>{amount}</p>}
        <Days>
          {step.list.map((one) => (
            <DayItem key={one.number} one={one} of={1} today={today} onDone={onDone} />
          ))}
        </Days>
      </Block>
    );
  return (
    <Block aria-label={text}>
      <h3>{text}</h3>
      {amount !== null && <p>{amount}</p>}
      <Ribbon step={step} today={today} />
      <p>
        {windowInWords(step.state, iso)}
        {step.reason === null ? '.' : `: ${windowReasonText(step.reason)}.`}
      </p>
      {step.band && isWide(step.band) && (
        <Quiet>
          {datesTexts.opensInMostYears} {bandInWords(step.band.from, iso)} {datesTexts.andCloses}{' '}
          {bandInWords(step.band.to, iso)}.
        </Quiet>
      )}
      {step.checks.length > 0 && <TenDays checks={step.checks} from={today} name={text} />}
      {moves.map((move) => (
        <Careful key={move.number}>{moveInWords(move, today)}.</Careful>
      ))}
      <Days>
        {step.list.map((one) => (
          <DayItem key={one.number} one={one} of={step.list.length} today={today} onDone={onDone} />
        ))}
      </Days>
      {step.stopped !== null && <Careful>{moveReasonText(step.stopped, today)}.</Careful>}
      {step.rotation !== null && <Careful>{rotationText(step.rotation)}</Careful>}
      {step.event !== null && (
        <Facts>
          <DateField
            label={datesTexts.seen(step.event)}
            optional
            value={plan.seen[step.event] ?? ''}
            onChange={(on) => onSeen(step.event ?? '', on === '' ? null : on)}
          />
        </Facts>
      )}
      {product && (
        <Facts>
          {food && (
            <WholeNumber
              label={datesTexts.labelDaysToHarvest}
              value={label.daysToHarvest}
              least={0}
              most={365}
              onChange={(daysToHarvest) => onLabel({ ...label, daysToHarvest })}
            />
          )}
          <WholeNumber
            label={datesTexts.labelReentryHours}
            value={label.reentryHours}
            least={0}
            most={720}
            onChange={(reentryHours) => onLabel({ ...label, reentryHours })}
          />
          <WholeNumber
            label={datesTexts.labelTimesAYear}
            value={label.mostPerYear}
            least={1}
            most={99}
            onChange={(mostPerYear) => onLabel({ ...label, mostPerYear })}
          />
        </Facts>
      )}
    </Block>
  );
}

interface DayProps {
  readonly one: Application;
  readonly of: number;
  readonly today: Day;
  readonly onDone: StepDatesProps['onDone'];
}

function DayItem({ one: { number, on, done, why }, of, today, onDone }: DayProps) {
  const date = shortDate(isoDay(on), isoDay(today));
  return (
    <li>
      <span>
        <b>{date}</b> {of > 1 ? datesTexts.numberOf(number, of) : ''} {done ? '(done)' : ''}
      </span>
      <Button
        kind="quiet"
        aria-label={done ? datesTexts.notDoneOn(date) : datesTexts.doneOn(date)}
        onPress={() => onDone(on, !done)}
      >
        {done ? datesTexts.notDone : commonTexts.done}
      </Button>
      {why !== null && <small>{moveReasonText(why, today)}</small>}
    </li>
  );
}
