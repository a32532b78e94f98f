import {
  aspectsOf,
  errorsOf,
  estimateFor,
  fitCalibration,
  knowShelf,
  poolInflator,
  sameLine,
  TRADE,
  type Inflator,
  type Reading,
  type ShelfBalloon,
} from '../src';
import { inch, value } from './results';

/*
 * Who says something of whom on a shelf: which calibrations count for a pump, a line, an answer, a margin. Common
 * practice: sizes of one line are alike, kinds are not, and a balloon inside another fills unlike either.
 */

const HAND: Inflator = { kind: 'hand' };
const PUMPS = new Map<string, Inflator>([
  ['pump', HAND],
  ['other', HAND],
  ['idle', { kind: 'hand', doseVolumeL: 0.4 }],
]);

interface Filled {
  nominalMm?: number;
  strokeL?: number;
  heights?: boolean;
  more?: (dose: number) => Partial<Reading>;
}

/** A sphere that lengthens past six tenths of nominal, by strokes of which 0.2 are lost. */
function filled(
  doses: readonly number[],
  { nominalMm = inch(11), strokeL = 0.5, heights = false, more = () => ({}) }: Filled = {},
): Reading[] {
  return doses.map((dose) => {
    const sphereMm = Math.cbrt((6e6 * strokeL * (dose - 0.2)) / Math.PI);
    const aspect = 1 + 0.5 * Math.max(0, sphereMm / nominalMm - 0.6);
    const widthMm = sphereMm / Math.cbrt(aspect);
    return { dose, widthMm, outcome: 'ok', ...(heights ? { heightMm: widthMm * aspect } : {}), ...more(dose) };
  });
}

const DOSES = [6, 10, 14, 17];

interface Shelved extends Partial<Omit<ShelfBalloon, 'calibrations'>> {
  readings?: readonly Reading[];
  inflatorId?: string;
}

function balloon(id: string, { readings = filled(DOSES), inflatorId = 'pump', ...more }: Shelved = {}): ShelfBalloon {
  return {
    id,
    line: 'Fennimore Standard',
    kind: 'round',
    nominalMm: inch(11),
    stuffed: false,
    calibrations: readings.length > 0 ? [{ id: `${id} calibrated`, inflatorId, readings }] : [],
    ...more,
  };
}

const know = (...balloons: ShelfBalloon[]) => knowShelf({ balloons, inflators: PUMPS });
const fitOf = (shelf: ReturnType<typeof know>, id: string) => shelf.outcomes.get(`${id} calibrated`)!.fit!;
const estimate = (shelf: ReturnType<typeof know>, more: Shelved = {}, inflatorId = 'pump') =>
  estimateFor({ balloon: balloon('asked', { readings: [], ...more }), inflatorId, inflator: HAND, shelf })!;

