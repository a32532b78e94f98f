import { GARLAND_PATHS, TRADE, type GarlandPathKind } from '@leggero/core';
import { knotLine } from '@leggero/core/garland';

import { decorateQuestion, inHollows, nestsFor } from '@/parts/piece/decorators';
import { movedBy, movedOf, movedTo } from '@/features/garland/moved';
import { garlandAnew } from '@/parts/piece/garlandAnew';
import type { Material } from '@/parts/piece/material';
import { stillOf } from '@/parts/piece/still';
import { trimmingShapes } from '@/parts/piece/trimmingShapes';
import { viewGarland } from '@/parts/piece/viewGarland';
import { hollowsText } from '@/wording/decorators';

import { coloured, foam, GARLAND, inch, kelp, made, material, PIECE_ID, text, worked } from './garlands';
import { MODEL_ID } from './studio';

describe('a garland', () => {
  it('counts its clusters in their rhythm, and each size of each kind', () => {
    const { clusters, sizes, count, ruleMm } = worked({ clusters: 7 });
    expect(clusters.map((kind) => kind.length)).toEqual([2, 2, 3, 2, 2, 3, 2]);
    expect(sizes.map(({ key, count }) => [key, count])).toEqual([
      ['cluster-1-1', 10],
      ['cluster-1-2', 10],
      ['cluster-2-1', 4],
      ['cluster-2-2', 2],
      ['cluster-2-3', 2],
    ]);
    expect(count).toBe(28);
    expect(ruleMm! / inch(12)).toBeCloseTo(7, 9);
    // 22 of 11 in at 3.1 g, two of 18 to 19 in by the square of their nominal: of 16 in none is chosen.
    const small = worked({ kinds: [GARLAND.kinds[0]!] });
    expect(small.kg).toBeCloseTo((24 * 3.1 * ((12 / 11) ** 2 + (9 / 11) ** 2)) / 2 / 1000, 6);
    expect(worked({ kinds: [{ inRow: 1, balloons: [{ ...kelp, widthMm: inch(9), count: 5 }] }] }).ruleMm).toBeNull();
  });

  it('has every packed balloon in the colour and size of its place', () => {
    const pack = made();
    const placed = coloured();
    expect(placed).toHaveLength(24);
    expect(placed.map(({ step }) => step)).toEqual(pack.balloons.map(({ cluster }) => cluster));
    const large = placed.filter(({ key }) => key === 'cluster-2-3');
    expect(large.map(({ colourHex, step, widthMm }) => [colourHex, step, widthMm])).toEqual([
      ['#f3ead8', 2, inch(16)],
      ['#f3ead8', 5, inch(16)],
    ]);
    // None in the floor, each with its neck at the line.
    for (const { zMm, widthMm } of placed) expect(zMm - widthMm / 2).toBeGreaterThan(-0.03 * widthMm);
  });

  it('uneven on purpose has every balloon off by its own draw, its sizes as they were, with as much play', () => {
    const [even, uneven] = [worked(), worked({ uneven: 0.06 })];
    const widths = uneven.made.clusters.flat().map(({ widthMm, count }) => {
      expect(count).toBe(1);
      return widthMm;
    });
    expect(widths).toHaveLength(24);
    expect(new Set(widths).size).toBeGreaterThan(20);
    const asked = even.balloons.map(({ widthMm }) => widthMm);
    const off = widths.map((mm, i) => mm / asked[i]! - 1);
    expect(Math.hypot(...off) / Math.sqrt(24)).toBeGreaterThan(0.03);
    expect(Math.hypot(...off) / Math.sqrt(24)).toBeLessThan(0.1);
    expect(uneven.made).toEqual(worked({ uneven: 0.06 }).made);
    expect(uneven.clusters).toEqual(even.clusters);
    expect(uneven.sizes.map(({ key, count }) => [key, count])).toEqual(
      even.sizes.map(({ key, count }) => [key, count]),
    );
    uneven.sizes.forEach(({ toleranceMm, widthMm }) => expect(toleranceMm).toBeCloseTo(0.12 * widthMm, 9));
    // Drawn as they are made.
    expect(coloured({ uneven: 0.06 }).map(({ widthMm }) => widthMm)).toEqual(widths);
  });

  it('as it comes out in someone’s hands has all its balloons off, none deep in another, and is the same once more', () => {
    const [view, pack, balloons] = [worked(), made(), coloured()];
    const anew = (seed: number) =>
      garlandAnew(pack, balloons, { ...view, trade: TRADE }, { spread: { lean: 0, sd: 0.05 }, seed });
    const out = anew(4);
    expect(out.map(({ key, step }) => [key, step])).toEqual(balloons.map(({ key, step }) => [key, step]));
    expect(out.every(({ widthMm }, i) => widthMm !== balloons[i]!.widthMm)).toBe(true);
    out.forEach((a, i) =>
      out.slice(i + 1).forEach((b) => {
        const belong = ((a.widthMm + b.widthMm) / 2) * (1 - TRADE.garlandPress);
        expect(Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm, a.zMm - b.zMm)).toBeGreaterThan(belong * 0.979);
      }),
    );
    expect(anew(4)).toEqual(out);
    expect(anew(5)).not.toEqual(out);
  });

  it('runs level, hangs, stands as an arch or half of one, and goes around a corner', () => {
    const wideMm = inch(72);
    const highMm = inch(80);
    const lengthOf = (kind: GarlandPathKind, high = highMm) => {
      const line = knotLine(worked({ path: { kind, wideMm, highMm: high, dropMm: inch(20) } }).points);
      return line.ok ? line.value.lengthMm : NaN;
    };
    const lengths = GARLAND_PATHS.filter((kind) => kind !== 'own').map((kind) => lengthOf(kind));
    const [straight, droop, arch, half, corner, backdrop, hoop] = lengths as [number, ...number[]] &
      Record<0 | 1 | 2 | 3 | 4 | 5 | 6, number>;
    expect(backdrop).toBeCloseTo(wideMm + 2 * highMm, 6);
    expect(hoop / (Math.PI * wideMm)).toBeCloseTo(1, 3);
    expect(straight).toBeCloseTo(wideMm, 6);
    // Any handbook of geometry: a parabola of this sag is nearly as long as the chain.
    expect(droop / (wideMm * (1 + (8 / 3) * (20 / 72) ** 2 - (32 / 5) * (20 / 72) ** 4))).toBeCloseTo(1, 1);
    // Half a circle of the mean radius is nearly as long as half an ellipse that is nearly one.
    expect(arch).toBeGreaterThan(2 * highMm);
    expect(half).toBeGreaterThan(Math.hypot(wideMm, highMm));
    expect(half).toBeLessThan(wideMm + highMm);
    expect(corner).toBeCloseTo(wideMm + highMm, 6);
    expect(lengthOf('half-arch', wideMm) / ((Math.PI / 2) * wideMm)).toBeCloseTo(1, 3);
  });

  it('is drawn in a list as it is packed', () => {
    const still = stillOf(GARLAND, material)!;
    expect(still.balls).toHaveLength(24);
    expect(still.footMm).toBeGreaterThan(inch(40));
    expect(stillOf({ ...GARLAND, clusters: 0 }, material)).toBeNull();
  });
});

