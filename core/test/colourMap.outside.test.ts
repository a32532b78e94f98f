import fc from 'fast-check';

import {
  bandsOf,
  colourMap,
  noticesOf,
  partsOf,
  tyingOf,
  type ColourMap,
  type Painted,
  type Pattern,
} from '../src/building';
import { PATTERN_KINDS } from '../src';
import { value } from './results';

const pattern = (by: Partial<Pattern>): Pattern => ({
  kind: 'spiral',
  order: [0, 0, 1, 1],
  to: 'right',
  every: 4,
  ...by,
});
const mapOf = (layers: number, by: Partial<Pattern>, painted: Painted[] = []) => {
  const own = pattern(by);
  const count = by.kind === 'rings' || by.kind === 'blocks' ? 4 : own.order.length;
  return value(colourMap({ count, layers, pattern: own, colours: 6, painted }));
};

/** Where a balloon is around the column, in half steps to the right. */
const halfSteps = (layer: number, place: number) => 2 * place + (layer % 2);

/** Follows a colour's balloons up the column: from each to the half steps at which the next layer has it. */
function climbs(map: ColourMap, by: number): boolean {
  const halves = 2 * map[0]!.length;
  const at = (layer: number, half: number) => {
    const place = (((half % halves) + halves) % halves) / 2 - (layer % 2) / 2;
    return Number.isInteger(place) ? map[layer]![place] : undefined;
  };
  return map.slice(1).every((row, i) => row.every((colour, place) => at(i, halfSteps(i + 1, place) - by) === colour));
}

