import type { HoleNow } from '@leggero/core';

/** "1/16 in smaller than its label", "as its label says". */
export function offText({ offMm, origin }: HoleNow, fine: (mm: number) => string): string {
  if (origin === 'rule') return 'not measured yet';
  if (Math.abs(offMm) < 0.25) return 'as its label says';
  return `${fine(Math.abs(offMm))} ${offMm > 0 ? 'larger' : 'smaller'} than its label`;
}
