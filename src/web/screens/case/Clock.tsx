import { caseTexts } from '../../texts/caseTexts.ts';
import { useEffect, useState } from 'react';
import { styled } from 'styled-components';
import { sinceInWords } from '../../kit/dates.ts';

const Figures = styled.span`
  font-family: var(--figures);
  color: var(--quiet);
`;

/** A call is over after so many seconds; older cases show no clock. */
const MAX_CALL_SECONDS = 4 * 3600;

const keyOf = (caseId: string): string => `sounding-taken-up-${caseId}`;

/** When this page took up a case, also when it was loaded again since. */
function takenUpAt(caseId: string): number {
  const key = keyOf(caseId);
  const known = Number(sessionStorage.getItem(key) ?? NaN);
  if (Number.isFinite(known)) return known;
  const now = Date.now();
  sessionStorage.setItem(key, String(now));
  return now;
}

interface ClockProps {
  readonly caseId: string;
  /** When the case was opened, ISO 8601. */
  readonly since: string;
  readonly running: boolean;
}

/** A quiet clock since this page took up the call. */
export function Clock({ caseId, since, running }: ClockProps) {
  const [start] = useState(() => takenUpAt(caseId));
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(timer);
  }, []);
  // A reload runs no cleanup; leaving the case does, and the next call about it begins at zero.
  useEffect(() => () => sessionStorage.removeItem(keyOf(caseId)), [caseId]);
  const seconds = Math.floor((now - start) / 1000);
  if (!running || seconds > MAX_CALL_SECONDS) return null;
  return (
    <Figures
      role="timer"
      aria-label={caseTexts.timeOnThisCase}
      title={caseTexts.caseOpened(since.slice(0, 10))}
    >
      {sinceInWords(seconds)}
    </Figures>
  );
}
