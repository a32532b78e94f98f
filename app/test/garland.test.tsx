import { PIECE_DEFAULTS, type DesignOf } from '@leggero/contract';
import { GARLAND_PATHS, TRADE, type GarlandPathKind } from '@leggero/core';
import { keptApart, knotLine } from '@leggero/core/garland';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { PiecePage } from '@/chunks/PiecePage';
import type { Material } from '@/parts/piece/material';
import { packed, packedByHand } from '@/parts/piece/packing';
import { stillOf } from '@/parts/piece/still';
import { apartQuestion, colouredGarland, nestsFor, viewGarland, type ApartQuestion } from '@/parts/piece/viewGarland';
import { lengthsOf } from '@/views/lengths';
import {
  coveredText,
  coverText,
  fillingClusters,
  fillingHoles,
  garlandCounts,
  garlandProblemText,
  garlandSteps,
  garlandStepText,
  hollowsText,
  offWallText,
  printsText,
  ruleText,
  stripText,
  whichText,
} from '@/wording/garland';

import { lastDone, MODEL_ID, show, someRecords } from './studio';

const inch = (inches: number) => inches * 25.4;
const PIECE_ID = '00000000-0000-4000-8000-000000001977';
const kelp = { modelId: MODEL_ID, colourHex: '#3f7a4a', finish: 'matte' } as const;
const foam = { modelId: null, colourHex: '#f3ead8', finish: 'matte' } as const;
const GARLAND: DesignOf<'garland'> = {
  form: 'garland',
  path: { kind: 'straight', wideMm: inch(72), highMm: inch(80), dropMm: 0 },
  kinds: [
    {
      inRow: 2,
      balloons: [
        { ...kelp, widthMm: inch(10), count: 2 },
        { ...kelp, widthMm: inch(7.5), count: 2 },
      ],
    },
    {
      inRow: 1,
      balloons: [
        { ...foam, widthMm: inch(10), count: 2 },
        { ...kelp, widthMm: inch(7.5), count: 1 },
        { ...foam, widthMm: inch(16), count: 1 },
      ],
    },
  ],
  ...{ clusters: 6, decorators: null, seed: 1 },
};
const material: Material = {
  ...{ knowledge: { models: [], trade: TRADE }, studio: { stepMm: inch(1 / 8) }, chains: [], stacks: [], longs: [] },
};
const { long: text } = lengthsOf();
const worked = (by: Partial<DesignOf<'garland'>> = {}) => {
  const view = viewGarland({ ...GARLAND, ...by }, material);
  if (!view.ok) throw new Error(view.problem.code);
  return view.value;
};
const made = (by: Partial<DesignOf<'garland'>> = {}) => {
  const pack = packedByHand({ ...worked(by), seed: 1, trade: TRADE });
  if (!pack.ok) throw new Error(pack.problem.code);
  return pack.value;
};

/** It in its colours. */
const coloured = (by: Partial<DesignOf<'garland'>> = {}) => {
  const [design, view, pack] = [{ ...GARLAND, ...by }, worked(by), made(by)];
  const question = apartQuestion(design, view, pack);
  return colouredGarland(design, view, pack, question && keptApart(question), material);
};

/** A worker that packs at once; the page has none here. */
class PackingWorker {
  onmessage: ((event: { data: unknown }) => void) | null = null;
  postMessage(question: Parameters<typeof packed>[0] | ApartQuestion) {
    const tell = (share: number) => this.onmessage?.({ data: { share } });
    const answer = 'first' in question ? keptApart(question) : packed(question, tell);
    setTimeout(() => this.onmessage?.({ data: { answer } }), 0);
  }
  addEventListener() {}
  terminate() {}
}