describe('what is tied over it', () => {
  it('is counted, packed and drawn as steps of its own, thickest where it was asked for', () => {
    const fullness = [3, 1, 1, 1, 1];
    const { over, clusters, sizes, count } = worked({ fullness, clusters: 8 });
    expect(over.map(({ on }) => on)).toEqual([0, 0]);
    expect(count).toBe(8 * 4 + 2 * 4);
    const placed = coloured({ fullness, clusters: 8 });
    expect(placed).toHaveLength(count);
    for (const { key, count: many } of sizes) expect(placed.filter((each) => each.key === key)).toHaveLength(many);
    const steps = placed.map(({ step }) => step);
    expect([...new Set(steps)]).toEqual(Array.from({ length: clusters.length + 2 }, (_, i) => i));
    const over0 = placed.filter(({ step }) => step >= 8);
    expect(Math.max(...over0.map(({ xMm }) => xMm))).toBeLessThan(inch(-72 / 2 + 24));
  });
});

describe('a strip', () => {
  const strip = {
    ...{ holes: 30, pitchMm: inch(3), first: 4 },
    steps: [{ ...foam, widthMm: inch(16) }, null, { ...kelp, widthMm: inch(10) }, { ...kelp, widthMm: inch(10) }],
  };

  it('is fuller by larger balloons instead: as much room as so many more would take, in the sizes sold for them', () => {
    const by = { fullness: [3, 2, 1, 1, 1], fuller: 'larger' } as const;
    const { over, balloons, sizes, count } = worked({ ...by, fullness: [...by.fullness], clusters: 9 });
    expect(over).toEqual([]);
    expect(count).toBe(worked({ clusters: 9 }).count);
    const plain = worked({ clusters: 9 }).balloons;
    const times = balloons.map(({ widthMm, cluster }, i) => [cluster, (widthMm / plain[i]!.widthMm) ** 3] as const);
    // Half inches of 10 in are up to a sixth of its room, of 7½ in a fifth.
    for (const [cluster, room] of times) {
      const asked = cluster < 4.5 ? 3 - (2 * (cluster + 0.5)) / 4.5 : 1;
      expect(Math.abs(room / asked - 1)).toBeLessThan(0.12);
    }
    for (const { widthMm, nominalMm } of balloons) expect(widthMm / nominalMm).toBeLessThan(0.95);
    // 14 in are no 11 in balloons: what is kept of a size is counted by itself.
    expect(sizes.reduce((sum, size) => sum + size.count, 0)).toBe(count);
    expect(sizes.length).toBeGreaterThan(8);
    expect(made({ ...by, fullness: [...by.fullness] }).lengthMm).toBeGreaterThan(1.05 * made().lengthMm);
  });

  it('has its balloons in their holes, each size counted, and the rest tied over it', () => {
    const view = worked({ strip });
    expect(view.strip!.map(({ hole }) => hole).slice(0, 5)).toEqual([4, 6, 7, 8, 10]);
    expect(view.left).toEqual({ before: 3, after: 0 });
    expect(view.sizes.map(({ key, count }) => [key, count])).toEqual([
      ['strip-1', 7],
      ['strip-3', 7],
      ['strip-4', 6],
    ]);
    expect(view.ruleMm).toBeNull();
    const full = worked({ strip, fullness: [2, 2, 1, 1, 1] });
    expect(full.over.length).toBeGreaterThan(1);
    expect(Math.max(...full.over.map(({ on }) => on))).toBeLessThan(12);
    const placed = coloured({ strip, fullness: [2, 2, 1, 1, 1] });
    expect(placed).toHaveLength(full.count);
  });

  it('says which of its figures cannot be', () => {
    const refused = (by: Partial<typeof strip>) => viewGarland({ ...GARLAND, strip: { ...strip, ...by } }, material);
    expect(refused({ first: 31 })).toMatchObject({ problem: { code: 'bad-first-hole', field: 'first' } });
    expect(refused({ steps: [] })).toMatchObject({ problem: { code: 'no-steps' } });
  });
});

