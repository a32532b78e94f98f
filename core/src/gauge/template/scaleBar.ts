import { BAR_MM } from '../printedScale';
import { line, type PathShape } from './drawing';
import { strokeText } from './strokeText';

const TICK_MM = 5;

/** A bar of 100 mm with ticks at its ends, from (x, y) along x, or down y, and its length beside it. */
export function scaleBar({ xMm, yMm, along }: { xMm: number; yMm: number; along: 'x' | 'y' }): PathShape[] {
  const to = (a: number, across: number): readonly [number, number] =>
    along === 'x' ? [xMm + a, yMm + across] : [xMm + across, yMm + a];
  const half = TICK_MM / 2;
  const [textX, textY] = to(BAR_MM / 2, along === 'x' ? -3.4 : 3.4);
  return [
    line('engrave', to(0, 0), to(BAR_MM, 0)),
    line('engrave', to(0, -half), to(0, half)),
    line('engrave', to(BAR_MM, -half), to(BAR_MM, half)),
    ...strokeText({
      text: '100 mm',
      xMm: textX,
      yMm: textY,
      heightMm: 2.6,
      angle: along === 'x' ? 0 : -Math.PI / 2,
    }),
  ];
}
