import { INCHES_PER_FOOT, MM_PER_INCH } from '@leggero/core';

import type { Palette } from '@/ui/palette';

import { PERSON_MM } from './person';
import type { Scene, SceneRoom } from './scene';
import { plus } from '@leggero/core/space';
import { type View } from './view';

type Ink = keyof Palette;
type Point = readonly [x: number, y: number];

/** One thing that is drawn around a piece, px. */
export type RoomShape =
  | { kind: 'line'; x1: number; y1: number; x2: number; y2: number; ink: Ink; dashed: boolean }
  | { kind: 'box'; x: number; y: number; width: number; height: number; ink: Ink; filled: boolean }
  /** What lies on the floor, round about. */
  | { kind: 'patch'; points: readonly Point[]; ink: Ink }
  | { kind: 'text'; x: number; y: number; text: string; ink: Ink }
  /** Someone with the feet there, so many px for a mm. */
  | { kind: 'person'; x: number; y: number; wide: number; tall: number; ink: Ink };

/** How thick lines are, and the edge of what lies on the floor, so that it is seen from the side too, px. */
export const LINE_PX = 1.3;
export const PATCH_PX = 5;
/** How much is seen of what only is behind a piece. */
export const FAINT = { box: 0.55, person: 0.4 } as const;

const FOOT_MM = INCHES_PER_FOOT * MM_PER_INCH;
/** Of a floor its far edge behind a piece, as so many times its reach, and at least, mm. */
const FLOOR_DEEP = 3;
const LEAST_REACH_MM = 300;
/** Points of a round shadow. */
const AROUND = Array.from(
  { length: 48 },
  (_, i) => [Math.cos((i * Math.PI) / 24), Math.sin((i * Math.PI) / 24)] as const,
);
/** Figures nearer to one another than this would touch; a ruler shorter than that is none, px. */
const FIGURE_PX = 14;
const LEAST_RULER_PX = 40;
/** Kept free at the upper right, where the picture is made to fill the screen, px. */
export const CORNER_PX = 54;

/** What a piece stands in: wall and floor, its shadow, the ceiling, a ruler and someone beside it, back to front. */
export function roomShapes({ room, outline }: Pick<Scene, 'room' | 'outline'>, view: View): RoomShape[] {
  const { extent, width, height, right, into } = view;
  const shadow = (by: number, ink: Ink): RoomShape => {
    const points = AROUND.map(([cos, sin]): Point => {
      const place = [by * extent.acrossMm * cos, by * extent.deepMm * sin, room ? 0 : extent.lowMm] as const;
      const { x, y } = view.project(place);
      return [x, y];
    });
    return { kind: 'patch', points, ink };
  };
  // From below there is no floor.
  if (!room) return into[2] > 0 ? [] : [shadow(0.92, 'sunk')];
  const level = [into[0], into[1], 0] as const;
  const edge = view.project(plus([0, 0, 0], level, FLOOR_DEEP * Math.max(extent.reachMm, LEAST_REACH_MM)));
  const floor = { x: 0, y: edge.y, width, height: Math.max(0, height - edge.y) };
  const person = view.project(plus([0, 0, 0], right, view.personAtMm));
  const crown = view.project(plus([0, 0, PERSON_MM], right, view.personAtMm));
  const tall = Math.max(0, (person.y - crown.y) / PERSON_MM);
  return [
    ...(into[2] < -0.01 ? [{ kind: 'box', ...floor, ink: 'sunk', filled: true } as const] : []),
    { kind: 'line', x1: 0, y1: edge.y, x2: width, y2: edge.y, ink: 'line', dashed: false },
    shadow(1.15, 'line'),
    ...ceilingLine(room, view),
    ...ruler(room, view),
    ...(outline ? [kept(outline, view)] : []),
    { kind: 'person', x: person.x, y: person.y, wide: person.scale, tall, ink: 'quiet' },
  ];
}

/** Seen from steeper above than this there are no levels, as the upward share of where the eye looks. */
const STEEP = 0.8;
export const hasLevels = ({ into }: View): boolean => Math.abs(into[2]) <= STEEP;

function ceilingLine({ ceiling }: SceneRoom, view: View): RoomShape[] {
  if (ceiling === null || !hasLevels(view)) return [];
  const { y } = view.project([0, 0, ceiling.highMm]);
  const ink = view.extent.highMm > ceiling.highMm ? 'out' : 'quiet';
  return [
    { kind: 'line', x1: 0, x2: view.width, y1: y, y2: y, ink, dashed: true },
    { kind: 'text', x: view.width - CORNER_PX, y: y + FIGURE_PX, text: `ceiling ${ceiling.title}`, ink },
  ];
}

/** A place that is kept for what is no balloon. */
function kept({ widthMm, fromMm, toMm }: NonNullable<Scene['outline']>, view: View): RoomShape {
  const [foot, head] = [view.project([0, 0, fromMm]), view.project([0, 0, toMm])];
  const width = widthMm * foot.scale;
  const height = Math.max(0, foot.y - head.y);
  return { kind: 'box', x: foot.x - width / 2, y: head.y, width, height, ink: 'quiet', filled: false };
}

/** Feet, or half metres, from the floor up. */
function ruler({ unit }: SceneRoom, view: View): RoomShape[] {
  const inFeet = unit === 'in';
  const stepMm = inFeet ? FOOT_MM : 500;
  const at = (mm: number) => view.project(plus([0, 0, mm], view.right, view.rulerAtMm));
  const [foot, head] = [at(0), at(view.topMm)];
  const long = foot.y - head.y;
  // Seen from above there is nothing to read it by.
  if (long < LEAST_RULER_PX) return [];
  const marks = Array.from({ length: Math.floor(view.topMm / stepMm) + 1 }, (_, i) => at(i * stepMm));
  const apart = Math.ceil((FIGURE_PX * marks.length) / long);
  const ink = 'quiet' as const;
  return [
    { kind: 'line', x1: foot.x, y1: foot.y, x2: head.x, y2: head.y, ink, dashed: false },
    ...marks.flatMap(({ x, y }, i): RoomShape[] => [
      { kind: 'line', x1: x - 5, y1: y, x2: x, y2: y, ink, dashed: false },
      ...(i % apart === 0 && i > 0
        ? [{ kind: 'text' as const, x: x - 8, y: y + 4, text: inFeet ? `${i} ft` : `${i / 2} m`, ink }]
        : []),
    ]),
  ];
}
