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

/** A quiet clock since this page took up the call. */
export function Clock({ since, running }: { readonly since: string; readonly running: boolean }) {
  const [start] = useState(() => Date.now());
  const [now, setNow] = useState(start);
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(timer);
  }, []);
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
