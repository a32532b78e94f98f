import { useEffect, useRef, useState } from 'react';

const DURATION_MS = 280;

function reducedMotion(): boolean {
  return typeof matchMedia === 'function' && matchMedia('(prefers-reduced-motion: reduce)').matches;
}

/** A number that glides to its new value; it jumps where motion is unwelcome. */
export function useTween(target: number): number {
  const [shown, setShown] = useState(target);
  const current = useRef(target);
  useEffect(() => {
    const from = current.current;
    if (from === target) return;
    const show = (value: number) => {
      current.current = value;
      setShown(value);
    };
    if (reducedMotion()) return show(target);
    const start = performance.now();
    let frame = requestAnimationFrame(function next(now) {
      const part = Math.min(1, (now - start) / DURATION_MS);
      const eased = 1 - (1 - part) ** 3;
      show(part === 1 ? target : from + (target - from) * eased);
      if (part < 1) frame = requestAnimationFrame(next);
    });
    return () => cancelAnimationFrame(frame);
  }, [target]);
  return shown;
}
