import fc from 'fast-check';

import { besideEachOther, coloursAlong, keptApart, knotLine, packGarland } from '../src/garland';
import { QUAD } from './clusters';
import { problemOf, value } from './results';

const plain = (share: number) => ({ share, print: false });
const many = (clusters: number) =>
  Array.from({ length: 4 * clusters }, (_, i) => {
    return { cluster: Math.floor(i / 4), size: i % 4 < 2 ? 'ten' : 'seven' };
  });
const countsOf = (colours: readonly number[], kinds: number) =>
  Array.from({ length: kinds }, (_, colour) => colours.filter((each) => each === colour).length);
const asked = { clusters: 12, balloons: many(12), block: 2, seed: 1 };

describe('colours along a garland', () => {
  /** Common practice: blocks of colour of two clusters. */
  it('in blocks change every two clusters, each as often as its share says', () => {
    const colours = value(coloursAlong({ ...asked, way: 'blocks', colours: [plain(1), plain(1), plain(1)] }));
    asked.balloons.forEach(({ cluster }, i) => expect(colours[i]).toBe(Math.floor(cluster / 2) % 3));
    const uneven = value(coloursAlong({ ...asked, way: 'blocks', colours: [plain(2), plain(1)] }));
    expect(countsOf(uneven, 2)).toEqual([32, 16]);
  });

  it('fading begin whole in the first, end whole in the last, and mix the two that are near between', () => {
    const colours = value(coloursAlong({ ...asked, way: 'fade', colours: [plain(1), plain(1), plain(1)] }));
    const of = (from: number, to: number) =>
      new Set(colours.filter((_, i) => asked.balloons[i]!.cluster >= from && asked.balloons[i]!.cluster < to));
    expect(of(0, 2)).toEqual(new Set([0]));
    expect(of(10, 12)).toEqual(new Set([2]));
    expect(of(2, 6)).toEqual(new Set([0, 1]));
    expect(of(6, 10)).toEqual(new Set([1, 2]));
    expect(Math.max(...countsOf(colours, 3).map((count) => Math.abs(count - 16)))).toBeLessThanOrEqual(2);
  });

  it('scattered are as many of each as its share says, over all and within each size, to one', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 1, maxLength: 5 }).filter((s) => s.some((x) => x > 0)),
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 1, max: 99 }),
        (shares, clusters, seed) => {
          const balloons = many(clusters);
          const all = shares.reduce((sum, share) => sum + share, 0);
          const own = { ...asked, balloons, clusters, seed };
          const colours = value(coloursAlong({ ...own, way: 'scatter', colours: shares.map(plain) }));
          const counts = countsOf(colours, shares.length);
          shares.forEach((share, colour) => {
            expect(Math.abs(counts[colour]! - (share * balloons.length) / all)).toBeLessThan(1.5);
            if (share === 0) expect(counts[colour]).toBe(0);
          });
        },
      ),
    );
  });

  it('have accents evenly along, as many as asked, no two in one cluster, the others as their shares say', () => {
    for (const way of ['blocks', 'fade', 'scatter'] as const) {
      const colours = value(
        coloursAlong({ ...asked, way, colours: [plain(1), { ...plain(1), accents: 6 }, plain(1)] }),
      );
      const at = asked.balloons.flatMap(({ cluster }, i) => (colours[i] === 1 ? [cluster] : []));
      expect(at).toHaveLength(6);
      at.forEach((cluster, k) => expect(Math.abs(cluster - (2 * k + 0.5))).toBeLessThanOrEqual(0.5));
      expect(Math.abs(countsOf(colours, 3)[0]! - countsOf(colours, 3)[2]!)).toBeLessThan(8);
    }
    const two = [plain(1), { ...plain(0), accents: 4 }, { ...plain(0), accents: 4 }];
    expect(countsOf(value(coloursAlong({ ...asked, way: 'fade', colours: two })), 3)).toEqual([40, 4, 4]);
    const more = value(coloursAlong({ ...asked, way: 'fade', colours: [plain(1), { ...plain(1), accents: 99 }] }));
    expect(countsOf(more, 2)).toEqual([0, 48]);
    expect(problemOf(coloursAlong({ ...asked, way: 'fade', colours: [{ ...plain(1), accents: 3 }] }))).toMatchObject({
      code: 'bad-colour-share',
    });
  });

  it('need one that there is any of', () => {
    const refused = (by: Partial<Parameters<typeof coloursAlong>[0]>) =>
      problemOf(coloursAlong({ ...asked, way: 'scatter', colours: [plain(1)], ...by }));
    expect(refused({ colours: [] })).toMatchObject({ code: 'no-colours' });
    expect(refused({ colours: [plain(0)] })).toMatchObject({ code: 'bad-colour-share' });
    expect(refused({ colours: [plain(1), plain(-1)] })).toMatchObject({ field: 'colours.1.share' });
    expect(refused({ block: 0 })).toMatchObject({ code: 'bad-block' });
  });
});

