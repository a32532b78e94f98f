import type { PieceDesign } from '@leggero/contract';
import { LONG_MM, TRADE, type OwnNumber } from '@leggero/core';
import { ADJUSTABLE } from '@leggero/core/constants';
import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { useKnowledge } from '@/data/knowledge';
import { write } from '@/data/outbox';
import { useTrade } from '@/data/trade';
import { firstDesign } from '@/features/builds/firstDesign';
import { NumbersPage } from '@/features/numbers/NumbersPage';
import { effectText, furthestText } from '@/features/numbers/effectText';
import { effectsOf, type TrialBasis, type TrialQuestion } from '@/features/numbers/trial';
import { ShelfList } from '@/features/shelf/ShelfList';
import { StudioPage } from '@/features/studio/StudioPage';
import { learn, type KnowledgeQuestion } from '@/views/knowledge';
import { lengthsOf } from '@/views/lengths';
import { entryText, partText, readEntry, shortText, unitText } from '@/wording/constants';

import { goTo, visited } from './router';
import { done, show, someRecords } from './studio';

const INCH = 25.4;
const id = (n: number) => `00000000-0000-4000-8000-0000000009${String(n).padStart(2, '0')}`;
const id2 = (i: number, k: number) => `00000000-0000-4000-8000-0000000008${i}${k}`;
const own = (key: string, value: number, n = 0) => ({ id: id(n), key, value, revision: 1 });
const withOwn = (...constants: ReturnType<typeof own>[]) => ({ ...someRecords(), constants });
const field = (name: string) => screen.getByRole('textbox', { name });
const retype = async (name: string, text: string) => {
  await userEvent.clear(field(name));
  await userEvent.type(field(name), text);
};
const button = (name: string) => screen.getByRole('button', { name });

/** Tries numbers as the worker does, a moment later. */
class Trier {
  onmessage: ((event: { data: unknown }) => void) | null = null;
  private asked: ReturnType<typeof setTimeout> | undefined;
  terminate = () => clearTimeout(this.asked);
  postMessage = (question: TrialQuestion) => {
    this.asked = setTimeout(() => this.onmessage?.({ data: { answer: effectsOf(question) } }), 0);
  };
}

beforeEach(() => {
  goTo('/studio/numbers');
  Object.assign(globalThis, { Worker: Trier });
});
afterEach(() => Reflect.deleteProperty(globalThis, 'Worker'));

describe('the list of the trade’s numbers', () => {
  it('has every constant under what it decides, with what it is here and what it moves', async () => {
    show(<NumbersPage constant={null} />);
    const seen: string[] = [];
    for (const chip of await screen.findAllByRole('radio')) {
      await userEvent.click(chip);
      seen.push(...screen.getAllByRole('link').map((row) => row.textContent!));
    }
    expect(seen).toHaveLength(Object.keys(TRADE).length);
    await userEvent.click(screen.getByRole('radio', { name: 'Targets' }));
    expect(screen.getByRole('link', { name: /^Smallest fill Under it a nominal/ }).textContent).toContain('45 %');
    expect(await screen.findByText(/moves targets of 2 balloons by up to/)).toBeTruthy();
    await userEvent.click(screen.getByRole('link', { name: /^Smallest fill Under it a nominal/ }));
    expect(visited.at(-1)).toBe('/studio/numbers/smallestFraction');
  });

  it('shows those of the studio’s own first, and the Studio says how many there are', async () => {
    show(<StudioPage />, withOwn(own('linkJoint', 0.06), own('measureSdMm.tape', 2, 1)));
    expect(await screen.findByText('2 numbers of your own')).toBeTruthy();
    goTo('/studio/numbers', { of: 'yours' });
    show(<NumbersPage constant={null} />, withOwn(own('linkJoint', 0.06), own('measureSdMm.tape', 2, 1)));
    expect(await screen.findByRole('radio', { name: 'Yours (2)', checked: true })).toBeTruthy();
    const rows = screen.getAllByRole('link').filter((row) => row.textContent!.includes('yours'));
    expect(rows.map((row) => row.textContent!)).toEqual([
      expect.stringMatching(/^Joint.*from memory · -5 % to 15 % is plausible.*6 %yourstable: 4 %$/),
      expect.stringMatching(/^One width.*5 numbersyours$/),
    ]);
  });

  it('says so at the address of a number that is none', async () => {
    show(<NumbersPage constant="roundApsect" />);
    expect(await screen.findByText(/There is no such number here/)).toBeTruthy();
  });
});