describe('what is known of a pump', () => {
  const shelf = know(
    balloon('a', { readings: filled(DOSES, { heights: true }) }),
    balloon('b', { line: 'Ketteridge', readings: filled(DOSES, { strokeL: 0.52, heights: true }) }),
    balloon('c', { inflatorId: 'other', readings: filled(DOSES, { strokeL: 0.3, heights: true }) }),
    balloon('pair', { stuffed: true, readings: filled(DOSES, { strokeL: 0.9 }) }),
    balloon('stray', { inflatorId: 'unheard of' }),
  );

  it('rests on the calibrations made with it alone, and not on pairs', () => {
    expect(shelf.inflators.get('pump')!.calibrations).toBe(2);
    expect(shelf.inflators.get('pump')!.doseVolumeL).toBeCloseTo(0.51, 1);
    expect(shelf.inflators.get('other')!.calibrations).toBe(1);
    expect(shelf.inflators.get('other')!.doseVolumeL).toBeCloseTo(0.3, 1);
    expect(shelf.inflators.get('idle')).toMatchObject({ calibrations: 0, doseVolumeL: 0.4 });
    expect(shelf.inflators.has('unheard of')).toBe(false);
    const fits = shelf.alone.filter(({ id }) => /^[ab] /.test(id)).map(({ fit }) => fit);
    expect(shelf.inflators.get('pump')).toEqual(poolInflator({ inflator: HAND, fits }));
  });

  it('takes a pump nobody recorded for one by hand', () => {
    expect(fitOf(shelf, 'stray').inflator).toBe('hand');
    expect(fitOf(shelf, 'stray').errors.doseShare).toBe(shelf.errors.doses.get('unheard of')!.sd);
  });

  it('comes from what each tells by itself: the record is not told again', () => {
    const balloons = [balloon('a')];
    const recorded = knowShelf({ balloons, inflators: new Map([['pump', { kind: 'hand', doseVolumeL: 0.8 }]]) });
    expect(recorded.alone).toEqual(know(...balloons).alone);
    expect(recorded.inflators.get('pump')).toEqual(know(...balloons).inflators.get('pump'));
  });

  it('leaves out a calibration that cannot be, and says why', () => {
    const falling = filled([4, 8, 12]).map((reading, i, all) => ({ ...reading, widthMm: all[2 - i]!.widthMm }));
    const mixed = know(balloon('a'), balloon('falls', { readings: falling }));
    expect(mixed.outcomes.get('falls calibrated')).toEqual({ fit: null, problem: 'not-rising' });
    expect(mixed.alone.map(({ id }) => id)).toEqual(['a calibrated']);
    expect(mixed.inflators).toEqual(know(balloon('a')).inflators);
  });
});

describe('the fit of a pair', () => {
  it('knows nothing of single balloons but what answers, margins and errors are', () => {
    const readings = filled(DOSES, { strokeL: 0.9 });
    const shelf = know(balloon('a'), balloon('b'), balloon('pair', { stuffed: true, readings }));
    const { hard, burst } = shelf.margins;
    const alone = fitCalibration({
      nominalMm: inch(11),
      readings,
      pump: HAND,
      errors: errorsOf(shelf.errors, { inflatorId: 'pump', kind: 'hand' }),
      known: { answers: aspectsOf(shelf.answers), margins: { hard: hard.margin, burst: burst.margin } },
    });
    expect(fitOf(shelf, 'pair')).toEqual(value(alone));
  });
});

