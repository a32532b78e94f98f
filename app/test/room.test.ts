import { EVENT_DEFAULTS, type EventRecord } from '@leggero/contract';

import { boxOf } from '@/parts/piece/boxOf';
import { lengthsOf } from '@/views/lengths';
import { roomTexts } from '@/wording/room';

const inch = (inches: number) => inches * 25.4;
const { long: text } = lengthsOf();
const event = (by: Partial<EventRecord>): EventRecord => ({
  ...EVENT_DEFAULTS,
  ...{ id: '00000000-0000-4000-8000-000000002001', name: 'Low Tide', daysStanding: 1 },
  ...{ createdAt: '2026-11-20T10:00:00.000Z', demo: false },
  ...by,
});
const around = (by: Partial<EventRecord>, topped = false) => {
  return { event: event(by), ceilingMm: by.ceilingMm ?? null, topped, text };
};
const box = (wide: number, deep: number, high: number) => {
  return { wideMm: inch(wide), deepMm: inch(deep), highMm: inch(high) };
};
const said = (
  form: Parameters<typeof roomTexts>[0],
  size: ReturnType<typeof box>,
  by: Partial<EventRecord>,
  topMm = size.highMm,
) => roomTexts(form, { box: size, topMm }, around(by));

describe('the room and the way there', () => {
  const door = { doorHighMm: inch(80), doorWideMm: inch(32) };

  it('say nothing of what passes, nor where nothing is known', () => {
    expect(said('hoop', box(60, 20, 60), door)).toEqual([]);
    expect(said('arch', box(120, 24, 100), {})).toEqual([]);
  });

  it('say of an arch that it is put together inside, of a hoop that its crescents are put on there', () => {
    expect(said('arch', box(120, 24, 100), door)).toEqual([
      '10 ft across, 2 ft deep, 8 ft 4 in high; the door is 2 ft 8 in wide, 6 ft 8 in high: put it together inside.',
    ]);
    expect(said('hoop', box(90, 36, 84), { liftWideMm: inch(30) })).toEqual([
      '7 ft 6 in across, 3 ft deep, 7 ft high; the lift is 2 ft 6 in wide: put its crescents on inside.',
    ]);
  });

  it('say how a plinth and a bow go through, if not as they stand', () => {
    expect(said('plinth', box(60, 36, 36), door)).toEqual([
      '5 ft across, 3 ft deep, 3 ft high; the door is 2 ft 8 in wide, 6 ft 8 in high: string it inside.',
    ]);
    expect(said('bow', box(100, 20, 60), { liftHighMm: inch(50) })).toEqual([
      'Taller than the lift of 4 ft 2 in: carry it leaning, or tie its loops together inside.',
    ]);
    // A sheet that is higher than wide, at a hatch that is wider than high.
    expect(said('plinth', box(50, 40, 30), { doorWideMm: inch(35), doorHighMm: inch(60) })).toEqual([
      'Wider than the door of 2 ft 11 in: carry it turned, or string it inside.',
    ]);
  });

  it('hold what hangs against the ceiling by where it ends, not by how high it is', () => {
    expect(said('bow', box(100, 20, 60), { ceilingMm: inch(96) }, inch(90))).toEqual([]);
    expect(said('bow', box(100, 20, 60), { ceilingMm: inch(96) }, inch(100))).toEqual([
      '4 in taller than the ceiling of 8 ft.',
    ]);
  });

  it('have the topper of a column put on inside', () => {
    const tall = { box: box(24, 24, 90), topMm: inch(90) };
    expect(roomTexts('column', tall, around(door, true))).toEqual([
      'Taller than the door of 6 ft 8 in: carry it leaning, or put the topper on inside.',
    ]);
  });
});

it('balloons take as much room as reaches from one side to the other', () => {
  const ball = (xMm: number, yMm: number, zMm: number, widthMm: number) => ({ xMm, yMm, zMm, widthMm });
  expect(boxOf([ball(-100, 0, 500, 200), ball(300, 50, 900, 100)])).toEqual({
    wideMm: 550,
    deepMm: 200,
    highMm: 550,
  });
});