async function open(by: Partial<DesignOf<'garland'>> = {}) {
  const records = someRecords();
  records.pieces = [
    {
      ...PIECE_DEFAULTS,
      ...{ id: PIECE_ID, name: 'Tide', createdAt: '2026-11-20T10:00:00.000Z', checks: [], demo: false, eventId: null },
      design: { ...GARLAND, ...by },
    },
  ];
  show(<PiecePage pieceId={PIECE_ID} />, records);
  await screen.findByText('Tide');
}
const field = (name: string) => screen.getByRole('textbox', { name });
const type = async (name: string, words: string) => {
  await userEvent.clear(field(name));
  await userEvent.type(field(name), words);
};
const click = (name: string | RegExp, role = 'button') => userEvent.click(screen.getByRole(role, { name }));
const kept = (is: (design: DesignOf<'garland'>) => boolean) =>
  waitFor(() => {
    const last = lastDone();
    const design = last && 'change' in last && last.change === 'piece' ? last.by.design : undefined;
    expect(design?.form === 'garland' && is(design)).toBe(true);
  });

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
    const base = placed.filter(({ key }) => key !== 'decorators');
    for (const { xMm, yMm, zMm, widthMm } of small) {
      const free = base.map((each) => {
        const belong = (each.widthMm + widthMm) / 2;
        return Math.hypot(each.xMm - xMm, each.yMm - yMm, each.zMm - zMm) / belong;
      });
      // It touches three of them.
      expect(free.filter((share) => Math.abs(share - 1) < 1e-6)).toHaveLength(3);
      expect(Math.min(...free)).toBeGreaterThan(0.9);
    }
    expect(nestsFor(pack, inch(4)).length).toBeGreaterThan(nestsFor(pack, inch(6)).length);
    expect(worked({ decorators }).sizes.at(-1)).toMatchObject({ key: 'decorators', count: 5, widthMm: inch(4) });
  });

  it('are said in words', () => {
    expect(hollowsText({ nests: 12, count: 12 }, { widthMm: inch(4), widestMm: inch(4.5) }, text)).toBe(
      '12 hollows take a balloon of 4 in; the widest is 4½ in.',
    );
    expect(hollowsText({ nests: 3, count: 5 }, { widthMm: inch(4), widestMm: inch(4) }, text)).toMatch(
      / 2 more decorators: tie them in twos and threes\.$/,
    );
    expect(hollowsText({ nests: 0, count: 1 }, { widthMm: inch(4), widestMm: null }, text)).toMatch(/no hollow/);
  });
});

