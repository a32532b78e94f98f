import { MAKES, type ReadingRecord } from '@leggero/contract';
import { STEP_MM } from '@leggero/core';
import { nextReading, type NextReading } from '@leggero/core/calibrating';

import {
  balloonNumber,
  canFillOn,
  draftProblem,
  draftWidthMm,
  proposedDraft,
  readingOf,
  type Draft,
} from '@/features/reading/draft';

const ELEVEN_MM = 279.4;
const ids = {
  id: '0b9c1a52-6d0e-4a63-9a51-5c8f7f8f0001',
  calibrationId: '0b9c1a52-6d0e-4a63-9a51-5c8f7f8f0002',
  takenAt: '2026-11-01T10:00:00.000Z',
  balloon: 1,
};
const first: NextReading = nextReading({ fit: null, tiers: [], wantedMm: [], step: STEP_MM.eighthInch });
const usual = { nominalMm: ELEVEN_MM, stepMm: STEP_MM.eighthInch, kind: 'hand' as const };
const draft = (more: Partial<Draft> = {}): Draft => ({
  ...proposedDraft({ ...first, dose: 4, expectedWidthMm: 203 }, usual),
  ...more,
});

describe('a reading as the page proposes it', () => {
  it('begins with one stroke and a width on the studio’s steps, and can be added as it is', () => {
    const proposed = proposedDraft(first, usual);
    expect(proposed.dose).toBe(1);
    expect(proposed.widthMm / STEP_MM.eighthInch).toBeCloseTo(Math.round(proposed.widthMm / STEP_MM.eighthInch), 9);
    expect(draftProblem(proposed, ELEVEN_MM)).toBeNull();
  });

  it('never proposes more strokes than may be entered', () => {
    expect(proposedDraft({ ...first, dose: 5000 }, usual).dose).toBe(200);
  });

  it('asks for a nozzle where there are two', () => {
    expect(proposedDraft(first, { ...usual, kind: 'twin' }).nozzle).toBe('left');
    expect(draft().nozzle).toBeNull();
  });
});

describe('which balloon a reading is of', () => {
  const taken = (dose: number, balloon: number | null, more: Partial<ReadingRecord> = {}): ReadingRecord =>
    ({
      ...readingOf(draft({ dose }), { ...ids, balloon }),
      ...more,
    }) as ReadingRecord;
  const on = draft({ dose: 6, fresh: false });

  it('is the one before, filled on, while it may grow', () => {
    expect(canFillOn(taken(4, 2), on)).toBe(true);
    expect(balloonNumber([taken(2, 1), taken(4, 2)], on)).toBe(2);
    expect(balloonNumber([taken(4, null)], on)).toBeNull();
  });

  it('is a fresh one with the next number when asked for, after a burst, with less air, or from the other nozzle', () => {
    const before = [taken(2, 1), taken(4, 7)];
    expect(balloonNumber([], on)).toBe(1);
    expect(balloonNumber(before, { ...on, fresh: true })).toBe(8);
    expect(balloonNumber(before, { ...on, dose: 3 })).toBe(8);
    expect(balloonNumber([taken(4, 7, { outcome: 'burst' })], on)).toBe(8);
    expect(canFillOn(taken(4, 7, { nozzle: 'left' }), { dose: 6, nozzle: 'right' })).toBe(false);
  });
});

describe('a draft that cannot be is refused by its field', () => {
  it.each([
    ['a width far beyond its nominal', { widthMm: 700 }, 'widthMm'],
    ['no width', { widthMm: 0 }, 'widthMm'],
    ['no dose', { dose: 0 }, 'dose'],
    ['a height no body of that width has', { heightMm: 900 }, 'heightMm'],
    ['two holes the wrong way round', { way: 'bracket', bracket: { stopsMm: 230, passesMm: 220 } }, 'stopsMm'],
    ['a dose that is no number', { dose: Number.NaN }, 'dose'],
    ['a width that is no number', { widthMm: Number.NaN }, 'widthMm'],
  ] as [string, Partial<Draft>, string][])('%s', (_, wrong, field) => {
    const problem = draftProblem(draft(wrong), ELEVEN_MM);
    expect(problem?.field).toMatch(new RegExp(`^${field}`));
  });

  it('and what is refused is not lost: put right, the same draft is added', () => {
    const wrong = draft({ widthMm: 700, shape: 'oval' });
    expect(draftProblem(wrong, ELEVEN_MM)).not.toBeNull();
    const right = { ...wrong, widthMm: 203 };
    expect(draftProblem(right, ELEVEN_MM)).toBeNull();
    expect(readingOf(right, ids)).toMatchObject({ widthMm: 203, shape: 'oval', dose: 4 });
  });
});

describe('a draft as a reading', () => {
  it('of every way is what the contract takes', () => {
    const ways: Partial<Draft>[] = [
      { way: 'tape' },
      { way: 'caliper', heightMm: 205 },
      { way: 'hole', holeId: ids.id },
      {
        way: 'bracket',
        bracket: { stopsMm: 196.85, passesMm: 209.55 },
        stopsHoleId: ids.id,
        holeId: ids.calibrationId,
      },
      { way: 'reference', shape: 'round' },
      { outcome: 'hard' },
      { outcome: 'burst' },
    ];
    for (const way of ways) expect(MAKES.reading.safeParse(readingOf(draft(way), ids)).error).toBeUndefined();
  });

  it('of a burst keeps neither width nor shape nor holes: nobody measures one', () => {
    const burst = readingOf(draft({ outcome: 'burst', way: 'bracket', shape: 'pear', heightMm: 220 }), ids);
    expect(burst).toMatchObject({ widthMm: null, stopsMm: null, passesMm: null, heightMm: null, shape: null });
  });

  it('between two holes has no width of its own; the page draws it in the middle', () => {
    const between = draft({ way: 'bracket', bracket: { stopsMm: 196, passesMm: 210 } });
    expect(readingOf(between, ids)).toMatchObject({ widthMm: null, stopsMm: 196, passesMm: 210, heightMm: null });
    expect(draftWidthMm(between)).toBe(203);
    expect(draftWidthMm(draft({ widthMm: 201 }))).toBe(201);
  });

  it('keeps an answer about the shape only where no height was measured', () => {
    expect(readingOf(draft({ shape: 'oval' }), ids).shape).toBe('oval');
    expect(readingOf(draft({ shape: 'oval', heightMm: 220 }), ids)).toMatchObject({ shape: null, heightMm: 220 });
  });

  it('names a hole of the studio only where it was sized through one', () => {
    expect(readingOf(draft({ holeId: ids.id, way: 'tape' }), ids).holeId).toBeNull();
    expect(readingOf(draft({ holeId: ids.id, way: 'hole' }), ids).holeId).toBe(ids.id);
  });
});
