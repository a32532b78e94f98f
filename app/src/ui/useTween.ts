import { useLayoutEffect, useRef, useState } from 'react';

import { glide, reducedMotion } from './glide';

/** A change of less than this share moves a large drawing by a pixel or two: gliding there shows nothing and costs frames. */
const WORTH_GLIDING = 0.02;

/**
 * Numbers that glide to their new values together; they jump where motion is unwelcome, where it would not be seen, and
 * where the drawing is too `small` for it: in a list a whole screen of them would move at once.
 */
export function useTween<const Targets extends readonly number[]>(
  targets: Targets,
  { small = false }: { small?: boolean } = {},
): Targets {
  // What is drawn on the way; null when it has arrived, and the targets are drawn themselves.
  const [between, setBetween] = useState<Targets | null>(null);
  const drawn = useRef<readonly number[]>(targets);
  const wanted = targets.join(' ');
  // Before the page is painted, so that it never shows the end of a glide first.
  useLayoutEffect(() => {
    const to = wanted.split(' ').map(Number);
    const from = drawn.current;
    const arrive = () => {
      drawn.current = to;
      setBetween(null);
    };
    const near = to.every((value, i) => Math.abs(value - from[i]!) <= WORTH_GLIDING * Math.abs(value));
    if (small || near || reducedMotion()) return arrive();
    const show = (eased: number) => {
      const values = to.map((value, i) => from[i]! + (value - from[i]!) * eased);
      drawn.current = values;
      setBetween(values as readonly number[] as Targets);
    };
    show(0);
    return glide(show, arrive);
  }, [wanted, small]);
  return between ?? targets;
}