describe('the page of a garland', () => {
  beforeAll(() => Object.assign(globalThis, { Worker: PackingWorker }));
  afterAll(() => Reflect.deleteProperty(globalThis, 'Worker'));

  it('packs it, says how long it is, what its path leaves and what the trade says, and takes what fills it', async () => {
    await open({ path: { ...GARLAND.path, wideMm: inch(120) } });
    expect(screen.getByText('Garland · 6 clusters, 24 balloons')).toBeTruthy();
    expect(await screen.findByText(/^[67] ft .* long: 6 clusters$/, {}, { timeout: 5000 })).toBeTruthy();
    expect(screen.getByText(/^Its path is 10 ft: 3 ft .* stay bare\.$/)).toBeTruthy();
    expect(
      screen.getByText(/^By the rule of the trade such clusters cover 6 ft: packed it is \d+ % longer\.$/),
    ).toBeTruthy();
    await click(/^Take (9|10) clusters: they fill the path$/);
    await kept(({ clusters }) => clusters === 9 || clusters === 10);
  });

  it('puts a decorator in every hollow that takes one', async () => {
    await open();
    await click('Decorators in its hollows', 'switch');
    await kept(({ decorators }) => decorators !== null);
    expect(
      await screen.findByText(/^\d+ hollows take a balloon of 4 in; the widest is /, {}, { timeout: 5000 }),
    ).toBeTruthy();
    await click(/^Put one in each: \d+$/);
    const many = Number(/\d+/.exec(screen.getByText(/hollows take a balloon of 4 in/).textContent!)![0]);
    await kept(({ decorators }) => decorators!.count === many);
    expect(screen.getByText(`Garland · 6 clusters, ${24 + many} balloons`)).toBeTruthy();
  });

  it('is made on a strip instead, made fuller by keys, coloured through, and keeps its clusters for the way back', async () => {
    await open();
    await click('On a strip', 'radio');
    await kept(({ strip }) => strip?.first === 4);
    expect(screen.getByText(/^Garland · strip of \d+ balloons, \d+ balloons$/)).toBeTruthy();
    await click('Leave a hole');
    await kept(({ strip }) => strip!.steps.at(-1) === null && strip!.steps.length === 7);
    await click('Take step 2 out');
    await kept(({ strip }) => strip!.steps.length === 6);
    const foot = screen.getByRole('slider', { name: 'How full: Left end' });
    foot.focus();
    await userEvent.keyboard('{ArrowUp}{ArrowUp}{ArrowDown}{ArrowUp}');
    await kept(({ fullness }) => fullness![0] === 1.5);
    await click('Colours of its own', 'switch');
    await kept(({ colours }) => colours!.way === 'scatter' && colours!.list.length === 2);
    await click('In blocks', 'radio');
    await type('Balloons of a block', '3');
    await kept(({ colours }) => colours!.way === 'blocks' && colours!.block === 3);
    await click('Take colour 1 out');
    await kept(({ colours }) => colours!.list.length === 1);
    await type('Parts of colour 1', '0');
    expect(await screen.findByText('At least one colour that there is any of.')).toBeTruthy();
    await click('Clusters', 'radio');
    await kept(({ strip, kinds }) => strip === null && kinds.length === 2);
  });

  it('is drawn on a wall to scale, place by place, with a door kept in sight', async () => {
    await open({ path: { ...GARLAND.path, wideMm: inch(96) } });
    await click('As I draw it', 'radio');
    await kept(({ path, wall }) => path.points?.length === 5 && wall?.wideMm === inch(168));
    // Where it ran before, place by place.
    const { points } = (lastDone() as { by: { design: DesignOf<'garland'> } }).by.design.path;
    expect(points!.map(({ xMm, zMm }) => [Math.round(xMm / 25.4), Math.round(zMm / 25.4)])).toEqual(
      [-48, -24, 0, 24, 48].map((x) => [x, 80]),
    );
    await click('Another place');
    await kept(({ path }) => path.points?.length === 6);
    await click('One place less');
    await kept(({ path }) => path.points?.length === 5);
    await click('Door');
    await kept(({ wall }) => wall?.things.length === 1 && wall.things[0]!.leftMm === inch(66));
    expect(await screen.findByText(/^\d+ balloons before the door: keep doors/, {}, { timeout: 5000 })).toBeTruthy();
    await type('From the left of 1', '0 in');
    await kept(({ wall }) => wall?.things[0]!.leftMm === 0);
    await type('Wall, width', '7 ft');
    expect(await screen.findByText('It leaves the wall by 6 in.')).toBeTruthy();
    await click('Take door 1 away');
    await kept(({ wall }) => wall?.things.length === 0);
  });

  it('takes back what was changed by hand, the newest first', async () => {
    const at = { strip: false, cluster: 2, layer: 0, place: 0, widthMm: null, part: null };
    await open({
      hand: [
        { ...at, out: true },
        { ...at, place: 1, out: true },
      ],
    });
    expect(screen.getByText('Garland · 6 clusters, 22 balloons')).toBeTruthy();
    expect(screen.getByText('2 balloons changed by hand.')).toBeTruthy();
    await click('Undo');
    await kept(({ hand }) => hand!.length === 1 && hand![0]!.place === 0);
    expect(screen.getByText('Garland · 6 clusters, 23 balloons')).toBeTruthy();
  });

  it('keeps what was packed last in sight while fewer clusters are packed', async () => {
    await open();
    await screen.findByText(/long: 6 clusters$/, {}, { timeout: 5000 });
    // Of its second kind there is none any more.
    await type('Clusters', '1');
    expect(screen.getByText('Garland · 1 cluster, 4 balloons')).toBeTruthy();
    expect(screen.getByText(/long: 6 clusters$/)).toBeTruthy();
    expect(await screen.findByText(/long: 1 cluster$/, {}, { timeout: 5000 })).toBeTruthy();
  });

  it('has kinds of cluster put in and taken out, and their balloons counted', async () => {
    await open();
    await type('Count 1 of cluster 1', '3');
    await kept(({ kinds }) => kinds[0]!.balloons[0]!.count === 3);
    expect(screen.getByText('Garland · 6 clusters, 28 balloons')).toBeTruthy();
    await type('In a row of cluster 2', '2');
    await kept(({ kinds }) => kinds[1]!.inRow === 2);
    await click('Another kind of cluster');
    await kept(({ kinds }) => kinds.length === 3);
    await click('Take cluster 1 out');
    await kept(({ kinds }) => kinds.length === 2 && kinds[0]!.balloons.length === 3);
    await click('Turn its clusters another way');
    await kept(({ seed }) => seed === 2);
  });

  it('says beside the field what cannot be, and loses nothing', async () => {
    await open({ path: { kind: 'droop', wideMm: inch(120), highMm: inch(80), dropMm: inch(20) } });
    await type('Hangs down by', '7 ft');
    expect(await screen.findByText('It would lie on the floor: under 6 ft 8 in.')).toBeTruthy();
    expect(screen.getByText('Garland · cannot be worked out')).toBeTruthy();
    await type('Hangs down by', '2 ft');
    expect(screen.getByText('Garland · 6 clusters, 24 balloons')).toBeTruthy();
    for (const i of [1, 2]) await type(`Count ${i} of cluster 1`, '0');
    expect(await screen.findByText('A whole number of balloons, one at least in a cluster.')).toBeTruthy();
    await type('Clusters', '900');
    expect(screen.getByText('1 to 400 clusters.')).toBeTruthy();
  });
});