describe('neighbours', () => {
  const line = value(
    knotLine([
      [0, 0, 0],
      [9000, 0, 0],
    ]),
  );
  const garland = value(packGarland({ clusters: Array.from({ length: 12 }, () => QUAD), line, seed: 3 }));
  const pairs = besideEachOther(garland);
  const kinds = [plain(3), plain(3), plain(2), { share: 1, print: true }, { share: 1, print: true }];
  const first = value(coloursAlong({ ...asked, way: 'scatter', colours: kinds }));
  const laid = keptApart({ balloons: asked.balloons, first, colours: kinds, pairs, seed: 1 });
  const alike = (colours: readonly number[], bad: (one: number, other: number) => boolean) => {
    let found = 0;
    // Every pair looked at by itself.
    garland.balloons.forEach((a, i) =>
      garland.balloons.forEach((b, j) => {
        if (j <= i || !bad(colours[i]!, colours[j]!)) return;
        const d = Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm, a.zMm - b.zMm);
        if (d < (1.06 * (a.widthMm + b.widthMm)) / 2) found += 1;
      }),
    );
    return found;
  };
  const print = (colour: number) => kinds[colour]!.print;

  it('have no prints side by side, and far fewer pairs of one colour than as they were drawn', () => {
    expect(alike(laid.colours, (one, other) => print(one) && print(other))).toBe(0);
    expect(laid.prints).toBe(0);
    const same = alike(laid.colours, (one, other) => one === other);
    expect(same).toBe(laid.same);
    expect(same).toBeLessThan(alike(first, (one, other) => one === other) / 2);
  });

  it('are as many of each colour and size as before, and what was set by hand stays', () => {
    const bySize = (colours: readonly number[]) =>
      colours.map((colour, i) => `${asked.balloons[i]!.size} ${colour}`).sort();
    expect(bySize(laid.colours)).toEqual(bySize(first));
    for (const held of [[7], [0, 1, 2, 3, 4], first.map((_, i) => i)]) {
      const made = keptApart({ balloons: asked.balloons, first, colours: kinds, pairs, held, seed: 1 });
      for (const i of held) expect(made.colours[i]).toBe(first[i]);
      expect(bySize(made.colours)).toEqual(bySize(first));
      // No more is moved than one other for each.
      const moved = made.colours.filter((colour, i) => colour !== laid.colours[i]).length;
      expect(moved).toBeLessThanOrEqual(2 * held.length);
    }
    expect(keptApart({ balloons: asked.balloons, first, colours: kinds, pairs, seed: 1 })).toEqual(laid);
  });

  it('that are more prints than can be kept apart are counted', () => {
    const prints = [{ share: 1, print: true }];
    const all = keptApart({ balloons: asked.balloons, first: first.map(() => 0), colours: prints, pairs, seed: 1 });
    expect(all.prints).toBe(pairs.length / 2);
    expect(all.same).toBe(pairs.length / 2);
  });
});