describe('a balloon of a line', () => {
  const own = (more: Shelved = {}) => balloon('nine', { nominalMm: inch(9), ...more });
  const elsewhere = balloon('far', { line: 'Ketteridge', readings: filled(DOSES, { strokeL: 0.3 }) });

  it('is expected to fill as the other sizes of its line do, before all else', () => {
    const made = estimate(know(own(), elsewhere));
    expect(made).toMatchObject({ dosesFrom: 'line', doseCalibrations: 1 });
    expect(made.doseVolumeL).toBeCloseTo(0.5, 1);
  });

  it.each([
    ['another kind', own({ kind: 'linking' })],
    ['a pair', own({ stuffed: true })],
    ['another pump', own({ inflatorId: 'other' })],
    ['one dose', own({ readings: filled([10]) })],
    ['itself', { ...own(), id: 'asked' }],
  ])('goes by everything where its line knows of %s only', (_, only) => {
    const made = estimate(know(only, elsewhere));
    expect(made.dosesFrom).toBe('inflator');
  });

  it('is told by two doses, whatever else was read once', () => {
    const once = balloon('five', { nominalMm: inch(5), readings: filled([2]) });
    const made = estimate(know(own({ readings: filled([8, 12]) }), once, elsewhere));
    expect(made).toMatchObject({ dosesFrom: 'line', doseCalibrations: 2 });
  });

  it.each(['fennimore standard', '  Fennimore Standard ', 'FENNIMORE STANDARD'])('is that line written %j', (line) => {
    expect(estimate(know(own(), elsewhere), { line }).dosesFrom).toBe('line');
  });

  /** Fills with the pump, and says nothing of any shape. */
  const pumped = balloon('pumped', { kind: 'linking', line: 'Pumped' });

  it('is expected to be shaped as its line, and only as its line', () => {
    const shaped = (more: Shelved) => own({ readings: filled(DOSES, { nominalMm: inch(9), heights: true }), ...more });
    expect(estimate(know(shaped({}))).shapeCalibrations).toBe(1);
    for (const other of [shaped({ kind: 'linking' }), shaped({ line: 'Ketteridge' }), shaped({ stuffed: true })])
      expect(estimate(know(other, pumped)).shapeCalibrations).toBe(0);
  });

  it('takes limits of shape from other lines of its kind', () => {
    const shaped = (more: Shelved) =>
      balloon('shaped', { line: 'Ketteridge', readings: filled(DOSES, { heights: true }), ...more });
    const roundOf = (...all: ShelfBalloon[]) => estimate(know(pumped, ...all)).shape.expected!.round;
    expect(roundOf(shaped({}))).toMatchObject({ from: 'shelf', limit: { kind: 'shown' } });
    expect(roundOf(shaped({ line: 'Fennimore Standard' }))).toMatchObject({ from: 'line', limit: { kind: 'shown' } });
    for (const other of [shaped({ kind: 'linking' }), shaped({ stuffed: true })])
      expect(roundOf(other).limit).toEqual({ kind: 'no-shapes-seen' });
  });

  it('hears two sizes of another line as one line, two lines as two', () => {
    const shaped = (id: string, line: string) => balloon(id, { line, readings: filled(DOSES, { heights: true }) });
    const sure = (...all: ShelfBalloon[]) => {
      const { limit } = estimate(know(...all)).shape.expected!.round;
      return limit.kind === 'shown' ? limit.sdMm : Infinity;
    };
    const oneLine = sure(shaped('x', 'Ketteridge'), shaped('y', 'Ketteridge'));
    expect(sure(shaped('x', 'Ketteridge'), shaped('y', 'Ardith'))).toBeLessThan(oneLine);
    expect(oneLine).toBeLessThan(sure(shaped('x', 'Ketteridge')));
  });

  it.each([
    ['another size of it', own(), true],
    ['its name written otherwise', own({ line: ' FENNIMORE standard ' }), true],
    ['itself', own({ id: 'asked' }), false],
    ['another line', own({ line: 'Ketteridge' }), false],
    ['another kind', own({ kind: 'linking' }), false],
    ['a pair', own({ stuffed: true }), false],
  ])('teaches its other sizes and is taught by them: %s', (_, other, together) => {
    expect(sameLine(balloon('asked'), other)).toBe(together);
  });

  it('is fitted with what its line says of the pump', () => {
    const few = balloon('few', { readings: filled([10]) });
    const told = (shelf: ReturnType<typeof know>, ids: readonly string[]) => {
      const fits = shelf.alone.filter(({ balloon: { id } }) => ids.includes(id)).map(({ fit }) => fit);
      const { hard, burst } = shelf.margins;
      const known = {
        inflator: poolInflator({ inflator: HAND, fits }),
        answers: aspectsOf(shelf.answers),
        margins: { hard: hard.margin, burst: burst.margin },
      };
      const errors = errorsOf(shelf.errors, { inflatorId: 'pump', kind: 'hand' });
      return value(fitCalibration({ nominalMm: inch(11), readings: filled([10]), pump: HAND, errors, known }));
    };
    const likeLine = know(own(), elsewhere, few);
    expect(fitOf(likeLine, 'few').doseVolumeL).toBeCloseTo(told(likeLine, ['nine']).doseVolumeL, 2);
    const likeAll = know(own({ kind: 'linking' }), elsewhere, few);
    expect(fitOf(likeAll, 'few').doseVolumeL).toBeCloseTo(told(likeAll, ['nine', 'far']).doseVolumeL, 2);
    expect(fitOf(likeAll, 'few').doseVolumeL).not.toBeCloseTo(fitOf(likeLine, 'few').doseVolumeL, 2);
    // It is not told by itself beforehand, nor by what another pump did.
    const alone = know(few);
    expect(fitOf(alone, 'few').notes).toContainEqual({ code: 'dead-volume-assumed-zero' });
    const withOther = know(few, own({ inflatorId: 'other' }));
    expect(fitOf(withOther, 'few').notes).toContainEqual({ code: 'dead-volume-assumed-zero' });
  });
});

