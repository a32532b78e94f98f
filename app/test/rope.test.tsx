import { PIECE_DEFAULTS, type DesignOf, type PieceDesign } from '@leggero/contract';
import { TRADE } from '@leggero/core';
import type { BowProblemCode } from '@leggero/core/building';
import type { Problem } from '@leggero/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { PiecePage } from '@/chunks/PiecePage';
import type { Material } from '@/parts/piece/material';
import { joinerThrough, tiedScene } from '@/parts/piece/tiedScene';
import { viewBow, viewRope } from '@/parts/piece/viewRope';
import { lengthsOf } from '@/views/lengths';
import { bowProblemText, bowStepText, bowText, ropeText, strungText } from '@/wording/rope';

import { lastDone, MODEL_ID, show, someRecords } from './studio';

const inch = (inches: number) => inches * 25.4;
const PIECE_ID = '00000000-0000-4000-8000-000000001902';
const roe = { modelId: MODEL_ID, colourHex: '#d2663e', finish: 'matte' } as const;
const foam = { modelId: null, colourHex: '#f3ead8', finish: 'matte' } as const;
const COLOURS = {
  colours: [roe, foam],
  pattern: { kind: 'rings' as const, order: [0, 1], to: 'right' as const, every: 1 },
  painted: [],
};
const ROPE: DesignOf<'rope'> = {
  ...COLOURS,
  ...{ form: 'rope', count: 2, open: 'height', layers: 30, heightMm: inch(72), widthMm: inch(4), joiner: foam },
};
const BOW: DesignOf<'bow'> = {
  ...COLOURS,
  ...{ form: 'bow', count: 2, open: 'across', loop: 25, tail: 10, acrossMm: inch(96), widthMm: inch(7.5) },
  ...{ knotMm: inch(84), joiner: foam },
};
const material: Material = {
  ...{ knowledge: { models: [], trade: TRADE }, studio: { stepMm: inch(1 / 8) }, chains: [], stacks: [] },
  longs: [{ id: 'long', nominalMm: inch(1), lengthMm: inch(30) }],
};
const { text, fine } = lengthsOf();

async function open(design: PieceDesign) {
  const records = someRecords();
  records.pieces = [
    {
      ...PIECE_DEFAULTS,
      ...{ id: PIECE_ID, name: 'Roe', createdAt: '2026-11-20T10:00:00.000Z', checks: [], demo: false, eventId: null },
      design,
    },
  ];
  show(<PiecePage pieceId={PIECE_ID} />, records);
  await screen.findByText('Roe');
}
const type = async (label: string, words: string) => {
  const field = screen.getByRole('textbox', { name: label });
  await userEvent.clear(field);
  await userEvent.type(field, words);
};
const keptDesign = async <Form extends PieceDesign['form']>(form: Form, is: (design: DesignOf<Form>) => boolean) =>
  waitFor(() => {
    const last = lastDone();
    const design = last && 'change' in last && last.change === 'piece' ? last.by.design : undefined;
    expect(design?.form === form && is(design as DesignOf<Form>)).toBe(true);
  });

describe('a rope', () => {
  /** Common practice: sixty 5 in balloons at 4 in, on a single stretched 260. */
  it('of thirty duplets at 4 in is six feet, on one 260, in the order it is strung', async () => {
    await open(ROPE);
    expect(screen.getByText('Rope · 30 duplets, 60 balloons')).toBeTruthy();
    expect(screen.getByText(/^6 ft 1\S* in long: 30 duplets at 4 in$/)).toBeTruthy();
    expect(screen.getByText(/^The rope is strung on one 260: 6\.8 times its empty length/)).toBeTruthy();
    expect(screen.getByText('All 30 duplets')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'From the first step' }));
    expect(screen.getByText('Duplet 1 of 30: 2 kelp green')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'One step on' }));
    expect(screen.getByText('Duplet 2 of 30: 2 colour 2')).toBeTruthy();
  });

  it('is worked out from its length, and says what cannot be beside its field', async () => {
    await open({ ...ROPE, open: 'layers' });
    await type('Length', '3 ft');
    expect(screen.getByText('Rope · 14 duplets, 28 balloons')).toBeTruthy();
    await keptDesign('rope', ({ heightMm }) => Math.abs(heightMm - inch(36)) < 0.01);
    await type('Length', '1 in');
    expect(screen.getByText('From 4 in to 98 ft 5⅛ in.')).toBeTruthy();
    expect(screen.getByText('Rope · cannot be worked out')).toBeTruthy();
  });

  it('has its necks tied in the middle, and the joiner through all of them', () => {
    const view = viewRope(ROPE, material);
    if (!view.ok) throw new Error(view.problem.code);
    const scene = tiedScene(view.value.balloons, () => roe, [], {
      holds: joinerThrough(view.value.balloons, '#ffffff'),
      ceiling: null,
      unit: 'in',
    });
    for (const { at, neck } of scene.balloons)
      expect(
        [at[0] + (neck[0] * inch(4)) / 2, at[1] + (neck[1] * inch(4)) / 2].map((mm) =>
          mm.toFixed(6).replace('-0.', '0.'),
        ),
      ).toEqual(['0.000000', '0.000000']);
    expect(scene.tubes).toHaveLength(1);
    expect(scene.tubes[0]!.line).toHaveLength(30);
  });

  it('of a shorter modelling balloon takes two, knotted', () => {
    const view = viewRope({ ...ROPE, joiner: { ...foam, modelId: 'long' } }, material);
    if (!view.ok) throw new Error(view.problem.code);
    expect(view.value.joiner.pieces).toBe(2);
    expect(strungText(view.value.joiner, { name: '130', text, each: 'The rope', mostPull: 7 })).toMatch(
      /2 of 130, knotted/,
    );
  });

  it('tells what its steps leave', () => {
    const view = viewRope({ ...ROPE, open: 'layers', heightMm: inch(70) }, material);
    if (!view.ok) throw new Error(view.problem.code);
    expect(ropeText(view.value.plan, 'layers', fine)).toMatch(
      / (longer|shorter) than asked\. At 4.* in it would land\.$/,
    );
    expect(ropeText(view.value.plan, 'height', fine)).toMatch(/^Each duplet is turned a quarter/);
  });
});

