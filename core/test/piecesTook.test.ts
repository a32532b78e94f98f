import fc from 'fast-check';

import { batchKey, piecesTook, type MadeBatch } from '../src/recipe';
import { inch } from './results';

const batch = (balloon: string, inches: number, of: Record<string, number>) => {
  const fillMm = inch(inches);
  const counts = Object.entries(of).map(([piece, count]) => ({ piece, count }));
  return { key: batchKey({ balloon, fillMm }), fillMm, of: counts };
};
const made = (balloon: string, inches: number, done: number, by: Partial<MadeBatch> = {}): MadeBatch => {
  const fillMm = inch(inches);
  return { key: batchKey({ balloon, fillMm }), fillMm, done, lost: 0, workedS: 10 * done, ...by };
};

/** Two sizes of kelp and one of foam: the columns take of all, the garland of large kelp alone. */
const BATCHES = [
  batch('kelp 11', 9.5, { columns: 60, garland: 20 }),
  batch('kelp 11', 5, { columns: 12 }),
  batch('foam 11', 9.5, { columns: 20 }),
];
const tookBy = (...of: MadeBatch[]) => {
  const { pieces, elsewhere } = piecesTook({ batches: BATCHES, made: of });
  return { ...Object.fromEntries(pieces.map(({ piece, ...took }) => [piece, took])), elsewhere };
};

describe('what pieces took', () => {
  it('is a share of what was filled in one go for several, by how many each asks for', () => {
    const took = tookBy(made('kelp 11', 9.5, 84, { lost: 4 }), made('foam 11', 9.5, 20, { lost: 1 }));
    expect(took).toEqual({
      columns: { planned: 92, done: 63 + 20, lost: 3 + 1, workedS: 630 + 200 },
      garland: { planned: 20, done: 21, lost: 1, workedS: 210 },
      elsewhere: 0,
    });
  });

  it('is nothing of a piece that was not begun', () => {
    expect(tookBy(made('foam 11', 9.5, 20))).toMatchObject({ garland: { planned: 20, done: 0, lost: 0, workedS: 0 } });
  });

  it('finds the batch again whose target moved since, by the nearest of its balloon', () => {
    const took = tookBy(made('kelp 11', 9.6, 40), made('kelp 11', 5.2, 12));
    expect(took).toMatchObject({ columns: { done: 30 + 12 }, garland: { done: 10 }, elsewhere: 0 });
  });

  it('leaves out balloons that no piece asks for any more', () => {
    expect(tookBy(made('roe 5', 4, 16))).toMatchObject({ columns: { done: 0 }, elsewhere: 16 });
  });

  it('tells no time where a part of it is not known', () => {
    const took = tookBy(made('kelp 11', 9.5, 80), made('foam 11', 9.5, 1, { workedS: null }));
    expect(took).toMatchObject({ columns: { workedS: null }, garland: { workedS: 200 } });
  });

  it('adds up to what was made and lost, whatever was made', () => {
    const count = fc.integer({ min: 0, max: 300 });
    fc.assert(
      fc.property(fc.array(fc.tuple(count, count), { maxLength: 6 }), (counts) => {
        const of = counts.map(([done, lost], i) =>
          made(['kelp 11', 'foam 11', 'roe 5'][i % 3]!, 4 + i, done, { lost }),
        );
        const { pieces, elsewhere } = piecesTook({ batches: BATCHES, made: of });
        const sum = (what: 'done' | 'lost', all: readonly { done: number; lost: number }[]) =>
          all.reduce((before, each) => before + each[what], 0);
        expect(sum('done', pieces) + elsewhere).toBe(sum('done', of));
        const inPieces = of.filter(({ key }) => !key.startsWith('roe'));
        expect(sum('lost', pieces)).toBe(sum('lost', inPieces));
      }),
    );
  });
});