describe('patterns', () => {
  /** Common practice: the same order in every layer, each turned by half a step in the same direction. */
  it('have a spiral climb by half a step a layer, to the side it is asked to', () => {
    for (const order of [
      [0, 0, 1, 1],
      [0, 1, 2, 3, 4],
      [0, 1, 1],
      [0, 1],
    ]) {
      expect(climbs(mapOf(12, { order }), 1)).toBe(true);
      expect(climbs(mapOf(12, { order, to: 'left' }), -1)).toBe(true);
    }
    expect(climbs(mapOf(12, { order: [0, 1, 2, 3] }), -1)).toBe(false);
  });

  /** Common practice: turning to and fro makes a zigzag. */
  it('have a zigzag turn back after its period, and stripes after each layer', () => {
    const zigzag = mapOf(13, { kind: 'zigzag', order: [0, 1, 2, 3], every: 3 });
    const turns = tyingOf(zigzag).layers.map(({ turning }) => turning?.code);
    expect(turns).toEqual([undefined, ...[1, 2].flatMap(() => ['right', 'right', 'right', 'left', 'left', 'left'])]);
    const stripes = tyingOf(mapOf(5, { kind: 'stripes', order: [0, 1, 2, 3] })).layers;
    expect(stripes.map(({ turning }) => turning?.code)).toEqual([undefined, 'right', 'left', 'right', 'left']);
    // Seen from a side a stripe stays where it is, within half a step.
    for (const row of mapOf(8, { kind: 'stripes', order: [0, 1, 2, 3] })) expect(row).toEqual([0, 1, 2, 3]);
  });

  it('have rings and blocks change colour up the column, and checks step on', () => {
    expect(mapOf(6, { kind: 'rings', order: [0, 1], every: 2 }).map(([first]) => first)).toEqual([0, 0, 1, 1, 0, 0]);
    expect(mapOf(7, { kind: 'blocks', order: [2, 0, 1] }).map(([first]) => first)).toEqual([2, 2, 2, 0, 0, 1, 1]);
    const checks = mapOf(4, { kind: 'checks', order: [0, 1, 0, 1], every: 2 });
    expect(checks).toEqual([
      [0, 1, 0, 1],
      [0, 1, 0, 1],
      [1, 0, 1, 0],
      [1, 0, 1, 0],
    ]);
  });

  it('are painted over balloon by balloon; what lies beyond the column waits', () => {
    const painted = [
      { layer: 1, place: 2, colour: 5 },
      { layer: 40, place: 0, colour: 5 },
    ];
    const plain = mapOf(3, {});
    const map = mapOf(3, {}, painted);
    expect(map[1]![2]).toBe(5);
    expect(map.flat().filter((colour, i) => colour !== plain.flat()[i])).toHaveLength(1);
  });

  it('share colours in bands as equal as can be', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 12 }), fc.integer({ min: 1, max: 12 }), (count, colours) => {
        const bands = bandsOf({ count, colours });
        const shares = [...new Set(bands)].map((colour) => bands.filter((each) => each === colour).length);
        expect(shares).toHaveLength(Math.min(count, colours));
        expect(Math.max(...shares) - Math.min(...shares)).toBeLessThanOrEqual(1);
        expect([...bands].sort((a, b) => a - b)).toEqual(bands);
      }),
    );
  });

  it('say what will not come out as one expects', () => {
    const codes = (layers: number, by: Partial<Pattern>) =>
      noticesOf({ map: mapOf(layers, by), pattern: pattern(by) }).map(({ code }) => code);
    expect(codes(8, {})).toEqual([]);
    expect(codes(8, { order: [0, 0, 1, 2] })).toEqual(['uneven-bands']);
    // Five places cannot alternate: at the seam two alike meet.
    expect(codes(8, { kind: 'checks', order: [0, 1, 0, 1, 0] })).toEqual(['uneven-bands', 'meets-at-seam']);
    expect(codes(8, { kind: 'checks', order: [0, 1, 0, 1] })).toEqual([]);
    expect(codes(7, { kind: 'rings', order: [0, 1], every: 3 })).toEqual(['last-ring-short']);
    expect(codes(2, { kind: 'blocks', order: [0, 1, 2] })).toEqual(['colour-unused']);
  });

  it('are refused with the field to blame', () => {
    const code = (by: object) => {
      const made = colourMap({ count: 4, layers: 8, pattern: pattern({}), colours: 2, ...by });
      return made.ok ? 'drawn' : `${made.problem.code} ${made.problem.field}`;
    };
    expect(code({})).toBe('drawn');
    expect(code({ pattern: pattern({ order: [0, 1, 2, 0] }) })).toBe('too-few-colours pattern.order');
    expect(code({ painted: [{ layer: 0, place: 0, colour: 2 }] })).toBe('too-few-colours pattern.order');
    expect(code({ count: 5 })).toBe('bad-order pattern.order');
    expect(code({ pattern: pattern({ kind: 'rings', order: [] }) })).toBe('bad-order pattern.order');
    expect(code({ pattern: pattern({ every: 0 }) })).toBe('bad-every pattern.every');
    expect(code({ layers: 0 })).toBe('no-layers layers');
    expect(code({ layers: 10_000 })).toBe('too-many-layers layers');
    expect(code({ count: 1 })).toBe('bad-count count');
  });
});

/** Every way to tie a row of colours into bundles, by trying every order of its balloons: slow, and no cleverer. */
function everyTying(row: readonly number[], sizes: readonly number[]): string[][] {
  const ways = new Map<string, string[]>();
  const permute = (left: number[], taken: number[]) => {
    if (left.length === 0) {
      let from = 0;
      const kinds = sizes.map((size) =>
        taken
          .slice(from, (from += size))
          .sort((a, b) => a - b)
          .join('+'),
      );
      ways.set(kinds.sort().join('|'), kinds);
      return;
    }
    left.forEach((colour, i) => permute([...left.slice(0, i), ...left.slice(i + 1)], [...taken, colour]));
  };
  permute([...row], []);
  return [...ways.values()];
}

/** The fewest kinds with which every row can be tied, by trying all combinations of their ways. */
function fewestByTrying(map: ColourMap): number {
  const rows = [...new Map(map.map((row) => [[...row].sort((a, b) => a - b).join(), row])).values()];
  const ways = rows.map((row) => everyTying(row, partsOf(row.length)));
  let fewest = Infinity;
  const combine = (at: number, kinds: ReadonlySet<string>) => {
    if (kinds.size >= fewest) return;
    if (at === ways.length) fewest = kinds.size;
    else for (const way of ways[at]!) combine(at + 1, new Set([...kinds, ...way]));
  };
  combine(0, new Set());
  return fewest;
}