describe('colours of its own', () => {
  const list = ['#111111', '#222222', '#333333'].map((colourHex, i) => {
    return { ...foam, colourHex, share: i === 2 ? 1 : 2, print: i === 2 };
  });
  const colours = { way: 'scatter' as const, block: 2, list };
  const beside = (placed: ReturnType<typeof coloured>, bad: (a: string, b: string) => boolean) =>
    placed.flatMap((a, i) =>
      placed.filter((b, j) => {
        const d = Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm, a.zMm - b.zMm);
        return j > i && d < (1.05 * (a.widthMm + b.widthMm)) / 2 && bad(a.colourHex, b.colourHex);
      }),
    ).length;

  it('are as many as counted, prints never side by side', () => {
    const { sizes, count } = worked({ colours });
    const placed = coloured({ colours });
    for (const { key, count: many } of sizes) expect(placed.filter((each) => each.key === key)).toHaveLength(many);
    expect(placed).toHaveLength(count);
    expect(beside(placed, (a, b) => a === '#333333' && b === '#333333')).toBe(0);
  });

  it('in blocks are those of two clusters each', () => {
    const placed = coloured({ colours: { ...colours, way: 'blocks' } });
    // Two parts of each of the first, one of the print: of three blocks each has one.
    for (const { step, colourHex } of placed) expect(colourHex).toBe(list[Math.floor(step / 2)]!.colourHex);
  });

  it('take the balloon of each size from the shelf', () => {
    const models = [
      { id: MODEL_ID, nominalMm: inch(11), kind: 'round' as const, colourName: 'tide', finish: 'matte' as const },
      { id: PIECE_ID, nominalMm: inch(18), kind: 'round' as const, colourName: 'tide', finish: 'matte' as const },
    ];
    const shelf: Material = { ...material, knowledge: { ...material.knowledge, models } };
    const view = viewGarland(
      { ...GARLAND, colours: { ...colours, list: [{ ...list[0]!, modelId: MODEL_ID }] } },
      shelf,
    );
    if (!view.ok) throw new Error(view.problem.code);
    const of = (widthMm: number) => view.value.sizes.find((size) => size.widthMm === widthMm)!.part.modelId;
    expect([of(inch(10)), of(inch(16))]).toEqual([MODEL_ID, null]);
    const large = GARLAND.kinds.map(({ balloons, ...kind }) => {
      return {
        ...kind,
        balloons: balloons.map((part) => (part.widthMm > 300 ? { ...part, modelId: PIECE_ID } : part)),
      };
    });
    const both = viewGarland(
      { ...GARLAND, kinds: large, colours: { ...colours, list: [{ ...list[0]!, modelId: MODEL_ID }] } },
      shelf,
    );
    expect(both.ok && both.value.sizes.find(({ widthMm }) => widthMm === inch(16))!.part.modelId).toBe(PIECE_ID);
  });
});

