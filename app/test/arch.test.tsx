import { EVENT_DEFAULTS, PIECE_DEFAULTS, type DesignOf } from '@leggero/contract';
import { TRADE } from '@leggero/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { PiecePage } from '@/chunks/PiecePage';
import type { Material } from '@/parts/piece/material';
import { viewArch } from '@/parts/piece/viewArch';
import { lengthsOf } from '@/views/lengths';
import { archProblemText, archSteps, archText, bendText } from '@/wording/arch';

import { lastDone, MODEL_ID, show, someRecords } from './studio';

const inch = (inches: number) => inches * 25.4;
const PIECE_ID = '00000000-0000-4000-8000-000000001904';
const EVENT_ID = '00000000-0000-4000-8000-000000001905';
const kelp = { modelId: MODEL_ID, colourHex: '#3f7a4a', finish: 'matte' } as const;
const ARCH: DesignOf<'arch'> = {
  form: 'arch',
  ...{ count: 4, shape: 'ellipse', open: 'layers', layers: 30, standMm: inch(0.5) },
  ...{ spanMm: inch(108), highMm: inch(90), widthMm: inch(10) },
  colours: [kelp],
  pattern: { kind: 'rings', order: [0], to: 'right', every: 1 },
  painted: [],
};
const material: Material = {
  ...{ knowledge: { models: [], trade: TRADE }, studio: { stepMm: inch(1 / 8) }, chains: [], stacks: [], longs: [] },
};
const { text, fine } = lengthsOf();
const worked = (by: Partial<DesignOf<'arch'>> = {}) => {
  const view = viewArch({ ...ARCH, ...by }, material);
  if (!view.ok) throw new Error(view.problem.code);
  return view.value;
};

async function open(by: Partial<DesignOf<'arch'>> = {}, event: { outdoors: boolean; ceilingMm: number } | null = null) {
  const records = someRecords();
  const createdAt = '2026-11-20T10:00:00.000Z';
  if (event)
    records.events = [
      { ...EVENT_DEFAULTS, ...event, id: EVENT_ID, name: 'Tide', daysStanding: 1, createdAt, demo: false },
    ];
  records.pieces = [
    {
      ...PIECE_DEFAULTS,
      ...{ id: PIECE_ID, name: 'Gate', createdAt, checks: [], demo: false, eventId: event ? EVENT_ID : null },
      design: { ...ARCH, ...by },
    },
  ];
  show(<PiecePage pieceId={PIECE_ID} />, records);
  await screen.findByText('Gate');
}
const type = async (name: string, words: string) => {
  const field = screen.getByRole('textbox', { name });
  await userEvent.clear(field);
  await userEvent.type(field, words);
};

describe('an arch', () => {
  it('has as many layers as its curve is long, and tells what one passes through and how it bends', async () => {
    await open();
    const { plan } = worked();
    expect(screen.getByText(`Arch · ${plan.layers} layers, ${4 * plan.layers} balloons`)).toBeTruthy();
    expect(screen.getByText(/^8 ft \S* in high, 9 ft between its feet: \d+ quads at 10 in$/)).toBeTruthy();
    expect(screen.getByText(/One passes through 6 ft \S* ?in wide and 6 ft .* high\.$/)).toBeTruthy();
    expect(
      screen.getByText(/^At its top it bends most, with a radius of 2 ft 8\S* in: its inner side is 22 % shorter/),
    ).toBeTruthy();
    await type('Feet apart', '12 ft');
    await waitFor(() => {
      const last = lastDone();
      const design = last && 'change' in last && last.change === 'piece' ? last.by.design : undefined;
      expect(design?.form === 'arch' && Math.round(design.spanMm)).toBe(Math.round(inch(144)));
    });
  });

  it('with feet wider than its layers are long is refused beside that field', async () => {
    await open({ open: 'height', layers: 12 });
    expect(screen.getByText(/^Its feet stand wider than its layers are long: under /)).toBeTruthy();
    await type('Feet apart', '4 ft');
    expect(screen.getByText('Arch · 12 layers, 48 balloons')).toBeTruthy();
  });

  it('is told what its room and the weather say against it', async () => {
    await open({ shape: 'catenary' }, { outdoors: true, ceilingMm: inch(96) });
    expect(screen.getByText('Outdoors always on a frame: a free arch gives way in wind.')).toBeTruthy();
    expect(screen.getByText(/taller than the ceiling of 8 ft\.$/)).toBeTruthy();
  });

  it('stands in order from its left foot, on both sides alike', () => {
    const { balloons, plan, highMm } = worked();
    expect(balloons.map(({ step }) => step)).toEqual(balloons.map(({ step }) => step).sort((a, b) => a - b));
    const across = (layer: number) =>
      balloons.filter((each) => each.layer === layer).reduce((sum, { xMm }) => sum + xMm, 0);
    expect(across(0)).toBeLessThan(0);
    expect(across(plan.layers - 1)).toBeGreaterThan(0);
    expect(highMm).toBeGreaterThan(inch(90));
  });

  it('says in words what bends, what lands, and in which order it is built', () => {
    const { plan } = worked();
    const bends = bendText(plan, text);
    expect(bends).toMatch(
      /more than latex takes up: with inner balloons of .* in and outer ones of .* in there it takes/,
    );
    expect(bends).toMatch(/Or keep one size, and leave the inner balloon out of one layer in \d+ there\.$/);
    const wide = worked({ spanMm: inch(180) }).plan;
    expect(bendText(wide, text)).toMatch(/which latex takes up: all balloons of one size\.$/);
    expect(archText({ ...plan, offMm: inch(3) }, ARCH, { text, fine })).toMatch(
      /^3 in longer than its curve: pressed along all of it/,
    );
    expect(archSteps(plan, ARCH, 'quads')[1]).toMatch(/^Stand the frame/);
    expect(archSteps(plan, { ...ARCH, shape: 'catenary' }, 'quads').at(-1)).toMatch(/^Tie the line to the right base/);
    expect(
      archProblemText({ code: 'bends-too-tight', detail: { leastMm: inch(12), radiusMm: inch(6) } }, text),
    ).toMatch(/a radius of 6 in there/);
    expect(archProblemText({ code: 'bad-span' }, text)).toBe('Above nothing, please.');
    expect(archProblemText({ code: 'no-layers' }, text)).toBe('At least one layer.');
  });
});
