import { TRADE } from '../src';
import { garlandPath, hungOn, knotLine, type HungSpan, type Place } from '../src/garland';
import { swag } from '../src/linking';
import { inch, problemOf, value } from './results';

const lineOf = (...points: Place[]) => value(knotLine(points));
const level = lineOf([-1800, 0, 2400], [1800, 0, 2400]);
const KG = 0.6;
const lengthOf = ({ hung }: HungSpan) =>
  hung.slice(1).reduce((sum, at, i) => sum + Math.hypot(at[0] - hung[i]![0], at[2] - hung[i]![2]), 0);

describe('a garland on its fixings', () => {
  it('sags between them as the catenary has it', () => {
    for (const count of [2, 3, 7]) {
      const { sagMm, spans } = value(hungOn({ line: level, count, kg: KG }));
      const spanMm = 3600 / (count - 1);
      const chain = value(swag({ spanMm, lengthMm: spanMm * (1 + TRADE.garlandGive) }));
      expect(sagMm / chain.dropMm).toBeCloseTo(1, 6);
      expect(spans).toHaveLength(count - 1);
      // A flat chain of length l over span d sags by the root of 3 d (l - d) / 8 (any handbook of mechanics).
      expect(sagMm / (spanMm * Math.sqrt((3 * TRADE.garlandGive) / 8))).toBeCloseTo(1, 1);
    }
  });

  it('is carried whole: each within takes its part, the ends are pulled aside as well', () => {
    const { fixings, mostKg, sagMm } = value(hungOn({ line: level, count: 5, kg: KG }));
    for (const { kg } of fixings.slice(1, -1)) expect(kg).toBeCloseTo(KG / 4, 9);
    // Of a parabola as deep: the pull aside is weight times span over eight times the sag.
    const aside = ((KG / 4) * 900) / (8 * sagMm);
    expect(fixings[0]!.kg / Math.hypot(KG / 8, aside)).toBeCloseTo(1, 1);
    expect(mostKg).toBe(fixings[0]!.kg);
    expect(fixings.map(({ at }) => at[0])).toEqual([-1800, -900, 0, 900, 1800]);
  });

  it.each([
    [300, 2000],
    [1500, 1500],
    [-2000, 400],
    [900, -1400],
  ])('from one %d mm aside and %d mm up it meets both, is as long as it is, and pulls where it points', (x, z) => {
    const line = lineOf([0, 0, 2500], [x, 0, 2500 + z]);
    const { spans, fixings } = value(hungOn({ line, count: 2, kg: KG }));
    const [span] = spans;
    const { hung } = span!;
    expect(lengthOf(span!) / (Math.hypot(x, z) * (1 + TRADE.garlandGive))).toBeCloseTo(1, 2);
    [hung[0]!, hung.at(-1)!].forEach((at, end) => {
      expect(at[0]).toBeCloseTo(end * x, 6);
      expect(at[2]).toBeCloseTo(2500 + end * z, 6);
    });
    // Equilibrium of three forces: the pulls at both ends and the weight at the middle of its length.
    const tangent = (from: Place, to: Place) => {
      const [dx, dz] = [to[0] - from[0], to[2] - from[2]];
      return [dx / Math.hypot(dx, dz), dz / Math.hypot(dx, dz)] as const;
    };
    const first = tangent(hung[0]!, hung[1]!);
    const last = tangent(hung.at(-1)!, hung.at(-2)!);
    const [a, b] = [fixings[0]!.kg, fixings[1]!.kg];
    expect((a * first[0] + b * last[0]) / KG).toBeCloseTo(0, 1);
    expect((a * first[1] + b * last[1]) / KG).toBeCloseTo(-1, 1);
  });

  it('straight up hangs from its upper end alone', () => {
    const { fixings, spans, sagMm } = value(hungOn({ line: lineOf([0, 0, 0], [0, 0, 2000]), count: 2, kg: KG }));
    expect(fixings.map(({ kg }) => kg)).toEqual([0, KG]);
    expect([spans[0]!.sagMm, sagMm]).toEqual([null, 0]);
  });

  it('over an arch hangs the nearer to it the more fixings there are', () => {
    const arch = garlandPath({ kind: 'arch', wideMm: inch(96), highMm: inch(84), dropMm: 0 });
    const sags = [4, 7, 12].map((count) => value(hungOn({ line: value(knotLine(value(arch))), count, kg: KG })).sagMm);
    expect(sags[1]!).toBeLessThan(0.6 * sags[0]!);
    expect(sags[2]!).toBeLessThan(0.6 * sags[1]!);
  });

  /** Common practice: hooks low, at the bend, at the top. */
  it('has one at every corner, and the others evenly between', () => {
    const corner = value(knotLine(value(garlandPath({ kind: 'corner', wideMm: 3000, highMm: 2000, dropMm: 0 }))));
    const at = (line: typeof corner, count: number) =>
      value(hungOn({ line, count, kg: KG })).fixings.map(({ alongMm }) => Math.round(alongMm / 20) * 20);
    expect(at(corner, 3)).toEqual([0, 2000, 5000]);
    expect(at(corner, 6)).toEqual([0, 1000, 2000, 3000, 4000, 5000]);
    const backdrop = value(knotLine(value(garlandPath({ kind: 'backdrop', wideMm: 2000, highMm: 2000, dropMm: 0 }))));
    expect(at(backdrop, 4)).toEqual([0, 2000, 4000, 6000]);
    // Too few for both: one of them, and the ends.
    expect(at(backdrop, 3)).toHaveLength(3);
    expect(at(level, 5)).toEqual([0, 900, 1800, 2700, 3600]);
    // Where it bends little by little there is none.
    const arch = value(knotLine(value(garlandPath({ kind: 'arch', wideMm: 2400, highMm: 2400, dropMm: 0 }))));
    const even = value(hungOn({ line: arch, count: 5, kg: KG })).fixings.map(({ alongMm }) => alongMm / arch.lengthMm);
    even.forEach((share, i) => expect(share).toBeCloseTo(i / 4, 6));
  });

  it('needs two fixings and a weight', () => {
    for (const count of [1, 61, 2.5])
      expect(problemOf(hungOn({ line: level, count, kg: KG }))).toMatchObject({
        code: 'bad-fixings',
        field: 'fixings.count',
      });
    expect(problemOf(hungOn({ line: level, count: 2, kg: -1 }))).toMatchObject({ code: 'bad-weight' });
  });
});