describe('one number', () => {
  it('is tried before it is used; then everything follows at once, and the way back is there', async () => {
    show(
      <>
        <ShelfList />
        <NumbersPage constant="standing" />
      </>,
    );
    const figures = () =>
      screen.getAllByRole('img', { name: /Classic/ }).map((each) => each.getAttribute('aria-label'));
    const before = await waitFor(() => {
      expect(figures()).toHaveLength(2);
      return figures();
    });
    expect(button('Use these numbers').getAttribute('aria-disabled')).toBe('true');
    await retype('A day, % of nominal', '86');
    expect(await screen.findByText(/This would move targets of 2 balloons by up to .* in/)).toBeTruthy();
    expect(figures()).toEqual(before);
    await userEvent.click(button('Use these numbers'));
    expect(done()).toMatchObject([{ put: 'constant', row: { key: 'standing.1.fraction', value: 0.86 } }]);
    await waitFor(() => expect(figures()).not.toEqual(before));
    await userEvent.click(button('Back to the table'));
    expect(done().at(-1)).toMatchObject({ remove: 'constant' });
    await waitFor(() => expect(figures()).toEqual(before));
    await userEvent.click(button('Undo'));
    await waitFor(() => expect(figures()).not.toEqual(before));
  });

  it('by which readings are fitted moves the rows of a large shelf at once, before that is learned from anew', async () => {
    const asked: (() => void)[] = [];
    class Learner {
      onmessage: ((event: { data: unknown }) => void) | null = null;
      terminate = () => undefined;
      postMessage = (question: KnowledgeQuestion) => {
        asked.push(() => this.onmessage?.({ data: { answer: learn(question) } }));
      };
    }
    /** What the shelf's rows are drawn with. */
    const drawn = { growth: 0, joint: 0 };
    const Watch = () => {
      drawn.growth = useKnowledge()?.learnedWith.aspectGrowth.mean ?? 0;
      drawn.joint = useTrade().linkJoint;
      return null;
    };
    Object.assign(globalThis, { Worker: Learner });
    const records = someRecords();
    const [first] = records.models;
    records.models = Array.from({ length: 9 }, (_, i) => {
      const calibrations = first!.calibrations.map((each) => ({
        ...{ ...each, id: id(10 + i), modelId: id(20 + i) },
        readings: each.readings.map((reading, k) => ({
          ...{ ...reading, id: id2(i, k), calibrationId: id(10 + i) },
          heightMm: null,
        })),
      }));
      return { ...first!, id: id(20 + i), line: `Line ${i}`, calibrations, checks: [] };
    });
    show(
      <>
        <ShelfList />
        <Watch />
      </>,
      records,
    );
    await waitFor(() => expect(asked).toHaveLength(1));
    act(asked[0]!);
    await waitFor(() => expect(drawn.growth).toBe(TRADE.aspectGrowth.mean));
    const outlines = () => [...document.querySelectorAll('path')].map((each) => each.getAttribute('d')).join();
    await waitFor(() => expect(screen.getAllByRole('img', { name: /Classic/ })).toHaveLength(9));
    const before = outlines();
    // Without heights a balloon is as long as such balloons are.
    await act(() => write({ put: 'constant', row: { id: id(1), key: 'aspectGrowth.mean', value: 0.2 } }));
    await waitFor(() => expect(outlines()).not.toEqual(before));
    expect([asked.length, drawn.growth]).toEqual([2, TRADE.aspectGrowth.mean]);
    act(asked[1]!);
    await waitFor(() => expect(drawn.growth).toBe(0.2));
    // One that no reading was fitted with is nothing to learn from.
    await act(() => write({ put: 'constant', row: { id: id(2), key: 'linkJoint', value: 0.06 } }));
    await waitFor(() => expect(drawn.joint).toBe(0.06));
    expect(asked).toHaveLength(2);
  });

  it('out of what is plausible, or against another, is said beside the field, and what was typed stays', async () => {
    show(<NumbersPage constant="shapeAnswerAspect" />, withOwn(own('roundAspect', 1.1)));
    await screen.findByRole('textbox', { name: 'Oval, high by wide' });
    await retype('Oval, high by wide', '1.9');
    expect(screen.getByRole('alert').textContent).toBe('Between 1.03 and 1.3 high by wide is plausible.');
    await retype('Oval, high by wide', '1,05');
    expect(screen.getByRole('alert').textContent).toBe(
      'Between 1.1 and 1.18 high by wide: “Round limit” holds it there. Change that first.',
    );
    for (const text of ['', 'tin', '1..2', '💥']) {
      await userEvent.clear(field('Oval, high by wide'));
      if (text) await userEvent.type(field('Oval, high by wide'), text);
      expect(screen.getByRole('alert').textContent).toContain('is plausible');
      expect((field('Oval, high by wide') as HTMLInputElement).value).toBe(text);
      expect(button('Use these numbers').getAttribute('aria-disabled')).toBe('true');
    }
    expect(done()).toEqual([]);
  });

  it('that another of the studio’s own holds where it is cannot go back before that', async () => {
    show(
      <NumbersPage constant="ovalAspect" />,
      withOwn(own('ovalAspect', 1.24), own('shapeAnswerAspect.oval', 1.2, 1)),
    );
    expect((await screen.findByRole('button', { name: 'Back to the table' })).getAttribute('aria-disabled')).toBe(
      'true',
    );
    expect(screen.getByText(/take that back first/)).toBeTruthy();
  });

  it('moves with another in an order in which neither contradicts the other on the way', async () => {
    show(
      <NumbersPage constant="shapeAnswerAspect" />,
      withOwn(own('ovalAspect', 1.28), own('shapeAnswerAspect.pear', 1.3, 1)),
    );
    await screen.findByRole('textbox', { name: 'Oval, high by wide' });
    await retype('Oval, high by wide', '1.25');
    await retype('Pear, high by wide', '1.4');
    await userEvent.click(button('Use these numbers'));
    expect(done()).toMatchObject([
      { put: 'constant', row: { key: 'shapeAnswerAspect.oval', value: 1.25 } },
      { change: 'constant', id: id(1), by: { value: 1.4 } },
    ]);
    // As the table has it is no number of one's own.
    await retype('Oval, high by wide', '1.12');
    await userEvent.click(button('Use these numbers'));
    expect(done().at(-1)).toMatchObject({ remove: 'constant' });
  });
});

