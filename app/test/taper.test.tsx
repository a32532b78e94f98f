import { MODEL_DEFAULTS, PIECE_DEFAULTS, type DesignOf, type ModelDetail } from '@leggero/contract';
import { TRADE } from '@leggero/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { PiecePage } from '@/chunks/PiecePage';
import { profileOf, SILHOUETTE_NAMES, silhouetteOf, withPoint } from '@/features/building/silhouettes';
import type { Material } from '@/parts/piece/material';
import { viewTaper } from '@/parts/piece/viewTaper';
import { lengthsOf } from '@/views/lengths';
import { taperText } from '@/wording/building';

import { lastDone, show, someRecords } from './studio';

const inch = (inches: number) => inches * 25.4;
const id = (n: number) => `00000000-0000-4000-8000-0000000038${String(n).padStart(2, '0')}`;
const PIECE_ID = id(1);
const white = { modelId: id(11), colourHex: '#ece7db', finish: 'matte' } as const;
const TAPER: DesignOf<'taper'> = {
  form: 'taper',
  ...{ count: 5, poleMm: inch(60), standMm: 0, stepMm: inch(1 / 2), topper: null, ceilingMm: null },
  profile: [
    { at: 0, widthMm: inch(9.25) },
    { at: 1, widthMm: inch(3.5) },
  ],
  colours: [white],
  pattern: { kind: 'rings', order: [0], to: 'right', every: 1 },
  painted: [],
};
const model = (n: number, inches: number, by: Partial<ModelDetail> = {}): ModelDetail => ({
  ...{ id: id(n), line: 'Fennimore Standard', kind: 'round', nominalMm: inch(inches), finish: 'matte' },
  ...{ colourName: 'white', colourHex: '#ece7db', ...MODEL_DEFAULTS, demo: false, uses: 0 },
  ...{ calibrations: [], holdTests: [], targets: [], checks: [] },
  ...by,
});
const SIZES = [model(10, 5), model(11, 11), model(12, 16), model(13, 5, { colourName: 'red', colourHex: '#b23a2e' })];
const material = (models: ModelDetail[], daysStanding = 1): Material => ({
  ...{ knowledge: { models, trade: TRADE }, studio: { stepMm: inch(1 / 8), daysStanding } },
  ...{ chains: [], stacks: [], longs: [] },
});
const worked = (design: Partial<DesignOf<'taper'>> = {}, of = material(SIZES)) => {
  const made = viewTaper({ ...TAPER, ...design }, of);
  if (!made.ok) throw new Error(made.problem.code);
  return made.value;
};

describe('a taper worked out', () => {
  /** Common practice: the first sizes from 5 in balloons, from 5 in upward 11 in; three weeks go up to 16 in. */
  it('takes each layer from the smallest nominal of its own colour that suits', () => {
    const { layers, sizes } = worked();
    expect(layers.length).toBeGreaterThanOrEqual(11);
    for (const { widthMm, nominalMm } of layers)
      expect(nominalMm).toBe(widthMm <= inch(4.5) ? inch(5) : widthMm < inch(5) ? null : inch(11));
    // Red ones are another colour.
    expect(new Set(sizes.map(({ part }) => part.modelId))).toEqual(new Set([id(10), id(11)]));
    const weeks = worked({}, material(SIZES, 21)).layers;
    expect(weeks.find(({ widthMm }) => widthMm > inch(7.5))!.nominalMm).toBe(inch(16));
  });

  it('counts each size once, all layers of it together, and every balloon is of one', () => {
    const { sizes, balloons, layers } = worked();
    expect(sizes.reduce((sum, { count }) => sum + count, 0)).toBe(5 * layers.length);
    expect(new Set(sizes.map(({ widthMm }) => widthMm)).size).toBe(sizes.length);
    for (const { key, widthMm } of balloons) expect(sizes.find((size) => size.key === key)!.widthMm).toBe(widthMm);
  });

  it('has a topper that is a balloon rest on its topmost layer', () => {
    const plain = worked();
    const topped = worked({ topper: { kind: 'balloon', part: { ...white, widthMm: inch(8) } } });
    expect(topped.heightMm).toBeGreaterThan(plain.heightMm + inch(5));
    expect(topped.sizes.at(-1)).toMatchObject({ key: 'topper', count: 1, widthMm: inch(8) });
    const lost = viewTaper({ ...TAPER, topper: { kind: 'balloon', part: { ...white, widthMm: 1 } } }, material(SIZES));
    expect(lost).toMatchObject({ ok: false, problem: { code: 'no-hold', field: 'topper' } });
  });

  it('has a topper look lost by the layer that it stands on, not by its foot', () => {
    const top = worked().layers.at(-1)!.widthMm;
    const leastFor = (heightMm: number) => worked({ topper: { kind: 'figure', heightMm } }).leastTopperMm;
    expect(leastFor(2.5 * top)! / top).toBeCloseTo(30 / 11, 9);
    expect(leastFor(2.8 * top)).toBeNull();
    expect(worked().leastTopperMm).toBeNull();
  });

  it('that no balloon of its colour reaches says so', () => {
    expect(viewTaper(TAPER, material([model(11, 5)]))).toMatchObject({
      ok: false,
      problem: { code: 'outside-useful' },
    });
  });
});

