import type { PieceDesign, PieceForm } from '@leggero/contract';
import Svg, { Circle } from 'react-native-svg';

/** Places of a few balloons that stand for a form, in a square of 100: x, y, radius. */
const PLACES: Record<PieceForm, readonly (readonly [number, number, number])[]> = {
  chain: [
    [50, 14, 12],
    [50, 38, 12],
    [50, 62, 12],
    [50, 86, 12],
  ],
  swag: [
    [10, 28, 9],
    [24, 48, 9],
    [41, 60, 9],
    [59, 60, 9],
    [76, 48, 9],
    [90, 28, 9],
  ],
  curtain: [
    [20, 16, 9],
    [20, 36, 9],
    [20, 56, 9],
    [50, 16, 9],
    [50, 36, 9],
    [50, 56, 9],
    [50, 76, 9],
    [80, 16, 9],
    [80, 36, 9],
    [80, 56, 9],
  ],
  ring: [
    [50, 22, 14],
    [74, 36, 14],
    [74, 64, 14],
    [50, 78, 14],
    [26, 64, 14],
    [26, 36, 14],
  ],
  basket: [
    [34, 84, 12],
    [66, 84, 12],
    [26, 60, 13],
    [50, 62, 13],
    [74, 60, 13],
    [20, 34, 14],
    [50, 36, 14],
    [80, 34, 14],
  ],
  cup: [
    [30, 84, 12],
    [54, 84, 12],
    [78, 84, 12],
    [42, 63, 12],
    [66, 63, 12],
    [30, 42, 12],
    [54, 42, 12],
    [78, 42, 12],
  ],
  dome: [
    [18, 78, 13],
    [50, 80, 13],
    [82, 78, 13],
    [33, 54, 11],
    [66, 54, 11],
    [50, 34, 11],
  ],
  ball: [
    [50, 12, 10],
    [30, 30, 11],
    [70, 30, 11],
    [18, 52, 12],
    [50, 50, 13],
    [82, 52, 12],
    [32, 72, 11],
    [68, 72, 11],
    [50, 90, 10],
  ],
  wreath: [
    [50, 14, 11],
    [76, 24, 11],
    [87, 50, 11],
    [76, 76, 11],
    [50, 87, 11],
    [24, 76, 11],
    [13, 50, 11],
    [24, 24, 11],
  ],
};

/** A piece as a few balloons in its colours. */
export function PieceSymbol({ design }: { design: PieceDesign }) {
  const colours = coloursOf(design);
  return (
    <Svg width={44} height={44} viewBox="0 0 100 100" aria-hidden>
      {PLACES[design.form].map(([cx, cy, r], i) => (
        <Circle key={`${cx} ${cy}`} cx={cx} cy={cy} r={r} fill={colours[i % colours.length] ?? '#999999'} />
      ))}
    </Svg>
  );
}

function coloursOf(design: PieceDesign): string[] {
  if ('repeat' in design) return design.repeat.map(({ colourHex }) => colourHex);
  if (design.form === 'ring') return design.rings.map(({ colourHex }) => colourHex);
  return [design.usual, ...Object.values(design.parts)].map(({ colourHex }) => colourHex);
}
