import { useEffect, useState } from 'react';

/** Long enough for what a hand did to be painted first, ms. */
const LATER_MS = 150;

/** A value a moment later, once it rests: for what follows from it and need not be on at once. */
export function useLater<Value>(value: Value): Value {
  const [late, setLate] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setLate(value), LATER_MS);
    return () => clearTimeout(timer);
  }, [value]);
  return late;
}