describe('silhouettes', () => {
  it('are known again at any size, until they are dragged', () => {
    for (const name of SILHOUETTE_NAMES) {
      expect(silhouetteOf(profileOf(name, 200))).toBe(name);
      const dragged = profileOf(name, 200).map((point, i) => (i === 0 ? { ...point, widthMm: 55 } : point));
      expect(silhouetteOf(dragged)).toBeNull();
    }
  });

  it('take another point in their longest stretch, up to nine', () => {
    expect(withPoint(TAPER.profile).map(({ at }) => at)).toEqual([0, 0.5, 1]);
    let profile = TAPER.profile;
    for (let i = 0; i < 12; i += 1) profile = withPoint(profile);
    expect(profile).toHaveLength(9);
  });
});

describe('the page of a taper', () => {
  const open = async (by: Partial<DesignOf<'taper'>> = {}) => {
    const records = someRecords();
    records.models.push(...SIZES);
    records.pieces = [
      {
        ...PIECE_DEFAULTS,
        ...{ id: PIECE_ID, name: 'Beacon', createdAt: '2026-11-20T10:00:00.000Z', checks: [], demo: false },
        design: { ...TAPER, ...by },
      },
    ];
    show(<PiecePage pieceId={PIECE_ID} />, records);
    await screen.findByText('Beacon');
  };
  const kept = () => {
    const last = lastDone();
    return last && 'change' in last && last.change === 'piece' ? (last.by.design as DesignOf<'taper'>) : null;
  };
  const type = async (label: string, text: string) => {
    const field = screen.getByRole('textbox', { name: label });
    await userEvent.clear(field);
    await userEvent.type(field, text);
  };

  it('names every layer, its nominal, and what the pole leaves', async () => {
    await open();
    expect(screen.getByText(/^Taper · 1[2-4] layers, \d+ balloons$/)).toBeTruthy();
    const card = within(screen.getByText('Layers, as they stand').parentElement!);
    expect(card.getAllByText('from 11 in balloons').length).toBeGreaterThan(4);
    expect(screen.getByText(/Its layers cover the pole|over the pole|of pole shows/)).toBeTruthy();
    expect(screen.getByRole('img', { name: /^A taper of 1[2-4] quints, .* from the foot up: / })).toBeTruthy();
  });

  it('follows another silhouette, and a width that is typed', async () => {
    await open();
    await userEvent.click(screen.getByRole('radio', { name: 'Vase' }));
    await waitFor(() => expect(kept()!.profile).toHaveLength(4));
    await type('At the foot, inches', '8');
    await waitFor(() => expect(kept()!.profile[0]).toEqual({ at: 0, widthMm: inch(8) }));
    expect(screen.getByRole('radio', { name: 'Vase' }).getAttribute('aria-checked')).toBe('false');
  });

  it('says beside its field what cannot be, and loses nothing', async () => {
    await open();
    await type('Pole, from the floor', '95 ft');
    expect(screen.getByText('Up to 200 layers are worked out here.')).toBeTruthy();
    expect(screen.getByText('Taper · cannot be worked out')).toBeTruthy();
    await type('Pole, from the floor', '5 ft');
    expect(screen.getByText(/^Taper · 1[2-4] layers/)).toBeTruthy();
    await type('At the foot, inches', '30');
    expect(screen.getByText(/^That takes balloons of .*; these are useful from/)).toBeTruthy();
  });

  it('has points put in and taken out', async () => {
    await open();
    fireEvent.click(screen.getByRole('button', { name: 'Another point' }));
    await waitFor(() => expect(kept()!.profile).toHaveLength(3));
    fireEvent.click(screen.getByRole('button', { name: 'Take the point at 50 % of its height out' }));
    await waitFor(() => expect(kept()!.profile).toHaveLength(2));
  });
});

it('words of a taper say what shows, and what hides it', () => {
  const write = { text: lengthsOf().long, fine: lengthsOf().fine };
  const said = (offMm: number, scale = 1) => taperText({ offMm, scale } as Parameters<typeof taperText>[0], write);
  expect(said(1)).toBe('Its layers cover the pole.');
  expect(said(8)).toBe('Its layers stand 5/16 in over the pole.');
  expect(said(-25.4)).toBe('1 in of pole shows: a row of 5 in balloons at 4¼ in on top hides it.');
  expect(said(0, 0.97)).toMatch(/every width is 3 % smaller than the silhouette/);
});
