import { useEffect, useState } from 'react';

const EVERY_MS = 15_000;

/** The moment, ms since 1970, renewed four times a minute: for what is left, and what was long ago. */
export function useNow(): number {
  const [now, setNow] = useState(Date.now);
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), EVERY_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}
