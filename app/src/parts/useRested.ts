import { useCallback, useEffect, useRef, useState } from 'react';

/** How long the hand rests before a change is kept, ms. */
const REST_MS = 400;

/**
 * A record as it is being changed: the page follows at once, what was changed is kept once the hand rests, and when the
 * page is left. Only what was changed since is kept: what another device says of the rest stays.
 */
export function useRested<Value extends object>(
  stored: Value,
  keep: (by: Partial<Value>) => void,
): [Value, (by: Partial<Value>) => void] {
  const [changed, setChanged] = useState<Partial<Value> | null>(null);
  const waiting = useRef<Partial<Value> | null>(null);
  const latest = useRef(keep);
  useEffect(() => {
    latest.current = keep;
  });
  // By hand: the effects below run anew whenever it is another, so who it is is part of what they do.
  const settle = useCallback(() => {
    if (!waiting.current) return;
    const by = waiting.current;
    waiting.current = null;
    latest.current(by);
  }, []);
  useEffect(() => {
    if (changed === null) return;
    const timer = setTimeout(settle, REST_MS);
    return () => clearTimeout(timer);
  }, [changed, settle]);
  useEffect(() => settle, [settle]);
  const change = useCallback((by: Partial<Value>) => {
    waiting.current = { ...waiting.current, ...by };
    setChanged((before) => ({ ...before, ...by }));
  }, []);
  return [{ ...stored, ...changed }, change];
}
