import { PIECE_DEFAULTS, type DesignOf } from '@leggero/contract';
import { howExact, unevenStack, type PieceMeasure } from '@leggero/core/building';
import { act, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import Svg from 'react-native-svg';

import { PiecePage } from '@/chunks/PiecePage';
import { Ghost } from '@/parts/piece/Ghost';
import { simulatedOf } from '@/features/building/simulated';
import type { ExactQuestion } from '@/parts/piece/useExact';
import type { Scene } from '@/parts/space/scene';
import { viewOf } from '@/parts/space/view';
import { lengthsOf } from '@/views/lengths';
import { allowedText, exactText, handsText, measureText, ofHundred, pairText } from '@/wording/exact';

import { MODEL_ID, show, someRecords } from './studio';

const inch = (inches: number) => inches * 25.4;
const PIECE_ID = '00000000-0000-4000-8000-000000001901';
const kelp = { modelId: MODEL_ID, colourHex: '#3f7a4a', finish: 'matte' } as const;
const COLUMN: DesignOf<'column'> = {
  form: 'column',
  ...{ count: 4, open: 'height', layers: 8, widthMm: inch(10), heightMm: inch(72), standMm: 0 },
  ...{ topper: null, heldBy: 'pole', ceilingMm: null },
  colours: [kelp],
  pattern: { kind: 'rings', order: [0], to: 'right', every: 1 },
  painted: [],
};
/** Longer than the hand rests before a worker is asked. */
const RESTED_MS = 700;
/** Enough to tell the ways apart; the page asks for far more. */
const FEW = 200;

/** Builds pieces as the worker does: half way at first, then all of them. */
class Builder {
  static asked: ExactQuestion[] = [];
  static ended = 0;
  static silent = false;
  onmessage: ((event: { data: unknown }) => void) | null = null;
  private later: ReturnType<typeof setTimeout> | undefined;
  terminate = () => {
    Builder.ended += 1;
    clearTimeout(this.later);
  };
  postMessage = (question: ExactQuestion) => {
    Builder.asked.push(question);
    this.later = setTimeout(() => {
      this.onmessage?.({ data: { share: 0.5 } });
      if (Builder.silent) return;
      this.later = setTimeout(() => {
        const { trials } = question;
        const answer = howExact({ ...question, trials: trials < FEW ? trials : FEW });
        this.onmessage?.({ data: { answer } });
      }, 0);
    }, 0);
  };
}

beforeEach(() => {
  Builder.asked = [];
  Builder.silent = false;
  Object.assign(globalThis, { Worker: Builder });
});
afterEach(() => {
  Reflect.deleteProperty(globalThis, 'Worker');
  Reflect.deleteProperty(globalThis, 'IntersectionObserver');
});

async function open(by: Partial<DesignOf<'column'>> = {}) {
  const records = someRecords();
  records.pieces = [
    {
      ...PIECE_DEFAULTS,
      ...{ id: PIECE_ID, name: 'Kelp', createdAt: '2026-11-20T10:00:00.000Z', checks: [], demo: false, eventId: null },
      design: { ...COLUMN, ...by },
    },
  ];
  show(<PiecePage pieceId={PIECE_ID} />, records);
  await screen.findByText('Kelp');
}
const click = (name: string | RegExp, role = 'button') => userEvent.click(screen.getByRole(role, { name }));
const retype = async (name: string, text: string) => {
  const field = screen.getByRole('textbox', { name });
  await userEvent.clear(field);
  await userEvent.type(field, text);
};
const answer = (text: RegExp) => screen.findByText(text);

describe('how exact a column must be', () => {
  /** Common practice: on a pole customers never notice; on line unequal balloons lean it. */
  it('is told for each way to size its balloons, with what comes out', async () => {
    await open();
    await answer(/^By eye is fine: \d+ of 100 show no fault\.$/);
    expect(screen.getByText(/^Good enough: nearly all balloons within .* either way, at 10 in\.$/)).toBeTruthy();
    const ways = within(screen.getByRole('radiogroup', { name: 'By which way' }));
    expect(ways.getAllByRole('radio').map((way) => way.getAttribute('aria-label')!.split(':')[0])).toEqual([
      ...['By eye', 'With a sizer', 'Every one checked', 'As chosen'],
    ]);
    expect(ways.getByRole('radio', { name: /^By eye/ }).getAttribute('aria-checked')).toBe('true');
    expect(screen.getByText(/from memory, until your eye is tested/)).toBeTruthy();
    expect(await screen.findByRole('img', { name: /^Height, over all: / })).toBeTruthy();
    // A pole keeps it upright.
    expect(screen.queryByRole('img', { name: /^Lean/ })).toBeNull();
    await click(/^Every one checked/, 'radio');
    expect(screen.getByText(/those off by more than .* are made again/)).toBeTruthy();
  });

  it('on line is another answer: there it leans', async () => {
    await open({ heldBy: 'line' });
    await answer(/^Check every one: /);
    await click(/^By eye/, 'radio');
    expect(
      await screen.findByRole('img', { name: /^Lean, at its top, before it is straightened: up to / }),
    ).toBeTruthy();
  });

  it('shows one of the worst in twenty over the drawing, and takes it away again', async () => {
    await open();
    await answer(/^By eye is fine/);
    const ghost = () => screen.getByRole('switch', { name: 'One of the worst in twenty, over the drawing' });
    expect(screen.queryByText(/^In outlines/)).toBeNull();
    await userEvent.click(ghost());
    expect(screen.getByText('In outlines: one of the worst in twenty, as it comes out.')).toBeTruthy();
    expect(ghost()).toHaveProperty('checked', true);
    await click('Away with it');
    expect(screen.queryByText(/^In outlines/)).toBeNull();
    expect(ghost()).toHaveProperty('checked', false);
  });

  it('has those at its front in its outlines, each as wide as it came out', () => {
    const made = unevenStack({
      layers: Array(2).fill({ count: 4, widthMm: 200 }),
      spread: { lean: 0, sd: 0.1 },
      seed: 3,
    });
    if (!made.ok) throw new Error(made.problem.code);
    const balloons = made.value.balloons.map(({ xMm, yMm, zMm, widthMm, outwards }) => {
      return { at: [xMm, yMm, zMm] as const, widthMm, out: [Math.cos(outwards!), Math.sin(outwards!), 0] as const };
    });
    const scene: Scene = { balloons: [], tubes: [], discs: [], outline: null, room: null };
    const space = viewOf(scene, { turn: 0.5, tilt: 0, zoom: 1, push: [0, 0] }, 390, 460);
    const { container } = render(
      <Svg>
        <Ghost balloons={balloons} space={space} />
      </Svg>,
    );
    const radii = [...container.querySelectorAll('circle')].map((circle) => Number(circle.getAttribute('r')));
    expect(radii.length).toBeGreaterThanOrEqual(4);
    expect(radii.length).toBeLessThan(8);
    const shares = radii.map((r) => r / Math.max(...radii));
    expect(new Set(shares.map((share) => share.toFixed(4))).size).toBe(radii.length);
  });

  it('is asked with a spread of one’s own; what none can have is said beside its field', async () => {
    await open();
    await answer(/^By eye is fine/);
    await click(/^As chosen/, 'radio');
    await retype('Nearly all within, either way, inches', '2');
    await waitFor(() => expect(Builder.asked.at(-1)!.chosen!.sd).toBeCloseTo(0.1, 6));
    await screen.findByRole('radio', { name: /^As chosen: \d\d? of 100$/ });
    await retype('Nearly all within, either way, inches', '6');
    expect(screen.getByText(/^Up to 50 % of a balloon either way/)).toBeTruthy();
    await retype('Nearly all within, either way, inches', '0');
    expect(screen.getByText(/^No two balloons are all alike/)).toBeTruthy();
    await answer(/^By eye is fine/);
    expect(screen.getByRole('textbox', { name: 'Nearly all within, either way, inches' })).toBeTruthy();
  });

  it('is not asked of ten pieces', async () => {
    await open();
    await answer(/^By eye is fine/);
    await retype('Pieces built to find out', '10');
    expect(screen.getByText('From 200 to 100,000 pieces: fewer say nothing.')).toBeTruthy();
    expect(screen.getByText(/^By eye is fine/)).toBeTruthy();
  });

  it('says how far it is, can be stopped, and begun again', async () => {
    Builder.silent = true;
    await open();
    await waitFor(() => expect(screen.getByRole('progressbar').getAttribute('aria-valuenow')).toBe('50'));
    const before = Builder.ended;
    await click('Stop');
    expect(Builder.ended).toBe(before + 1);
    Builder.silent = false;
    await click('Build them after all');
    await answer(/^By eye is fine/);
  });

  it('is worked out only while it is on the screen, or about to be; what was answered stays', async () => {
    let see: (isIntersecting: boolean) => void = () => undefined;
    class Observer {
      constructor(tell: (seen: { isIntersecting: boolean }[]) => void) {
        see = (isIntersecting) => act(() => tell([{ isIntersecting }]));
      }
      observe = () => undefined;
      disconnect = () => undefined;
    }
    Object.assign(globalThis, { IntersectionObserver: Observer });
    Builder.silent = true;
    await open();
    await new Promise((resolve) => setTimeout(resolve, RESTED_MS));
    expect([Builder.asked.length, screen.queryByRole('progressbar')]).toEqual([0, null]);
    see(true);
    await waitFor(() => expect(Builder.asked).toHaveLength(1));
    const before = Builder.ended;
    see(false);
    expect(Builder.ended).toBe(before + 1);
    Builder.silent = false;
    see(true);
    await answer(/^By eye is fine/);
    see(false);
    see(true);
    expect(screen.getByText(/^By eye is fine/)).toBeTruthy();
    await new Promise((resolve) => setTimeout(resolve, RESTED_MS));
    expect(Builder.asked).toHaveLength(2);
  });

  it('says so when the worker cannot', async () => {
    class Broken extends Builder {
      override postMessage = () => setTimeout(() => this.onmessage?.({ data: { failed: 'gone' } }), 0);
    }
    Object.assign(globalThis, { Worker: Broken });
    await open();
    await answer(/^It could not be worked out here/);
  });
});

describe('how exact a piece must be, in words', () => {
  const { text, fine } = lengthsOf();
  const piece = simulatedOf(COLUMN, { layers: [], heightMm: 0, touchingMm: 0, balloons: 0 }, 'pole');
  const layers = Array.from({ length: 6 }, () => ({ count: 4, widthMm: inch(10) }));
  const found = (own: ExactQuestion['own'], heldBy: 'pole' | 'line' = 'pole') => {
    const made = howExact({ piece: { ...piece, layers, heldBy }, trials: 200, seed: 1, own });
    if (!made.ok) throw new Error(made.problem.code);
    return made.value;
  };

  it('is the quickest way that is good enough, with what the next quicker one does', () => {
    const sd = (eye: number, sizer: number) => ({ eye: { lean: 0, sd: eye }, sizer: { lean: 0, sd: sizer } });
    expect(exactText(found(sd(0.02, 0.01)))).toMatch(/^By eye is fine: 100 of 100/);
    expect(exactText(found(sd(0.1, 0.02)))).toMatch(/^Use the sizer: 100 of 100 show no fault, by eye \d+ of 100\.$/);
    expect(exactText(found(sd(0.1, 0.1)))).toMatch(/^Check every one: 100 of 100 show no fault, sized without a check/);
    const small = { lean: -0.05, sd: 0.01 };
    expect(exactText(found({ eye: small, sizer: small }))).toMatch(
      /^Checking every one is not enough: .* They are off on the whole: check the hole/,
    );
  });

  it('never rounds to all where it is not all, nor to none', () => {
    expect([1, 0.9996, 0.5, 0.001, 0].map(ofHundred)).toEqual([
      ...['100 of 100', '99 of 100', '50 of 100', 'under 1 of 100', '0 of 100'],
    ]);
  });

  it('tells spreads as lengths on the piece’s balloons, and where they are from', () => {
    const said = (way: 'eye' | 'sizer', known: boolean) =>
      handsText({ lean: -0.02, sd: 0.025 }, { way, known, meanMm: inch(10), fine });
    expect(said('eye', true)).toBe('Nearly all within ½ in, 3/16 in small on the whole (as your eye was tested).');
    expect(said('sizer', false)).toContain('from memory, until batches are checked');
    const whole = found({});
    expect(allowedText({ ...whole, allowed: { sd: 0, any: false } }, inch(10), { text, fine })).toMatch(
      /^No exactness/,
    );
    expect(allowedText({ ...whole, allowed: { sd: 0.25, any: true } }, inch(10), { text, fine })).toMatch(
      /^Nothing would/,
    );
  });

  it('tells of each measure where nine of ten lie', () => {
    const { measures } = found({}).ways.eye.simulation;
    const height = measures.height as PieceMeasure;
    expect(measureText('height', height, { text, fine })).toMatch(/ in to .* in; /);
    const alike = { ...height, found: { ...height.found, low: inch(45), high: inch(45.01) }, seen: 0 };
    expect(measureText('height', alike, { text, fine })).toBe('about 45 in; never seen');
    expect(pairText({ ...height, found: { ...height.found, sd: inch(1) / (1.96 * Math.SQRT2) } }, 'Height', fine)).toBe(
      'Two of them differ in height by up to 1 in.',
    );
    const none = { ...height, found: { ...height.found, high: 0.1 }, seen: 0 };
    expect(measureText('gap', none, { text, fine })).toBe('none; never seen');
    expect(measureText('opening', alike, { text, fine })).toMatch(/^up to .* wider; never seen$/);
  });
});
