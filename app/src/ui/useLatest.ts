import { useLayoutEffect, useRef, type RefObject } from 'react';

/** What was last drawn, for what acts later and shall stay the same from drawing to drawing. */
export function useLatest<Value>(value: Value): RefObject<Value> {
  const latest = useRef(value);
  useLayoutEffect(() => {
    latest.current = value;
  });
  return latest;
}
