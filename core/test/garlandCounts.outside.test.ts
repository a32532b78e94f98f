import fc from 'fast-check';

import {
  balloonsOfKind,
  clustersByRule,
  clustersInRhythm,
  countByNominal,
  decoratorClusters,
  footRuleMm,
  stripPlan,
  type ClusterKind,
  type StripStep,
} from '../src/garland';
import { part, QUAD } from './clusters';
import { inch, problemOf, value } from './results';

const FOOT = inch(12);
const ONE_LARGE: ClusterKind = [part(18, 16, 1), part(11, 10, 2), part(11, 7.5, 1)];
const TWO_LARGE: ClusterKind = [part(18, 16, 2), part(11, 10, 2), part(11, 7.5, 2)];
const DECORATORS: ClusterKind = [part(5, 4, 4)];
const inRhythm = (kinds: readonly ClusterKind[], rhythm: readonly number[], clusters: number) =>
  value(clustersInRhythm({ kinds, rhythm, clusters }));
const inInches = (clusters: readonly ClusterKind[]) =>
  Object.fromEntries(countByNominal(clusters).map(({ nominalMm, count }) => [`${nominalMm / 25.4}`, count]));

/** Common practice: jobs that were built, with what they took. */
describe('what garlands take', () => {
  it('twelve clusters of four, one in two of them with a large one, are six large and forty-two small balloons', () => {
    const base = inRhythm([ONE_LARGE, QUAD], [0, 1], 12);
    expect(inInches(base)).toEqual({ 18: 6, 11: 42 });
    // Eight more where it is thin, then four; in blocks of two clusters of one colour, two of decorators for each.
    const fill = [...inRhythm([QUAD], [0], 8), ...inRhythm([QUAD], [0], 4)];
    const small = inRhythm([DECORATORS], [0], decoratorClusters({ clusters: 12, block: 2, each: 2 }));
    expect(inInches(small)).toEqual({ 5: 48 });
    expect([...base, ...fill, ...small].reduce((sum, kind) => sum + balloonsOfKind(kind), 0)).toBe(144);
  });

  it('twelve feet of it are twelve clusters by rule, either kind', () => {
    expect(clustersByRule({ kinds: [ONE_LARGE, QUAD], rhythm: [0, 1], lengthMm: 12 * FOOT })).toBe(12);
    expect(footRuleMm(QUAD)).toBeCloseTo(FOOT, 9);
    expect(footRuleMm(ONE_LARGE)).toBeCloseTo(FOOT, 9);
    expect(footRuleMm(TWO_LARGE)).toBeCloseTo(1.5 * FOOT, 9);
    // "Three 17 + three 11 also."
    expect(footRuleMm([part(17, 16, 3), part(11, 10, 3)])).toBeCloseTo(1.5 * FOOT, 9);
    expect(footRuleMm([part(11, 10, 5)])).toBeNull();
    expect(clustersByRule({ kinds: [[part(11, 10, 5)]], rhythm: [0], lengthMm: 12 * FOOT })).toBeNull();
  });

  it('nine feet of sixes for a backdrop a little over seven wide are six clusters, and one was added', () => {
    const six = clustersByRule({ kinds: [TWO_LARGE], rhythm: [0], lengthMm: 9 * FOOT });
    expect(six).toBe(6);
    expect(inInches(inRhythm([TWO_LARGE], [0], six!))).toEqual({ 18: 12, 11: 24 });
    expect(inInches(inRhythm([TWO_LARGE], [0], six! + 1))).toEqual({ 18: 14, 11: 28 });
  });

  it('an L on a wall takes seventy of 11 in, ten of them clear, and ninety of 5 in', () => {
    // Quads, one in three with a pair of clear ones, and what is left over as a pair; decorators in fours, threes, twos.
    const plain: ClusterKind = [part(11, 10, 4)];
    const clear: ClusterKind = [part(11, 10, 2), part(11.01, 10, 2)];
    const base = [...inRhythm([clear, plain, plain], [0, 1, 2], 15), ...inRhythm([plain], [0], 2), [part(11, 10, 2)]];
    expect(base.reduce((sum, kind) => sum + balloonsOfKind(kind), 0)).toBe(70);
    expect(inInches(base)['11.01']).toBe(10);
    const small = inRhythm([[part(5, 4, 4)], [part(5, 3, 3)], [part(5, 4, 2)]], [0, 1, 2], 30);
    expect(inInches(small)).toEqual({ 5: 90 });
  });

  it('on a strip begins at the fourth hole, a hole left at both sides of a large one, sides in turn', () => {
    const large = { nominalMm: inch(16), widthMm: inch(14) };
    const small = { nominalMm: inch(11), widthMm: inch(10) };
    const steps: StripStep[] = [large, 'skip', small, small, small, 'skip'];
    const plan = value(stripPlan({ holes: 24, pitchMm: inch(4), first: 4, steps }));
    expect(plan.before).toBe(3);
    const large16 = plan.balloons.filter(({ nominalMm }) => nominalMm === large.nominalMm).map(({ hole }) => hole);
    expect(large16).toEqual([4, 10, 16, 22]);
    const used = new Set(plan.balloons.map(({ hole }) => hole));
    for (const hole of large16) expect([used.has(hole - 1), used.has(hole + 1)]).toEqual([false, false]);
    expect(plan.balloons.map(({ side }) => side).slice(0, 4)).toEqual(['left', 'right', 'left', 'right']);
    expect(plan.balloons.at(-1)!.hole + plan.after).toBe(24);
    expect(plan.lengthMm).toBeCloseTo((plan.balloons.at(-1)!.hole - 4) * inch(4), 9);
    // Or 12, 5, 12, 5, a balloon in every hole.
    const [twelve, five] = [
      { nominalMm: inch(12), widthMm: inch(11) },
      { nominalMm: inch(5), widthMm: inch(4.5) },
    ];
    const dense = value(stripPlan({ holes: 20, pitchMm: inch(4), first: 4, steps: [twelve, five] }));
    expect(dense.balloons.map(({ nominalMm }) => nominalMm).slice(0, 4)).toEqual([12, 5, 12, 5].map(inch));
    expect([dense.balloons.length, dense.after]).toEqual([17, 0]);
  });
});

