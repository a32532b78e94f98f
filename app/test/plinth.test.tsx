import { EVENT_DEFAULTS, PIECE_DEFAULTS, type DesignOf } from '@leggero/contract';
import { TRADE } from '@leggero/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { PiecePage } from '@/chunks/PiecePage';
import type { Material } from '@/parts/piece/material';
import { viewPlinth } from '@/parts/piece/viewPlinth';
import { lengthsOf } from '@/views/lengths';
import { boardText, plinthProblemText, plinthSteps, tooLightText, weightsText } from '@/wording/plinth';

import { lastDone, MODEL_ID, show, someRecords } from './studio';

const inch = (inches: number) => inches * 25.4;
const PIECE_ID = '00000000-0000-4000-8000-000000001906';
const EVENT_ID = '00000000-0000-4000-8000-000000001907';
const kelp = { modelId: MODEL_ID, colourHex: '#3f7a4a', finish: 'matte' } as const;
const PLINTH: DesignOf<'plinth'> = {
  form: 'plinth',
  ...{ count: 4, clusters: 3, widthMm: inch(9), smallMm: inch(4), weightKg: 1, wind: null, board: null },
  standing: [{ wideMm: inch(18), highMm: inch(30), kg: 0.1 }],
  colours: [kelp],
  pattern: { kind: 'rings', order: [0], to: 'right', every: 1 },
  painted: [],
};
const material: Material = {
  ...{ knowledge: { models: [], trade: TRADE }, studio: { stepMm: inch(1 / 8) }, chains: [], stacks: [], longs: [] },
};
const { text, bare } = lengthsOf();
const worked = (by: Partial<DesignOf<'plinth'>> = {}) => {
  const view = viewPlinth({ ...PLINTH, ...by }, material);
  if (!view.ok) throw new Error(view.problem.code);
  return view.value;
};

async function open(by: Partial<DesignOf<'plinth'>> = {}, outdoors = false) {
  const records = someRecords();
  const createdAt = '2026-11-20T10:00:00.000Z';
  if (outdoors)
    records.events = [
      { ...EVENT_DEFAULTS, outdoors, id: EVENT_ID, name: 'Tide', daysStanding: 1, createdAt, demo: false },
    ];
  records.pieces = [
    {
      ...PIECE_DEFAULTS,
      ...{ id: PIECE_ID, name: 'Quay', createdAt, checks: [], demo: false, eventId: outdoors ? EVENT_ID : null },
      design: { ...PLINTH, ...by },
    },
  ];
  show(<PiecePage pieceId={PIECE_ID} />, records);
  await screen.findByText('Quay');
}
const click = (name: string, role = 'button') => userEvent.click(screen.getByRole(role, { name }));
const type = async (name: string, words: string) => {
  const field = screen.getByRole('textbox', { name });
  await userEvent.clear(field);
  await userEvent.type(field, words);
};

describe('a plinth', () => {
  /** Common practice: three quads of 11 in at 9 in, a quad of 5 in at 4 in seated between each two. */
  it('of three quads and two small ones is twenty balloons, and tells what its weights must be', async () => {
    await open();
    expect(screen.getByText('Plinth · 5 clusters, 20 balloons')).toBeTruthy();
    expect(
      screen.getByText(/^2 ft \S* ?in long, 18 in high and deep$|^24\S* in long, 18 in high and deep$/),
    ).toBeTruthy();
    expect(
      screen.getByText(/^At least \d+\.\d kg \(\d+\.\d lb\) at each end: .* N of air about its front edge\.$/),
    ).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'From the first step' }));
    expect(screen.getByText('Layer 1 of 5, 9 in: 4 kelp green')).toBeTruthy();
  });

  it('lighter than what stands on it, or than the air asks for, is said beside its weights', async () => {
    await open({ standing: [{ wideMm: inch(18), highMm: inch(30), kg: 9 }] });
    expect(screen.getByText(/^Lighter than what stands on it: 4\.5 kg/)).toBeTruthy();
    await type('At each end, kg', '5');
    expect(screen.queryByText(/^Lighter than/)).toBeNull();
    await waitFor(() => {
      const last = lastDone();
      const design = last && 'change' in last && last.change === 'piece' ? last.by.design : undefined;
      expect(design?.form === 'plinth' && design.weightKg).toBe(5);
    });
    await click('Moderate breeze', 'radio');
    expect(screen.getByText(/^Too light for the air that moves there/)).toBeTruthy();
    expect(screen.getByText(/ask whoever is responsible on site/)).toBeTruthy();
  });

  it('asks for the wind outdoors, and refuses figures wider than it is', async () => {
    await open({}, true);
    expect(screen.getByText(/^The event is outdoors: choose the strongest wind/)).toBeTruthy();
    await click('A figure or sign on it');
    expect(screen.getByText(/^Together they are wider than the plinth: up to /)).toBeTruthy();
    await click('Take figure 2 off');
    expect(screen.getByText('Plinth · 5 clusters, 20 balloons')).toBeTruthy();
    await click('Small clusters between them', 'switch');
    expect(screen.getByText('Plinth · 3 clusters, 12 balloons')).toBeTruthy();
  });

  it('has a round board covered with half a foil, and says which and how much tape', async () => {
    await open();
    await click('Covered with half a foil', 'switch');
    expect(
      screen.getByText(/^Half of a round foil balloon of 18 in, measured empty: .* 3 ft 8 in\.$|44 in\.$/),
    ).toBeTruthy();
    await type('Board across', '60 in');
    expect(screen.getByText('No round foil is large enough for that.')).toBeTruthy();
  });

  it('lies with its largest size first, its necks on the middle line', () => {
    const { balloons, sizes, plan } = worked();
    expect(sizes.map(({ widthMm, count }) => [Math.round(widthMm / inch(1)), count])).toEqual([
      [9, 12],
      [4, 8],
    ]);
    for (const { yMm, zMm, neck, layer } of balloons) {
      const { radiusMm } = plan.layers[layer]!;
      expect(Math.hypot(yMm + radiusMm * neck[1], zMm - plan.highMm / 2 + radiusMm * neck[2])).toBeCloseTo(0, 6);
    }
  });

  it('says in words what it needs', () => {
    const { plan } = worked();
    expect(weightsText(plan, 'cm')).toMatch(/^At least \d+\.\d kg at each end: \d/);
    expect(weightsText({ ...plan, standingKg: 50, leastKg: 25 }, 'cm')).toMatch(
      /^At least 25\.0 kg at each end: no lighter/,
    );
    expect(tooLightText({ ...plan, weightsKg: 2 * plan.leastKg }, 'cm')).toBeNull();
    expect(plinthSteps(plan, PLINTH, 'quads')).toHaveLength(5);
    expect(plinthSteps(plan, { ...PLINTH, smallMm: null, standing: [] }, 'quads')[1]).toMatch(
      /through their middles\.$/,
    );
    expect(boardText({ foilMm: inch(18), tapeMm: inch(44) }, { text, bare })).toContain('18 in');
    expect(plinthProblemText({ code: 'bad-weight' }, text)).toBe('From nothing to 100 kg.');
    expect(plinthProblemText({ code: 'no-layers' }, text)).toBe('At least one cluster.');
    expect(plinthProblemText({ code: 'bad-width' }, text)).toMatch(/^A width that a balloon can have/);
  });
});