describe('what is changed by hand', () => {
  const at = { strip: false, cluster: 2, layer: 0, place: 0, out: false, widthMm: null, part: null };
  const hand = [
    { ...at, out: true },
    { ...at, cluster: 3, widthMm: inch(12) },
    { ...at, cluster: 4, part: { ...foam, colourHex: '#abcdef' } },
  ];

  it('is out, of another size or of another colour, counted so, and nothing else is', () => {
    const { sizes, count } = worked({ hand });
    expect(count).toBe(23);
    const placed = coloured({ hand });
    expect(placed).toHaveLength(23);
    for (const { key, count: many } of sizes) expect(placed.filter((each) => each.key === key)).toHaveLength(many);
    expect(placed.filter(({ widthMm }) => widthMm === inch(12)).map(({ step }) => step)).toEqual([3]);
    expect(placed.filter(({ colourHex }) => colourHex === '#abcdef').map(({ step }) => step)).toEqual([4]);
    expect(sizes.filter(({ title }) => title.startsWith('By hand')).map(({ count: many }) => many)).toEqual([1, 1]);
    // Of the strip it has none, of clusters that there are not neither.
    expect(worked({ hand: hand.map((each) => ({ ...each, strip: true })) }).count).toBe(24);
    expect(worked({ hand: [{ ...at, cluster: 77, out: true }] }).count).toBe(24);
  });

  it('is pulled aside with its cluster, as far again by another pull, and of a strip by itself', () => {
    const pulled = movedBy({ moved: [], strip: null }, { cluster: 2, layer: 0 }, [0, 0, inch(1)]);
    const twice = movedBy({ ...pulled, strip: null }, { cluster: 2, layer: 0 }, [inch(2), 0, inch(1)]);
    expect(twice.moved).toEqual([
      { strip: false, cluster: 2, layer: 0, xMm: inch(2), yMm: 0, zMm: expect.closeTo(inch(2), 9) },
    ]);
    expect(movedOf({ ...twice, strip: null }, { cluster: 1, layer: 0 })).toEqual([0, 0, 0]);
    const up = (by: object) => {
      const own = made(by).balloons.filter(({ cluster }) => cluster === 2);
      return own.reduce((sum, { zMm }) => sum + zMm / own.length, 0);
    };
    expect(
      up({ moved: movedBy({ moved: [], strip: null }, { cluster: 2, layer: 0 }, [0, 0, inch(6)]).moved }) - up({}),
    ).toBeGreaterThan(inch(2));
    // On a strip another balloon has that number.
    expect(
      worked({ ...twice, strip: { holes: 20, pitchMm: inch(3), first: 1, steps: [{ ...kelp, widthMm: inch(9) }] } })
        .moves,
    ).toEqual([]);
    const many = Array.from({ length: 120 }).reduce<{ moved: typeof pulled.moved }>(
      ({ moved }, _, cluster) => movedTo({ moved, strip: null }, { cluster, layer: 0 }, [1, 0, 0]),
      { moved: [] },
    );
    expect(many.moved.map(({ cluster }) => cluster)).toEqual(Array.from({ length: 100 }, (_, i) => i + 20));
  });

  it('moves no more than one other among scattered colours, and all are as many as counted', () => {
    const list = ['#111111', '#222222', '#333333'].map((colourHex) => ({ ...foam, colourHex, share: 1, print: false }));
    const colours = { way: 'scatter' as const, block: 2, list };
    const [before, after] = [coloured({ colours }), coloured({ colours, hand: [{ ...at, out: true }] })];
    const { sizes } = worked({ colours, hand: [{ ...at, out: true }] });
    for (const { key, count: many } of sizes) expect(after.filter((each) => each.key === key)).toHaveLength(many);
    const was = new Map(before.map(({ plan, colourHex }) => [plan!.at, colourHex]));
    expect(after.filter(({ plan, colourHex }) => was.get(plan!.at) !== colourHex).length).toBeLessThanOrEqual(1);
  });
});

