import { PIECE_DEFAULTS, PIECE_FORMS, type DesignOf, type EyeCheckRecord } from '@leggero/contract';
import { TRADE, type SizeSpread } from '@leggero/core';
import { balloonsOf, stackLayers } from '@leggero/core/building';
import { basket, spheresOf } from '@leggero/core/linking';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { PiecePage } from '@/chunks/PiecePage';
import { formScene, offScene, stackScene, unevenBalloons } from '@/parts/piece/scenes';
import type { ColumnBalloon } from '@/parts/piece/colouring';
import { extentOf } from '@/parts/space/scene';
import { spreadOfChecks, spreadOfEye } from '@/views/spread';
import { spreadText } from '@/wording/building';
import { stepHowText } from '@/wording/stepHow';

import { MODEL_ID, show, someRecords } from './studio';

const inch = (inches: number) => inches * 25.4;
const [WIDTH, HEIGHT] = [390, 460];
const kelp = { modelId: MODEL_ID, colourHex: '#3f7a4a', finish: 'matte' } as const;
const COLUMN: DesignOf<'column'> = {
  form: 'column',
  ...{ count: 4, open: 'height', layers: 3, widthMm: inch(10), heightMm: inch(72), standMm: 12 },
  ...{ topper: null, heldBy: 'pole', ceilingMm: null },
  colours: [kelp, { modelId: null, colourHex: '#f3ead8', finish: 'clear' }],
  pattern: { kind: 'rings', order: [0, 1], to: 'right', every: 1 },
  painted: [],
};

/** The test page has no layout: every element is told to be as large as a picture on a phone. */
function layOut() {
  const size = { width: WIDTH, height: HEIGHT };
  const box = { ...size, x: 0, y: 0, left: 0, top: 0, right: WIDTH, bottom: HEIGHT, toJSON: () => size };
  jest.spyOn(HTMLElement.prototype, 'offsetWidth', 'get').mockReturnValue(WIDTH);
  jest.spyOn(HTMLElement.prototype, 'offsetHeight', 'get').mockReturnValue(HEIGHT);
  jest.spyOn(HTMLElement.prototype, 'getBoundingClientRect').mockReturnValue(box);
}

/** Tells of each element once, as a browser does after it was laid out. */
class OnceObserver {
  constructor(private readonly tell: (entries: { target: Element }[]) => void) {}
  observe(target: Element) {
    setTimeout(() => act(() => this.tell([{ target }])), 0);
  }
  unobserve() {}
  disconnect() {}
}
beforeAll(() => Object.assign(window, { ResizeObserver: OnceObserver }));

async function open(by: Partial<DesignOf<'column'>> = {}) {
  const records = someRecords();
  records.pieces = [
    {
      ...PIECE_DEFAULTS,
      ...{ id: '00000000-0000-4000-8000-000000001901', name: 'Kelp', createdAt: '2026-11-20T10:00:00.000Z' },
      ...{ checks: [], demo: false, design: { ...COLUMN, ...by } },
    },
  ];
  show(<PiecePage pieceId="00000000-0000-4000-8000-000000001901" />, records);
  await screen.findByText('Kelp');
  const picture = await screen.findByRole('img', { name: /^A column of/ });
  await waitFor(() => expect(ellipses(picture).length).toBeGreaterThan(0));
  return picture;
}
const ellipses = (picture: HTMLElement) => [...picture.querySelectorAll('ellipse[stroke-width]')];
const click = (name: string) => userEvent.click(screen.getByRole('button', { name }));