describe('a bow', () => {
  /** Common practice: 35 duplets a side, closed at the 25th, of 9 in at 7 to 8 in: about 8 ft across. */
  it('of 35 duplets a side is some eight feet across, and both loops come from one count', async () => {
    await open(BOW);
    expect(screen.getByText('Bow · 35 duplets a side, 140 balloons')).toBeTruthy();
    expect(screen.getByText(/^8 ft \S+ in across: 35 duplets a side at 7½ in$/)).toBeTruthy();
    expect(screen.getByText(/closes at duplet 25, then 3 ft 9\S* in of tail\./)).toBeTruthy();
    expect(screen.getByText(/^Each side is strung on 3 of 260, knotted one to the next/)).toBeTruthy();
    await type('Duplets in a loop', '30');
    expect(screen.getByText('Bow · 40 duplets a side, 160 balloons')).toBeTruthy();
    await keptDesign('bow', ({ loop }) => loop === 30);
    await type('Duplets in a loop', '9');
    expect(screen.getByText(/^So tight a loop does not bend: from 14 duplets on/)).toBeTruthy();
  });

  it('says when its tails lie on the floor', async () => {
    await open({ ...BOW, knotMm: inch(36), tail: 20 });
    expect(screen.getByText(/^Its tails reach .* below the floor: hang it higher/)).toBeTruthy();
  });

  it('counts and colours both sides alike, one after the other in its building order', () => {
    const view = viewBow(BOW, material);
    if (!view.ok) throw new Error(view.problem.code);
    const { balloons, sizes, tying, plan, lowMm, highMm } = view.value;
    expect(balloons).toHaveLength(140);
    expect(sizes.reduce((sum, { count }) => sum + count, 0)).toBe(140);
    expect(tying.tied.reduce((sum, { count }) => sum + count, 0)).toBe(70);
    for (const right of balloons.filter(({ step }) => step < 35)) {
      const left = balloons.find(({ step, place }) => step === right.step + 35 && place === right.place)!;
      expect(left.xMm).toBeCloseTo(-right.xMm, 9);
      expect(left.key).toBe(right.key);
    }
    // Loops stand a third of their length over the knot, tails fall below it.
    expect((highMm - inch(84)) / plan.lobeMm).toBeGreaterThan(0.35);
    expect(inch(84) - lowMm).toBeGreaterThan(plan.tailMm * 0.8);
    const scene = tiedScene(balloons, () => roe, [], {
      holds: joinerThrough(balloons, '#ffffff'),
      ceiling: null,
      unit: 'in',
    });
    expect(scene.tubes.length).toBeGreaterThanOrEqual(2);
    expect(bowStepText(24, plan, () => ['roe', 'roe'])).toBe('Right side. Duplet 25 of 35: 2 roe; close the loop here');
    expect(bowStepText(35, plan, () => ['roe', 'foam'])).toBe('Left side. Duplet 1 of 35: roe and foam');
  });

  it('tells what its steps leave, and what stands in the way', () => {
    const asked = { ...BOW, open: 'loop' as const, acrossMm: inch(100) };
    const view = viewBow(asked, material);
    if (!view.ok) throw new Error(view.problem.code);
    expect(bowText(view.value.plan, 'loop', { text, fine })).toMatch(
      /than asked; at .* in it would land\. Each loop takes/,
    );
    const said = (refused: Problem<BowProblemCode>) => bowProblemText(refused, text);
    expect(said({ code: 'bad-across', detail: { leastMm: 0, mostMm: inch(24) } })).toBe('Above nothing, up to 24 in.');
    expect(said({ code: 'bad-tail' })).toBe('A whole number of duplets, or none.');
    expect(said({ code: 'too-many-layers', detail: { most: 90 } })).toBe('Up to 90 layers are worked out here.');
  });
});
