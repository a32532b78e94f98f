import { beatsOf } from '../src/inflation';

const told = (dose: number, timed = false, everyS = 1) =>
  beatsOf({ dose, timed, everyS }).map(({ atS, kind, figure }) => [Math.round(atS * 1000) / 1000, kind, figure]);

describe('beats of a dose', () => {
  it('are three ahead, one for each stroke, and an end where the next would come', () => {
    expect(told(2, false, 0.5)).toEqual([
      [0, 'ahead', 3],
      [0.5, 'ahead', 2],
      [1, 'ahead', 1],
      [1.5, 'count', 1],
      [2, 'count', 2],
      [2.5, 'end', 2],
    ]);
  });

  it('have a part of a stroke last', () => {
    expect(told(1.5).slice(3)).toEqual([
      [3, 'count', 1],
      [4, 'count', 1.5],
      [5, 'end', 1.5],
    ]);
    // Less than a tenth of a stroke is none; a whole number stays one, however it was reckoned.
    expect(told(2.04).filter(([, kind]) => kind === 'count')).toHaveLength(2);
    expect(told(0.1 + 0.2 + 2.7).filter(([, kind]) => kind === 'count')).toHaveLength(3);
  });

  it('are seconds of a timed dose, which ends to the tenth', () => {
    expect(told(2.4, true, 0.5).slice(3)).toEqual([
      [3, 'count', 0],
      [4, 'count', 1],
      [5, 'count', 2],
      [5.4, 'end', 2.4],
    ]);
    // A whole number of seconds ends once.
    expect(told(2, true).slice(3)).toEqual([
      [3, 'count', 0],
      [4, 'count', 1],
      [5, 'end', 2],
    ]);
  });

  it('are none of a dose that is none', () => {
    for (const dose of [0, -1, Number.NaN, Infinity]) expect(told(dose)).toEqual([]);
    expect(told(3, false, 0)).toEqual([]);
  });
});