describe('a piece in space, where there is no WebGL', () => {
  beforeEach(layOut);
  afterEach(() => jest.restoreAllMocks());

  it('is a still drawing of every balloon, turned by keys and by a drag', async () => {
    const picture = await open();
    expect(ellipses(picture)).toHaveLength(12);
    const at = () => ellipses(picture).map((each) => each.getAttribute('cx'));
    const before = at();
    fireEvent.keyDown(picture, { key: 'ArrowRight' });
    expect(at()).not.toEqual(before);
    fireEvent.keyDown(picture, { key: '0' });
    expect(at()).toEqual(before);
    const hands = picture.lastElementChild!;
    fireEvent.mouseDown(hands, { clientX: 100, clientY: 100, buttons: 1 });
    fireEvent.mouseMove(window, { clientX: 160, clientY: 100, buttons: 1 });
    fireEvent.mouseUp(window, { clientX: 160, clientY: 100 });
    expect(at()).not.toEqual(before);
    // A clear skin lets through what is behind it.
    expect(ellipses(picture).filter((each) => each.getAttribute('fill-opacity') === '0.55')).toHaveLength(4);
  });

  it('is built up step by step, and a tap asks for the target of the balloon that is hit', async () => {
    const picture = await open();
    expect(screen.getByText('All 3 layers')).toBeTruthy();
    await click('From the first step');
    expect(screen.getByText(/^Layer 1 of 3, 10 in: 4 /)).toBeTruthy();
    expect(ellipses(picture)).toHaveLength(4);
    expect(screen.getByText(/this one is locked\.$/)).toBeTruthy();
    // The drawing is turned to it: from above it is seen how it lies.
    const [first] = ellipses(picture).map((each) => Number(each.getAttribute('ry')));
    await click('One step on');
    expect(ellipses(picture)).toHaveLength(8);
    expect(screen.getByText(/half a step on.* makes a zigzag\.$/)).toBeTruthy();
    await click('One step on');
    expect(screen.getByText(/the topmost is locked too\.$/)).toBeTruthy();
    await click('One step on');
    expect(screen.getByText('All 3 layers')).toBeTruthy();
    expect(screen.queryByText(/the topmost is locked too/)).toBeNull();
    // All of it is seen again as it was at first: smaller than one layer by itself.
    expect(Number(ellipses(picture)[0]!.getAttribute('ry'))).toBeLessThan(first!);
    const nearest = ellipses(picture).at(-1)!;
    const [x, y] = ['cx', 'cy'].map((name) => Number(nearest.getAttribute(name)));
    const hands = picture.lastElementChild!;
    fireEvent.mouseDown(hands, { clientX: x, clientY: y, buttons: 1 });
    fireEvent.mouseUp(window, { clientX: x, clientY: y });
    await waitFor(() => expect(ellipses(picture).at(-1)!.getAttribute('stroke-width')).toBe('1.8'));
  });

  it('fills the screen, and goes back', async () => {
    await open();
    await click('Fill the screen');
    const whole = await screen.findByRole('dialog');
    await waitFor(() => expect(ellipses(within(whole).getByRole('img'))).toHaveLength(12));
    await userEvent.click(within(whole).getByRole('button', { name: 'Back to the page' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(screen.getByRole('img', { name: /^A column of/ })).toBeTruthy();
  });
});

describe('linking work in space', () => {
  it('lies knot to tail around a ring, and its ties point to the middle', () => {
    const made = basket({ spokes: 6, baseMm: inch(3.5), rings: 2, stepMm: inch(1 / 8), jointMm: 5 });
    if (!made.ok) throw new Error('no basket');
    const { form } = made.value.snapped;
    const spheres = spheresOf(form);
    const { balloons } = formScene(spheres, form, () => kelp, [], { tubes: [], discs: [] });
    balloons.forEach(({ at, neck, step }, i) => {
      const { tie, layer, index } = spheres[i]!;
      expect(Math.hypot(...neck)).toBeCloseTo(1, 9);
      if (tie) {
        // A tie goes on once both layers that it ties are there.
        const { below, above } = form.ties[layer]!;
        const tied = balloons.filter((_, j) => !spheres[j]!.tie && [below, above].includes(spheres[j]!.layer));
        expect(step).toBeGreaterThan(Math.max(...tied.map((each) => each.step)));
        return;
      }
      if (form.layers[layer]!.role !== 'ring') return;
      const { count } = form.layers[layer]!;
      const next =
        balloons[spheres.findIndex((each) => !each.tie && each.layer === layer && each.index === (index + 1) % count)]!;
      const chord = [0, 1, 2].map((k) => next.at[k]! - at[k]!);
      const along = chord.reduce((sum, each, k) => sum + each * neck[k]!, 0);
      expect(along).toBeCloseTo(Math.hypot(...chord), 6);
    });
  });
});

describe('how balloons come out', () => {
  const stack = stackLayers({ layers: [4, 4].map((count) => ({ count, widthMm: inch(10) })) });
  if (!stack.ok) throw new Error('no stack');
  const balloons = balloonsOf(stack.value).map((each): ColumnBalloon => ({ ...each, colourHex: '#3f7a4a', key: 'a' }));
  const sceneOf = (placed: readonly ColumnBalloon[], standMm = 0) =>
    stackScene(placed, () => kelp, [], {
      ...{ standMm, topper: null, poleMm: 100, heldBy: 'pole', baseMm: 300, ceiling: null, unit: 'in' },
    });
  const LARGE: SizeSpread = { lean: 0.1, sd: 0 };

  it('lays a column anew of what each balloon came out as', () => {
    const how = { seed: 1, heldBy: 'pole', packing: TRADE.packing, trade: TRADE } as const;
    const made = sceneOf(unevenBalloons(balloons, stack.value, { ...how, spread: LARGE }));
    expect(extentOf(made).highMm).toBeCloseTo(1.1 * extentOf(sceneOf(balloons)).highMm, 6);
    // Necks are tied in the middle, wherever a balloon lies.
    for (const { at, neck } of made.balloons)
      expect(at[0] * neck[0] + at[1] * neck[1]).toBeCloseTo(-Math.hypot(at[0], at[1]), 6);
  });

  it('leaves each where it belongs where a form closes on itself', () => {
    const drawn = sceneOf(balloons, 12);
    const made = offScene(drawn, LARGE, 1);
    made.balloons.forEach(({ at, widthMm }, i) => {
      expect(at).toEqual(drawn.balloons[i]!.at);
      expect(widthMm).toBeCloseTo(1.1 * inch(10), 6);
    });
  });

  /** Widths as a check, or a session by eye, has them. */
  const measured = (widthsMm: readonly number[], targetMm: number) => {
    const [check] = someRecords().models[0]!.checks;
    const results = widthsMm.map((widthMm, position) => ({
      ...check!.results[0]!,
      ...{ id: `${check!.id}-${position}`, position, answer: null, widthMm },
    }));
    return { ...check!, targetMm, size: widthsMm.length, results };
  };

  it('is known of checks once there are eight balloons, however each was checked', () => {
    // Four widths 2 in 100 too large on the whole, twice: within a batch and between them a hundredth either way.
    const first = measured([202, 206, 202, 206], 200);
    const second = measured([101, 103, 101, 103], 100);
    expect(spreadOfChecks([first], [])).toBeNull();
    const spread = spreadOfChecks([first, second], [])!;
    expect(spread).toEqual({ balloons: 8, lean: expect.closeTo(0.02, 6), sd: expect.closeTo(0.01, 4) });
    // Two answers are too few.
    expect(spreadOfChecks(someRecords().models[0]!.checks, [])).toBeNull();
  });

  it('is known of an eye by what that person filled', () => {
    const balloonsOff = [0.9, 1.1, 0.9, 1.1, 0.99, 1.01, 0.99, 1.01, 0.99, 1.01, 0.99, 1.01].map(
      (factor, position) => ({
        ...{
          id: `b${position}`,
          eyeCheckId: 'e',
          position,
          widthMm: 250 * factor,
          takenAt: '2026-11-20T10:00:00.000Z',
        },
      }),
    );
    const session = { mode: 'two', personId: 'p', secondPersonId: 'q', size: 4, targetMm: 250, balloons: balloonsOff };
    const asked = [session] as unknown as EyeCheckRecord[];
    expect(spreadOfEye(asked, 'p')).toBeNull();
    expect(spreadOfEye(asked, 'q')).toEqual({ balloons: 8, lean: expect.closeTo(0, 6), sd: expect.closeTo(0.01, 4) });
  });

  it('is said in words', () => {
    expect(spreadText({ lean: 0.0121, sd: 0.024, balloons: 60, by: 'checked' }, 'it stands 6 ft')).toBe(
      'Of 60 that were checked: 1.2 % large, and 2.4 % more or less from one to the next. Of such it stands 6 ft this time.',
    );
    expect(spreadText({ lean: 0, sd: 0.05, balloons: 8, by: 'eye' }, null)).toBe(
      'Of 8 sized by eye: right on the whole, and 5.0 % more or less from one to the next.',
    );
  });
});

it('every form of piece says how its first step, its last and those between are done', () => {
  for (const form of PIECE_FORMS) {
    const [first, next, last] = [0, 1, 4].map((step) => stepHowText(form, step, 5));
    expect(new Set([first, next, last]).size).toBe(3);
    expect(stepHowText(form, 3, 5)).toBe(next);
  }
});