const maps = fc
  .tuple(fc.constantFrom(2, 3, 4, 5, 6), fc.integer({ min: 1, max: 4 }))
  .chain(([count, colours]) =>
    fc.array(fc.array(fc.nat(colours - 1), { minLength: count, maxLength: count }), { minLength: 1, maxLength: 5 }),
  );

describe('what to tie', () => {
  const bundles = (map: ColourMap) => tyingOf(map).tied.map(({ colours, count }) => `${count} × ${colours.join('+')}`);

  it('is the fewest kinds there can be, by a search over all ways of tying', () => {
    fc.assert(
      fc.property(maps, (map) => {
        const { tied, least } = tyingOf(map);
        expect(least).toBe(true);
        expect(tied).toHaveLength(fewestByTrying(map));
      }),
      { numRuns: 150, seed: 18 },
    );
  });

  it.each(PATTERN_KINDS)('for %s is the fewest by the same search, at every count', (kind) => {
    for (const count of [2, 3, 4, 5, 6]) {
      for (const colours of [1, 2, 3]) {
        const order = kind === 'rings' || kind === 'blocks' ? [0, 1, 2].slice(0, colours) : bandsOf({ count, colours });
        const map = value(colourMap({ count, layers: 10, pattern: pattern({ kind, order, every: 2 }), colours: 3 }));
        expect(tyingOf(map).tied).toHaveLength(fewestByTrying(map));
      }
    }
  });

  it('makes every layer, balloon for balloon, and counts what is tied', () => {
    fc.assert(
      fc.property(maps, (map) => {
        const { tied, layers } = tyingOf(map);
        const counted = tied.map(() => 0);
        layers.forEach(({ parts }, i) => {
          const colours = parts.flatMap((part) => tied[part]!.colours);
          expect([...colours].sort((a, b) => a - b)).toEqual([...map[i]!].sort((a, b) => a - b));
          expect(parts.map((part) => tied[part]!.colours.length).sort()).toEqual(partsOf(map[i]!.length).sort());
          for (const part of parts) counted[part]! += 1;
        });
        expect(counted).toEqual(tied.map(({ count }) => count));
      }),
      { seed: 18 },
    );
  });

  /** Common practice: duplets from fixed colour pairs, so that the order comes out right. */
  it('of a spiral of quads in two colours is one pair throughout, of four colours two', () => {
    expect(bundles(mapOf(8, { order: [0, 0, 1, 1] }))).toEqual(['16 × 0+1']);
    expect(bundles(mapOf(8, { order: [0, 1, 2, 3] }))).toHaveLength(2);
    // One colour alone can only be tied to itself.
    expect(bundles(mapOf(8, { order: [0, 0, 0, 1] }))).toEqual(['8 × 0+0', '8 × 0+1']);
    // A quint is a duplet and a triplet, six are three duplets.
    expect(bundles(mapOf(2, { order: [0, 0, 0, 0, 0] }))).toEqual(['2 × 0+0', '2 × 0+0+0']);
    expect(bundles(mapOf(2, { order: [0, 0, 0, 1, 1, 1] }))).toEqual(['6 × 0+1']);
  });

  it('of rings keeps colours apart: nothing mixed where nothing need be', () => {
    expect(bundles(mapOf(4, { kind: 'rings', order: [0, 1], every: 1 }))).toEqual(['4 × 0+0', '4 × 1+1']);
  });

  it('tells how each layer is turned, also where it makes no difference or another order comes', () => {
    const codes = (map: ColourMap) => tyingOf(map).layers.map(({ turning }) => turning?.code ?? 'first');
    expect(
      codes([
        [0, 0, 0, 0],
        [0, 0, 0, 0],
      ]),
    ).toEqual(['first', 'either']);
    expect(
      codes([
        [0, 1, 2, 3],
        [0, 2, 1, 3],
      ]),
    ).toEqual(['first', 'other-order']);
    expect(
      tyingOf([
        [0, 1, 2, 3],
        [3, 0, 1, 2],
      ]).layers[1]!.turning,
    ).toEqual({ code: 'by', halves: 3 });
  });
});