describe('garlands that cannot be', () => {
  it('say which field of a rhythm is wrong', () => {
    const asked = (kinds: ClusterKind[], rhythm: number[], clusters: number) =>
      problemOf(clustersInRhythm({ kinds, rhythm, clusters }));
    expect(asked([], [0], 3)).toMatchObject({ code: 'no-clusters' });
    expect(asked([QUAD], [1], 3)).toMatchObject({ code: 'no-clusters' });
    expect(asked([QUAD], [0], 0)).toMatchObject({ code: 'no-clusters', field: 'clusters' });
    expect(asked([QUAD], [0], 1e6)).toMatchObject({ code: 'too-many-clusters', detail: { most: 400 } });
    expect(asked([[part(11, 10, -1)]], [0], 3)).toMatchObject({ code: 'bad-count', field: 'kinds.0.0.count' });
    expect(asked([[part(11, 10, 0)]], [0], 3)).toMatchObject({ code: 'bad-count', field: 'kinds.0' });
    expect(asked([QUAD, [part(11, 0, 4)]], [0, 1], 3)).toMatchObject({ code: 'bad-width', field: 'kinds.1.0.widthMm' });
    expect(asked([[part(5, 4, 13)]], [0], 3)).toMatchObject({ code: 'too-many-in-cluster', detail: { most: 12 } });
  });

  it('say which field of a strip is wrong', () => {
    const good = { holes: 20, pitchMm: 100, first: 4, steps: [{ nominalMm: 280, widthMm: 250 }] as StripStep[] };
    const asked = (by: Partial<typeof good>) => problemOf(stripPlan({ ...good, ...by }));
    expect(asked({ holes: 0 })).toMatchObject({ code: 'bad-holes', field: 'holes' });
    expect(asked({ pitchMm: 0 })).toMatchObject({ code: 'bad-pitch', field: 'pitchMm' });
    expect(asked({ first: 21 })).toMatchObject({ code: 'bad-first-hole', detail: { least: 1, most: 20 } });
    expect(asked({ steps: ['skip'] })).toMatchObject({ code: 'no-steps' });
    expect(asked({ steps: ['skip', { nominalMm: 280, widthMm: -1 }] })).toMatchObject({ field: 'steps.1.widthMm' });
  });
});

it('a rule’s clusters cover the length to within half a cluster', () => {
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom(0, 1, 2), { minLength: 1, maxLength: 5 }),
      fc.double({ min: 2, max: 60, noNaN: true }),
      (rhythm, feet) => {
        const kinds = [QUAD, ONE_LARGE, TWO_LARGE];
        const many = clustersByRule({ kinds, rhythm, lengthMm: feet * FOOT })!;
        const covered = inRhythm(kinds, rhythm, many).reduce((sum, kind) => sum + footRuleMm(kind)!, 0);
        expect(Math.abs(covered - feet * FOOT)).toBeLessThanOrEqual(0.75 * FOOT + 1e-6);
      },
    ),
  );
});