describe('a number in words', () => {
  it.each(['in', 'cm'] as const)('is read back as it is written, and has no millimetres in a studio of %s', (unit) => {
    const lengths = lengthsOf({ unit, stepMm: unit === 'in' ? INCH / 8 : 1 });
    for (const number of ADJUSTABLE.values()) {
      const { key, usual, range, unit: of } = number;
      for (const value of [usual, ...range]) {
        const back = readEntry(number, entryText(number, value, lengths), lengths);
        // A long length is said to the studio's step, in metres to a centimetre.
        const longMm = unit === 'cm' ? 5 : lengths.stepMm;
        const off = of === 'mm' && value >= LONG_MM ? longMm : 6e-4 * Math.abs(value) + 1e-9;
        expect([key, Math.abs(back - value) <= off]).toEqual([key, true]);
      }
      const words = `${entryText(number, usual, lengths)} ${unitText(number, lengths)} ${partText(number)}`;
      expect(words).not.toMatch(/\bmm\b|undefined|NaN/);
    }
  });

  it('is a length in the studio’s unit, a share in percent, or as it is', () => {
    const [inches, metric] = [lengthsOf(), lengthsOf({ unit: 'cm', stepMm: 1 })];
    const said = (key: string, lengths = inches) => {
      const number = ADJUSTABLE.get(key)!;
      return `${partText(number)}: ${shortText(number, number.usual, lengths)} (${unitText(number, lengths)})`;
    };
    expect(said('neckProudMm')).toBe('Neck left out: 0.5 (in)');
    expect(said('neckProudMm', metric)).toBe('Neck left out: 1.27 (cm)');
    expect(said('headroomMm')).toBe('Headroom: 6 ft 10⅝ in (in)');
    expect(said('headroomMm', metric)).toBe('Headroom: 2.10 m (cm)');
    expect(said('practisedBasket.firstRing', metric)).toBe('First ring: 9.53 (cm)');
    expect(said('holdLossPerHour.once')).toBe('Neck wrapped once: 0.12 % (% of the width an hour)');
    expect(said('roundAspect')).toBe('Round limit: 1.06 (high by wide)');
    expect(said('shine.mirror.tight')).toBe('Mirror, tight: 1 (of 1)');
  });
});