describe('what answers stand for', () => {
  const measured = balloon('measured', { readings: filled(DOSES, { heights: true }) });
  const answered = (more: Shelved = {}, reading: Partial<Reading> = {}) =>
    balloon('answered', {
      nominalMm: inch(9),
      readings: filled([5, 8], {
        nominalMm: inch(9),
        more: (dose) => ({ shape: dose > 6 ? 'oval' : 'round', ...reading }),
      }),
      ...more,
    });
  const counts = (...all: ShelfBalloon[]) => {
    const { round, oval, pear } = know(...all).answers;
    return [round.readings, oval.readings, pear.readings];
  };

  it('is learned where a size of the line was measured', () => {
    expect(counts(measured, answered())).toEqual([1, 1, 0]);
    const { oval } = know(measured, answered()).answers;
    expect(oval.aspect).not.toBe(TRADE.shapeAnswerAspect.oval);
    expect(oval.assumed).toBe(TRADE.shapeAnswerAspect.oval);
  });

  it('and of the balloon that was measured itself', () => {
    const both = filled(DOSES, { heights: true }).concat(filled([12], { more: () => ({ shape: 'oval' }) }));
    expect(counts(balloon('both', { readings: both }))).toEqual([0, 1, 0]);
  });

  it.each([
    ['a pair', [measured, answered({ stuffed: true })]],
    ['another line', [measured, answered({ line: 'Ketteridge' })]],
    ['another kind', [measured, answered({ kind: 'linking' })]],
    ['a line nobody measured', [answered()]],
    ['a line where only answers were given', [answered(), { ...answered(), id: 'second' }]],
    ['what was measured beside it', [measured, answered({}, { heightMm: 200 })]],
    ['no answer', [measured, answered({}, { shape: undefined })]],
  ])('is not learned from %s', (_, all) => {
    expect(counts(...all)).toEqual([0, 0, 0]);
  });

  it('is not learned from a burst that left no width', () => {
    const burst: Reading = { dose: 19, shape: 'pear', outcome: 'burst' };
    expect(counts(measured, answered({ readings: [...filled(DOSES), burst] }))).toEqual([0, 0, 0]);
  });
});

describe('how much balloons of a kind differ before they feel hard or burst', () => {
  const ending = (id: string, outcome: Reading['outcome'], widthMm: number) =>
    balloon(id, { readings: [...filled(DOSES), { dose: 18, widthMm, outcome }] });
  const twice = (outcome: Reading['outcome'], widths: [number, number]) => {
    const [one, other] = widths.map((widthMm) => ending('a', outcome, widthMm).calibrations[0]!);
    return {
      ...balloon('a'),
      calibrations: [
        { ...one!, id: 'first' },
        { ...other!, id: 'second' },
      ],
    };
  };

  it('is told by two of one kind, hard and burst each by their own, and not by two kinds', () => {
    const { hard, burst } = know(twice('hard', [244, 250])).margins;
    expect([hard.readings, burst.readings]).toEqual([1, 0]);
    const bursts = know(twice('burst', [246, 250])).margins;
    expect([bursts.hard.readings, bursts.burst.readings]).toEqual([0, 1]);
    const apart = know(ending('a', 'hard', 244), ending('b', 'hard', 250)).margins;
    expect(apart.hard.readings).toBe(0);
  });

  it('is what a fit goes by', () => {
    const shelf = know(twice('hard', [244, 250]));
    const { fit } = shelf.outcomes.get('first')!;
    expect(fit!.limits.hardMargin).toBe(shelf.margins.hard.margin);
    expect(fit!.limits.hardMargin).not.toBe(TRADE.hardMargin);
    expect(fit!.limits.burstMargin).toBe(shelf.margins.burst.margin);
  });
});
