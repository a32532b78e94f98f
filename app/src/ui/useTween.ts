import { useEffect, useRef, useState } from 'react';

const DURATION_MS = 280;
/** A change of less than this share moves a drawing by a pixel or two: gliding there shows nothing and costs frames. */
const WORTH_GLIDING = 0.02;

function reducedMotion(): boolean {
  return typeof matchMedia === 'function' && matchMedia('(prefers-reduced-motion: reduce)').matches;
}

/** Numbers that glide to their new values together; they jump where motion is unwelcome, or where it would not be seen. */
export function useTween<const Targets extends readonly number[]>(targets: Targets): Targets {
  const [shown, setShown] = useState<Targets>(targets);
  const current = useRef(targets);
  const wanted = targets.join(' ');
  useEffect(() => {
    const to = wanted.split(' ').map(Number);
    const from = current.current;
    const show = (values: readonly number[]) => {
      current.current = values as Targets;
      setShown(values as Targets);
    };
    const small = to.every((value, i) => Math.abs(value - from[i]!) <= WORTH_GLIDING * Math.abs(value));
    if (small || reducedMotion()) return show(to);
    const start = performance.now();
    let frame = requestAnimationFrame(function next(now) {
      const part = Math.min(1, (now - start) / DURATION_MS);
      const eased = 1 - (1 - part) ** 3;
      show(part === 1 ? to : to.map((value, i) => from[i]! + (value - from[i]!) * eased));
      if (part < 1) frame = requestAnimationFrame(next);
    });
    return () => cancelAnimationFrame(frame);
  }, [wanted]);
  return shown;
}