describe('a trial', () => {
  const part = { modelId: null, colourHex: '#3f7a4a', finish: 'matte' } as const;
  const design = firstDesign('chain', { part, stepMm: INCH / 8 }) as PieceDesign;
  const { models, pumps, tiers, studio } = someRecords();
  const basis: TrialBasis = { models, pumps, tiers, studio, chains: [], stacks: [], pieces: [{ id: id(7), design }] };
  const lengths = lengthsOf();
  const effect = (...trial: OwnNumber[]) => effectsOf({ basis, now: [], trials: [trial] })[0]!;

  it('tells how many targets, doses, tolerances, nights and pieces move, and by how much at the most', () => {
    expect(effectText(effect(), lengths)).toBe('no target and no piece of yours');
    const tolerant = effect({ key: 'toleranceFraction', value: 0.5 / 11 });
    expect(tolerant).toMatchObject({
      targets: { count: 0 },
      tolerances: { count: 2, most: expect.closeTo(INCH / 4, 6) },
    });
    const standing = effect({ key: 'standing.1.fraction', value: 0.86 });
    // Held at 86 % of 11 in, 9.46: 9⅜ on eighths, where 92 % was 10⅛ and the round limit of the first less.
    expect(standing.furthest[0]).toMatchObject({ toMm: expect.closeTo(9.375 * INCH, 6) });
    expect(standing.targets.most).toBeCloseTo(
      Math.max(...standing.furthest.map(({ fromMm, toMm }) => fromMm - toMm)),
      9,
    );
    expect(effect({ key: 'holdLossPerHour.twice', value: 0.001 }).nights.count).toBe(2);
    expect(effect({ key: 'linkJoint', value: 0.1 }).pieces.count).toBe(1);
    expect(effectText(effect({ key: 'shine.mirror.tight', value: 0.5 }), lengths)).toBe(
      'no target and no piece of yours',
    );
  });

  it('says the most of several: targets before pieces, nothing where nothing moves', () => {
    const [none, few, many] = [
      effect(),
      effect({ key: 'linkJoint', value: 0.1 }),
      effect({ key: 'smallestFraction', value: 0.7 }),
    ];
    expect(furthestText([none, few, many], lengths)).toMatch(/^moves targets of 2 balloons by up to /);
    expect(furthestText([none, few], lengths)).toBe('moves sizes of 1 piece');
    expect(furthestText([none], lengths)).toBe('');
  });
});