describe('decorators', () => {
  const decorators = { ...foam, widthMm: inch(4), count: 5 };

  it('nest in the widest hollows, pressing into none of its balloons, as the last step', () => {
    const pack = made();
    const placed = coloured({ decorators });
    const small = placed.filter(({ key }) => key === 'decorators');
    expect(small).toHaveLength(5);
    expect(new Set(small.map(({ step }) => step))).toEqual(new Set([6]));
    for (const one of small) {
      const { xMm, yMm, zMm, widthMm } = one;
      const others = placed.filter((each) => each !== one);
      const free = others.map((each) => {
        const belong = (each.widthMm + widthMm) / 2;
        return Math.hypot(each.xMm - xMm, each.yMm - yMm, each.zMm - zMm) / belong;
      });
      // It touches one of them at least, and is no deeper in any than soft ones are.
      expect(Math.min(...free)).toBeGreaterThan(1 - TRADE.garlandPress - 1e-9);
      expect(Math.min(...free)).toBeLessThan(1 + 1e-6);
    }
    expect(nestsFor(pack, inch(4)).length).toBeGreaterThan(nestsFor(pack, inch(6)).length);
    expect(worked({ decorators }).sizes.at(-1)).toMatchObject({ key: 'decorators', count: 5, widthMm: inch(4) });
  });

  it('are tied in twos, threes and fours of uneven sizes, evenly along it, each size counted', () => {
    const groups = { ...decorators, count: 6, way: 'even', tied: [4, 3, 2], uneven: 0.1 } as const;
    const by = { decorators: { ...groups, tied: [...groups.tied] } };
    const small = coloured(by).filter(({ key }) => key === 'decorators');
    expect(small).toHaveLength(18);
    expect(worked(by).sizes.at(-1)).toMatchObject({ key: 'decorators', count: 18 });
    expect(worked(by).sizes.at(-1)!.toleranceMm).toBeCloseTo(0.2 * inch(4), 9);
    expect(new Set(small.map(({ widthMm }) => widthMm)).size).toBe(18);
    const counts = [0, 1, 2, 3, 4, 5].map((group) => small.filter(({ place }) => place === group).length);
    expect([...counts].sort()).toEqual([2, 2, 3, 3, 4, 4]);
    // Six clusters: one about each.
    const middles = counts.map((_, group) => {
      const own = small.filter(({ place }) => place === group);
      return own.reduce((sum, { xMm }) => sum + xMm / own.length, 0);
    });
    // In their order along it, but for hollows of one cluster.
    const sorted = [...middles].sort((a, b) => a - b);
    middles.forEach((x, i) => expect(Math.abs(sorted.indexOf(x) - i)).toBeLessThan(2));
    const heavier = worked(by).kg - worked().kg;
    expect(heavier / (worked({ decorators }).kg - worked().kg)).toBeCloseTo(18 / 5, 6);
  });

  it('leave hollows to flowers, leaves and signs, which are drawn as plain shapes and counted by themselves', () => {
    const pack = made();
    const trimmings = [
      { kind: 'flower', count: 4, wideMm: inch(4) },
      { kind: 'leaf', count: 6, wideMm: inch(8) },
      { kind: 'sign', count: 1, wideMm: inch(12) },
    ] as const;
    const asked = { decorators, trimmings: [...trimmings], seed: 1 };
    const lies = inHollows(decorateQuestion(asked, pack, { walls: [], trade: TRADE })!);
    expect(lies.put).toHaveLength(5);
    expect(lies.trimmings.map(({ kind }) => kind).join(' ')).toMatch(/^(flower ){4}(leaf ){6}sign$/);
    const places = lies.trimmings.map(({ at }) => at.map(Math.round).join());
    expect(
      new Set([...places, ...lies.put.map(({ xMm, yMm, zMm }) => [xMm, yMm, zMm].map(Math.round).join())]).size,
    ).toBe(16);
    // No wider than it is, each shape where it lies.
    for (const trimming of lies.trimmings) {
      const { shapes, tubes } = trimmingShapes(trimming);
      expect(shapes.length + tubes.length).toBeGreaterThan(0);
      for (const [x, y, z] of [...shapes.map(({ at }) => at), ...tubes.flatMap(({ line }) => line)]) {
        const far = Math.hypot(x - trimming.at[0], y - trimming.at[1], z - trimming.at[2]);
        expect(far).toBeLessThan(1.05 * trimming.wideMm);
      }
    }
    expect(worked({ trimmings: [...trimmings] }).count).toBe(24);
    expect(
      decorateQuestion({ decorators: null, trimmings: [], seed: 1 }, pack, { walls: [], trade: TRADE }),
    ).toBeNull();
  });

  it('are said in words', () => {
    expect(hollowsText({ nests: 12, count: 12 }, { widthMm: inch(4), widestMm: inch(4.5) }, text)).toBe(
      '12 hollows take a balloon of 4 in; the widest is 4½ in.',
    );
    expect(hollowsText({ nests: 3, count: 5 }, { widthMm: inch(4), widestMm: inch(4) }, text)).toMatch(
      / 2 more decorators: no hollow is left for them\.$/,
    );
    expect(hollowsText({ nests: 0, count: 1 }, { widthMm: inch(4), widestMm: null }, text)).toMatch(/no hollow/);
  });
});
