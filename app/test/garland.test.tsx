import { PIECE_DEFAULTS, type DesignOf } from '@leggero/contract';
import { GARLAND_PATHS, TRADE, type GarlandPathKind } from '@leggero/core';
import { knotLine } from '@leggero/core/garland';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { PiecePage } from '@/chunks/PiecePage';
import type { Material } from '@/parts/piece/material';
import { packed } from '@/parts/piece/packing';
import { stillOf } from '@/parts/piece/still';
import { garlandBalloons, nestsFor, viewGarland } from '@/parts/piece/viewGarland';
import { lengthsOf } from '@/views/lengths';
import { coverText, fillingClusters, garlandProblemText, garlandSteps, hollowsText, ruleText } from '@/wording/garland';

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
  const pack = packed({ ...worked(by), seed: 1, trade: TRADE });
  if (!pack.ok) throw new Error(pack.problem.code);
  return pack.value;
};

/** A worker that packs at once; the page has none here. */
class PackingWorker {
  onmessage: ((event: { data: unknown }) => void) | null = null;
  postMessage(question: Parameters<typeof packed>[0]) {
    const answer = packed(question, (share) => this.onmessage?.({ data: { share } }));
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
    const { clusters, sizes, balloons, ruleMm } = worked({ clusters: 7 });
    expect(clusters.map((kind) => kind.length)).toEqual([2, 2, 3, 2, 2, 3, 2]);
    expect(sizes.map(({ key, count }) => [key, count])).toEqual([
      ['cluster-1-1', 10],
      ['cluster-1-2', 10],
      ['cluster-2-1', 4],
      ['cluster-2-2', 2],
      ['cluster-2-3', 2],
    ]);
    expect(balloons).toBe(28);
    expect(ruleMm! / inch(12)).toBeCloseTo(7, 9);
    expect(worked({ kinds: [{ inRow: 1, balloons: [{ ...kelp, widthMm: inch(9), count: 5 }] }] }).ruleMm).toBeNull();
  });

  it('has every packed balloon in the colour and size of its place', () => {
    const pack = made();
    const placed = garlandBalloons(GARLAND, pack);
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
    const lengths = GARLAND_PATHS.map((kind) => lengthOf(kind));
    const [straight, droop, arch, half, corner] = lengths as [number, number, number, number, number];
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

describe('decorators', () => {
  const decorators = { ...foam, widthMm: inch(4), count: 5 };

  it('nest in the widest hollows, pressing into none of its balloons, as the last step', () => {
    const pack = made();
    const placed = garlandBalloons({ ...GARLAND, decorators }, pack);
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
  expect(garlandProblemText({ code: 'too-many-balloons', detail: { most: 4000, balloons: 4800 } }, text)).toBe(
    '4,800 balloons: up to 4,000 are packed.',
  );
  expect(garlandProblemText({ code: 'line-too-long', detail: { mostMm: inch(120) } }, text)).toBe('Up to 10 ft.');
  expect(garlandSteps(12, 'droop').join(' ')).toMatch(/12 clusters.*let it come to rest/);
  expect(garlandSteps(12, 'corner').join(' ')).toMatch(/at the bend/);
});
