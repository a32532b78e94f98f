import { bareAlong, knotLine, packGarland, type PackedBalloon, type PackedGarland } from '../src/garland';
import { inch, value } from './results';

const line = value(
  knotLine([
    [0, 0, 1000],
    [5000, 0, 1000],
  ]),
);
const ball = (xMm: number, zMm: number, widthMm: number): PackedBalloon => {
  return { ...{ cluster: 0, layer: 0, place: 0, nominalMm: widthMm, neck: [0, 0, 1], yMm: 0 }, xMm, zMm, widthMm };
};
const knot = (alongMm: number) => ({ cluster: 0, layer: 0, alongMm, besideMm: [0, 0, 0] as const });
const garland = (balloons: PackedBalloon[]): PackedGarland => {
  return { balloons, knots: [knot(0), knot(2000)], clusters: 2, lengthMm: 2000, pressed: 0, contacts: 0 };
};

describe('where the line of a garland shows', () => {
  it('is between its balloons, as wide as their chords leave', () => {
    // One lies on the line; of the other, 300 wide and 90 above it, the line is covered by a chord of 240.
    const bare = bareAlong(garland([ball(300, 1000, 400), ball(1000, 1090, 300)]), line);
    const expected = [
      [0, 100],
      [500, 880],
      [1120, 2000],
    ];
    expect(bare).toHaveLength(3);
    bare.forEach(({ fromMm, toMm }, i) => {
      expect(Math.abs(fromMm - expected[i]![0]!)).toBeLessThanOrEqual(5);
      expect(Math.abs(toMm - expected[i]![1]!)).toBeLessThanOrEqual(5);
    });
  });

  it('is nowhere where all of it is covered, and more of it without what lies over it', () => {
    expect(bareAlong(garland([ball(1000, 1000, 2100)]), line)).toEqual([]);
    const two = [{ nominalMm: inch(11), widthMm: inch(10), count: 2 }];
    const clusters = Array.from({ length: 8 }, () => two);
    const shown = (over: number[]) => {
      const packed = value(packGarland({ clusters, line, seed: 2, over: over.map((on) => ({ on, kind: two })) }));
      return bareAlong(packed, line).reduce((sum, { fromMm, toMm }) => sum + toMm - fromMm, 0);
    };
    expect(shown([0, 1, 2, 3, 4, 5, 6, 7])).toBeLessThan(shown([]));
  });
});
