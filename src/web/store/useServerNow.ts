import { useEffect, useState } from 'react';
import { useAppSelector } from './store.ts';

/** What is waited for is counted anew so often, in milliseconds. */
const TICK_MS = 30_000;

/** The clock of the server in milliseconds since 1970, which moves on twice a minute. */
export function useServerNow(): number {
  const ahead = useAppSelector((state) => state.desk.clockAhead);
  const [here, setHere] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setHere(Date.now()), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  return here + ahead;
}
