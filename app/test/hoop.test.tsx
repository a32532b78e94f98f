import { PIECE_DEFAULTS, type DesignOf } from '@leggero/contract';
import { TRADE } from '@leggero/core';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { PiecePage } from '@/chunks/PiecePage';
import { hoopHolds } from '@/features/building/hoopHolds';
import type { Material } from '@/parts/piece/material';
import { viewHoop } from '@/parts/piece/viewHoop';
import { lengthsOf } from '@/views/lengths';
import { clockText, clusterStepText, hoopProblemText, hoopText, signText } from '@/wording/hoop';

import { lastDone, MODEL_ID, show, someRecords } from './studio';

const inch = (inches: number) => inches * 25.4;
const PIECE_ID = '00000000-0000-4000-8000-000000001903';
const tide = { modelId: MODEL_ID, colourHex: '#3a6ea8', finish: 'matte' } as const;
const HOOP: DesignOf<'hoop'> = {
  form: 'hoop',
  ...{ count: 4, hoopMm: inch(60), standMm: inch(6), stepMm: inch(1 / 4), foot: null, sign: null },
  crescents: [
    {
      ...{ atDeg: 180, centreMm: inch(9), between: null },
      steps: [
        { widthMm: inch(8), left: 2, right: 2 },
        { widthMm: inch(6), left: 2, right: 1 },
      ],
    },
  ],
  colours: [tide],
  pattern: { kind: 'rings', order: [0], to: 'right', every: 1 },
  painted: [],
};
const material: Material = {
  ...{ knowledge: { models: [], trade: TRADE }, studio: { stepMm: inch(1 / 8) }, chains: [], stacks: [], longs: [] },
};
const { text, fine } = lengthsOf();
const worked = (by: Partial<DesignOf<'hoop'>> = {}) => {
  const view = viewHoop({ ...HOOP, ...by }, material);
  if (!view.ok) throw new Error(view.problem.code);
  return view.value;
};

async function open(by: Partial<DesignOf<'hoop'>> = {}) {
  const records = someRecords();
  records.pieces = [
    {
      ...PIECE_DEFAULTS,
      ...{ id: PIECE_ID, name: 'Gate', createdAt: '2026-11-20T10:00:00.000Z', checks: [], demo: false, eventId: null },
      design: { ...HOOP, ...by },
    },
  ];
  show(<PiecePage pieceId={PIECE_ID} />, records);
  await screen.findByText('Gate');
}
const field = (name: string) => screen.getByRole('textbox', { name });
const type = async (name: string, words: string) => {
  await userEvent.clear(field(name));
  await userEvent.type(field(name), words);
};
const click = (name: string, role = 'button') => userEvent.click(screen.getByRole(role, { name }));
const kept = (is: (design: DesignOf<'hoop'>) => boolean) =>
  waitFor(() => {
    const last = lastDone();
    const design = last && 'change' in last && last.change === 'piece' ? last.by.design : undefined;
    expect(design?.form === 'hoop' && is(design)).toBe(true);
  });