it('words of garlands say what would work', () => {
  expect(coverText({ lengthMm: inch(120), pathMm: inch(121), clusters: 10 }, text)).toBe(
    'Its path is 10 ft 1 in: it fills it.',
  );
  expect(coverText({ lengthMm: inch(140), pathMm: inch(120), clusters: 10 }, text)).toMatch(
    /goes on for 20 in beyond its end/,
  );
  expect(fillingClusters({ lengthMm: 1200, pathMm: 1200, clusters: 4 })).toBeNull();
  expect(fillingClusters({ lengthMm: 1200, pathMm: 2400, clusters: 4 })).toBe(8);
  expect(fillingClusters({ lengthMm: 1200, pathMm: 1e9, clusters: 4 })).toBe(400);
  expect(ruleText(1000, 1000, text)).toMatch(/: as packed\.$/);
  expect(ruleText(1000, 900, text)).toMatch(/10 % shorter\.$/);
  expect(ruleText(null, 900, text)).toBe('The trade has no rule for clusters like these.');
  expect(garlandProblemText({ code: 'too-many-balloons', detail: { most: 5000, balloons: 5280 } }, text)).toBe(
    '5,280 balloons: up to 5,000 are packed.',
  );
  expect(garlandProblemText({ code: 'line-too-long', detail: { mostMm: inch(120) } }, text)).toBe('Up to 10 ft.');
  const steps = (kind: GarlandPathKind, by: { strip?: object; fullness?: number[] } = {}) =>
    garlandSteps(12, { path: { kind }, strip: null, fullness: [1, 1], ...by }).join(' ');
  expect(steps('droop')).toMatch(/12 clusters.*let it come to rest/);
  expect(steps('corner')).toMatch(/the foot, the bend and the top/);
  expect(steps('corner')).not.toMatch(/Tie more clusters/);
  expect(steps('corner', { strip: {}, fullness: [2, 1] })).toMatch(
    /12 balloons into their holes.*with bands.*the strip/,
  );
  const tied = { clusters: 3, holes: null, over: [{ on: 0 }] };
  expect([0, 3, 4].map((step) => garlandStepText(step, tied, 4))).toEqual([
    'Cluster 1 of 3: 4 balloons',
    'Over cluster 1: 4 balloons',
    '4 decorators, the widest hollows first',
  ]);
  const strip = { ...tied, holes: [4, 6, 7] };
  expect([1, 3].map((step) => garlandStepText(step, strip, 1))).toEqual([
    'Hole 6: number 2 of 3',
    'Over hole 4: 1 balloon',
  ]);
  expect(garlandCounts(tied, 16)).toBe('3 clusters and 1 over them, 16 balloons');
  expect(garlandCounts(strip, 7)).toBe('strip of 3 balloons and 1 over it, 7 balloons');
  const hung = { holes: 40, pitchMm: inch(3), before: 3, after: 2 };
  expect(stripText(hung, inch(120), text)).toBe(
    'The strip is 10 ft long; 3 holes before and 2 behind its balloons are left to hang it by.',
  );
  expect(stripText({ ...hung, before: 0, after: 0 }, inch(60), text)).toMatch(
    /no hole is left to hang it by.*5 ft longer than where it runs/,
  );
  expect(fillingHoles({ ...hung, first: 4 }, inch(108))).toBeNull();
  expect(fillingHoles({ ...hung, first: 4 }, inch(180))).toBe(65);
  expect(printsText(0)).toBeNull();
  expect(printsText(1)).toMatch(/^1 pair of prints lies side by side/);
  const door = { kind: 'door' as const, leftMm: 1000, lowMm: 0, wideMm: 900, highMm: 2000 };
  const wall = { wideMm: 4000, highMm: 2500, things: [door, { ...door, kind: 'sofa' as const }] };
  // Its left edge is 1 m to the left of the wall's middle.
  const ball = (xMm: number, zMm: number) => ({ xMm, zMm, widthMm: 250 });
  expect(coveredText([ball(-1126, 1000), ball(-500, 2126), ball(26, 500)], wall)).toBeNull();
  expect(coveredText([ball(-1124, 1000), ball(-500, 2124)], wall)).toMatch(/^2 balloons before the door: /);
  expect(offWallText([[-2000, 0, 2500]], wall, text)).toBeNull();
  expect(offWallText([[0, 0, 2500 + inch(4)]], wall, text)).toBe('It leaves the wall by 4 in.');
  expect(garlandProblemText({ code: 'path-crosses' }, text)).toMatch(/crosses itself/);
  const which = { cluster: 2, layer: 0, place: 1 };
  expect(whichText(which, null)).toBe('Balloon 2 of cluster 3');
  expect(whichText({ ...which, layer: 2 }, null)).toBe('Balloon 2 over cluster 3, layer 3');
  expect(whichText({ ...which, place: 0 }, [{ hole: 4 }, { hole: 6 }, { hole: 7 }])).toBe('The balloon in hole 7');
});