describe('a hoop', () => {
  it('tells where its crescent lies, what stays bare, and what covers that', async () => {
    await open();
    expect(screen.getByText('Hoop · 8 clusters, 32 balloons')).toBeTruthy();
    expect(
      screen.getByText(/^A crescent from .* o’clock.* of hoop in 1 part, covered by \d+ half-filled/),
    ).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'From the first step' }));
    expect(screen.getByText('Crescent 1, its centre, 6 o’clock, 9 in: 4 kelp green')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'One step on' }));
    expect(
      screen.getByText(/^Crescent 1, 1 to the left, .* o’clock|^Crescent 1, 1 to the left, half past 6/),
    ).toBeTruthy();
  });

  it('is refused where it is smaller than its clusters, or its crescents meet, beside the field', async () => {
    await open();
    await type('Hoop across', '9 in');
    expect(screen.getByText(/^Its clusters are thicker than that: from .* across\.$/)).toBeTruthy();
    await type('Hoop across', '5 ft');
    await type('Left 1', '20');
    await type('Right 1', '20');
    expect(screen.getByText(/^Its ends lie .* over what comes next/)).toBeTruthy();
    expect(screen.getByText('Hoop · cannot be worked out')).toBeTruthy();
    expect(field('Left 1')).toHaveProperty('value', '20');
  });

  it('lands between two places, its sizes scaled', async () => {
    await open();
    await click('To land between two places', 'switch');
    expect(screen.getByText(/^So its sizes are \d+ % of those below, on steps\.$/)).toBeTruthy();
    expect(screen.getByText(/^A crescent from 3 o’clock to 9 o’clock\./)).toBeTruthy();
    await type('Ends at, o’clock', '3');
    expect(screen.getByText('It begins where it ends: choose two places.')).toBeTruthy();
    await type('Ends at, o’clock', '8');
    expect(screen.getByText(/^A crescent from 3 o’clock to 8 o’clock\./)).toBeTruthy();
    await kept(({ crescents }) => crescents[0]!.between?.toDeg === 240);
  });

  /** Common practice: designs for one person are written in strokes, 5, 4, 3, 2, 1. */
  it('is read in from strokes of another pump, and told in strokes of its own', async () => {
    await open();
    await click('Crescent 1 from strokes');
    const sheet = within(screen.getByRole('dialog', { name: 'Written in strokes' }));
    const doses = sheet.getByRole('textbox', { name: /^From the centre outwards/ });
    await userEvent.clear(doses);
    expect(sheet.getByRole('button', { name: 'Use these sizes' }).getAttribute('aria-disabled')).toBe('true');
    await userEvent.type(doses, '3, 2, 1');
    expect(sheet.getByRole('status').textContent).toMatch(/^With Fennimore Standard 11: .* in, .* in, .* in\.$/);
    await userEvent.click(sheet.getByRole('button', { name: 'Use these sizes' }));
    await kept(({ crescents: [crescent] }) => {
      const { centreMm, steps } = crescent!;
      // As many clusters as before, each smaller than the last, by the cube root of the strokes or so.
      const counts = steps.map(({ left, right }) => [left, right]);
      const falling = centreMm > steps[0]!.widthMm && steps[0]!.widthMm > steps[1]!.widthMm;
      const like = Math.abs(centreMm / steps[1]!.widthMm / Math.cbrt(3) - 1) < 0.15;
      return JSON.stringify(counts) === '[[2,2],[2,1]]' && falling && like;
    });
    expect(screen.getAllByText(/ with your own$/).length).toBe(3);
  });

  it('has a foot and a sign, which must not lie over balloons', async () => {
    await open();
    await click('Larger clusters at its foot', 'switch');
    expect(screen.getByText('Hoop · 10 clusters, 40 balloons')).toBeTruthy();
    await click('A sign inside', 'switch');
    expect(screen.getByText(/^Two lines of .* free around it\.$/)).toBeTruthy();
    await type('Sign high', '4 ft');
    expect(screen.getByText(/It lies .* over balloons/)).toBeTruthy();
    await type('Sign high', '5 ft');
    expect(screen.getByText(/^Too large for the hoop/)).toBeTruthy();
  });

  it('stands in space on its stand, each neck at the tube, its sign on two lines', () => {
    const sign = { wideMm: inch(20), highMm: inch(12) };
    const view = worked({ sign });
    const { tubes, discs } = hoopHolds({ ...HOOP, sign }, view);
    expect(discs).toHaveLength(1);
    const [ring] = tubes;
    for (const [x, , z] of ring!.line) expect(Math.hypot(x, z - inch(36))).toBeCloseTo(inch(30), 6);
    expect(tubes.filter(({ line }) => line[0]![0] === line.at(-1)![0] && line[0]![2] > inch(36)).length).toBe(2);
    for (const { xMm, zMm, neck, widthMm } of view.balloons) {
      const reach = widthMm / 2 / Math.sin(Math.PI / 4);
      expect(Math.hypot(xMm + reach * neck[0], zMm - inch(36) + reach * neck[2])).toBeCloseTo(inch(30), 4);
    }
    // From the centre outwards, left and right in turn.
    const order = view.plan.clusters.map(({ place }, i) => ({
      place,
      step: view.balloons.find(({ layer }) => layer === i)!.step,
    }));
    expect(order.sort((a, b) => a.step - b.step).map(({ place }) => place)).toEqual([0, -1, 1, -2, 2, -3, 3, -4]);
  });

  it('speaks of places as on a clock', () => {
    expect([0, 90, 195, 360, -15].map(clockText)).toEqual([
      '12 o’clock',
      '3 o’clock',
      'half past 6',
      '12 o’clock',
      'half past 11',
    ]);
    const { plan } = worked();
    expect(
      clusterStepText(
        plan.clusters.find(({ place }) => place === 2)!,
        '4 tide',
        text,
      ),
    ).toMatch(/^Crescent 1, 2 to the right, .*: 4 tide$/);
    expect(hoopText({ ...plan, bare: [], bareMm: 0 }, null, text)).toMatch(/No hoop stays bare\.$/);
    expect(signText({ ok: true, value: { lineMm: inch(10), freeMm: -inch(1) } }, { text, fine })).toMatch(
      /It lies 1 in over balloons/,
    );
    expect(hoopProblemText({ code: 'bad-count', detail: { least: 0 } }, text)).toBe(
      'A whole number of clusters, or none.',
    );
    expect(hoopProblemText({ code: 'no-hold', detail: { ring: 2 } }, text)).toMatch(/^It finds no hold/);
  });
});
