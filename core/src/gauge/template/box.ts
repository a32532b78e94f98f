import { problem, ok, type Result } from '../../result';
import type { Corner, Piece } from './drawing';
import { rimLabel } from './label';
import { packCircles, type PlacedCircle } from './packCircles';
import { EDGE_MM, type Material, type TemplateSize } from './sizes';

/** How a box is joined. */
export interface Joint {
  /** Thickness of the sheet, mm. */
  thicknessMm: number;
  /** Wished length of a finger, mm; it is fitted to an odd number along each edge. */
  pitchMm: number;
}

/** A box as drawn. */
export interface Box {
  pieces: Piece[];
  /** Outside, mm; a cube. */
  sideMm: number;
  /** Fingers and gaps along an edge, an odd number, and the length of each. */
  fingers: number;
  fingerMm: number;
}

export type BoxProblem = 'thickness-over-pitch' | 'too-many-holes';

/** Which of two faces that meet keeps its fingers at both ends of their edge: the one earlier in this list. */
const FACES = ['top', 'bottom', 'front', 'back', 'left', 'right'] as const;
const RANK = [0, 0, 1, 1, 2, 2];
/** Ranks of the faces beyond the upper, right, lower and left edge of each face. */
const NEIGHBOURS = [
  [1, 2, 1, 2],
  [1, 2, 1, 2],
  [0, 2, 0, 2],
  [0, 2, 0, 2],
  [0, 1, 0, 1],
  [0, 1, 0, 1],
];

const STEP_MM = 2;
const LARGEST_SIDE_MM = 1200;

/**
 * A closed cube with holes in its six faces, the smallest on which they find room, with finger joints for a sheet of
 * `thicknessMm`. On every edge an odd number of equal lengths alternates between the two faces, one face having both
 * ends; at each corner of the cube one face has the ends of both its edges there, so each bit of the shell belongs to
 * exactly one face. The path lies half a kerf outside, so that what is left fits tight.
 *
 * Problems: `thickness-over-pitch` (a finger would be no longer than the sheet is thick: the corners would fall apart);
 * `too-many-holes`.
 */
export function box(
  sizes: readonly TemplateSize[],
  material: Material,
  { thicknessMm, pitchMm }: Joint,
): Result<Box, BoxProblem> {
  if (!(thicknessMm < pitchMm)) {
    return problem('thickness-over-pitch', { field: 'thicknessMm', detail: { pitchMm, thicknessMm } });
  }
  const edgeMm = EDGE_MM + thicknessMm;
  const radii = sizes.map(({ widthMm }) => widthMm / 2);
  const least = Math.max(2 * Math.max(...radii) + 2 * edgeMm, 3 * pitchMm);
  const lay = (sideMm: number) => onSixFaces(radii, { sideMm, edgeMm, gapMm: material.bridgeMm });
  const most = Math.floor((LARGEST_SIDE_MM - least) / STEP_MM);
  // Steps that double: most boxes are no larger than their largest hole needs.
  let low = 0;
  let high = 0;
  let faces = most < 0 ? null : lay(least);
  while (!faces && high < most) {
    low = high + 1;
    high = Math.min(most, Math.max(1, 2 * high));
    faces = lay(least + high * STEP_MM);
  }
  if (!faces) return problem('too-many-holes', { field: 'sizes' });
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    const tried = lay(least + middle * STEP_MM);
    if (tried) [high, faces] = [middle, tried];
    else low = middle + 1;
  }
  const sideMm = least + high * STEP_MM;
  const fingers = Math.max(3, 2 * Math.floor((sideMm / pitchMm - 1) / 2) + 1);
  const fingerMm = sideMm / fingers;
  const pieces = FACES.map((name, face): Piece => {
    const outline = outlineOf({ face, sideMm, fingers, thicknessMm, growMm: material.kerfMm / 2 });
    return faceOf({ name, outline, sizes, circles: faces[face] ?? [], sideMm, material });
  });
  return ok({ pieces, sideMm, fingers, fingerMm });
}

/** The holes laid on six faces, largest first; `null` when they do not fit. */
function onSixFaces(
  radii: readonly number[],
  { sideMm, edgeMm, gapMm }: { sideMm: number; edgeMm: number; gapMm: number },
): PlacedCircle[][] | null {
  const order = radii.map((_, index) => index).sort((a, b) => radii[b]! - radii[a]!);
  const faces: PlacedCircle[][] = [];
  let left = order;
  for (let face = 0; face < FACES.length; face += 1) {
    const room = { widthMm: sideMm, heightMm: sideMm, gapMm, edgeMm };
    const { placed } = packCircles(
      left.map((index) => radii[index]!),
      room,
    );
    const mine = placed.map((circle) => ({ ...circle, index: left[circle.index]! }));
    faces.push(centred(mine, sideMm));
    left = left.filter((index) => !mine.some((circle) => circle.index === index));
  }
  return left.length === 0 ? faces : null;
}

/** Holes look meant when they stand in the middle of their face. */
function centred(circles: readonly PlacedCircle[], sideMm: number): PlacedCircle[] {
  if (circles.length === 0) return [];
  const shift = (low: (c: PlacedCircle) => number, high: (c: PlacedCircle) => number) =>
    (sideMm - Math.min(...circles.map(low)) - Math.max(...circles.map(high))) / 2;
  const dx = shift(
    (c) => c.xMm - c.radiusMm,
    (c) => c.xMm + c.radiusMm,
  );
  const dy = shift(
    (c) => c.yMm - c.radiusMm,
    (c) => c.yMm + c.radiusMm,
  );
  return circles.map((circle) => ({ ...circle, xMm: circle.xMm + dx, yMm: circle.yMm + dy }));
}

interface OutlineOptions {
  face: number;
  sideMm: number;
  fingers: number;
  thicknessMm: number;
  growMm: number;
}

/** The corners of a face, clockwise as seen from its upper left; grown by half the kerf all around. */
function outlineOf({ face, sideMm, fingers, thicknessMm, growMm }: OutlineOptions): Corner[] {
  const step = sideMm / fingers;
  /** Whether the face reaches the outside on stretch `i` of the edge beyond which lies `neighbour`. */
  const reaches = (neighbour: number, i: number) => (RANK[face]! < neighbour ? i % 2 === 0 : i % 2 === 1);
  // Each edge as stretches of (from, to, inset) along its own direction; corners belong where both edges say so.
  const edges = NEIGHBOURS[face]!.map((neighbour) =>
    Array.from({ length: fingers }, (_, i) => (reaches(neighbour, i) ? 0 : thicknessMm)),
  );
  const points: [number, number][] = [];
  edges.forEach((insets, edge) => {
    const before = edges[(edge + 3) % 4]!;
    const after = edges[(edge + 1) % 4]!;
    insets.forEach((inset, i) => {
      const from = i === 0 ? before.at(-1)! : i * step;
      const to = i === fingers - 1 ? sideMm - after[0]! : (i + 1) * step;
      points.push(turn(edge, from, inset, sideMm), turn(edge, to, inset, sideMm));
    });
  });
  return grown(withoutStraight(points), growMm);
}

/** A point `along` an edge and `inset` from it, in the face's own axes. */
function turn(edge: number, along: number, inset: number, side: number): [number, number] {
  if (edge === 0) return [along, inset];
  if (edge === 1) return [side - inset, along];
  if (edge === 2) return [side - along, side - inset];
  return [inset, side - along];
}

function withoutStraight(points: readonly (readonly [number, number])[]): [number, number][] {
  const distinct = points.filter(([x, y], i) => {
    const [px, py] = points[(i + points.length - 1) % points.length]!;
    return Math.hypot(x - px, y - py) > 1e-9;
  });
  return distinct
    .filter(([x, y], i) => {
      const [px, py] = distinct[(i + distinct.length - 1) % distinct.length]!;
      const [nx, ny] = distinct[(i + 1) % distinct.length]!;
      return Math.abs((x - px) * (ny - y) - (y - py) * (nx - x)) > 1e-9;
    })
    .map(([x, y]) => [x, y]);
}

/** Moves every side of a right-angled outline outward, and the whole back so that nothing is below 0. */
function grown(points: readonly (readonly [number, number])[], by: number): Corner[] {
  return points.map(([x, y], i) => {
    const [px, py] = points[(i + points.length - 1) % points.length]!;
    const [nx, ny] = points[(i + 1) % points.length]!;
    // Clockwise with y down, the outside lies to the left: (dx, dy) turned to (dy, -dx).
    const dx = Math.sign(y - py) + Math.sign(ny - y);
    const dy = -Math.sign(x - px) - Math.sign(nx - x);
    return { xMm: x + by * dx + by, yMm: y + by * dy + by };
  });
}

function faceOf({
  name,
  outline,
  sizes,
  circles,
  sideMm,
  material,
}: {
  name: string;
  outline: Corner[];
  sizes: readonly TemplateSize[];
  circles: readonly PlacedCircle[];
  sideMm: number;
  material: Material;
}): Piece {
  const { kerfMm, bridgeMm } = material;
  const grow = kerfMm / 2;
  const shifted = circles.map((circle) => ({ ...circle, xMm: circle.xMm + grow, yMm: circle.yMm + grow }));
  return {
    name,
    widthMm: sideMm + kerfMm,
    heightMm: sideMm + kerfMm,
    holes: shifted.map(({ index, xMm, yMm }) => ({ ...sizes[index]!, xMm, yMm })),
    shapes: [
      ...shifted.flatMap((circle) =>
        rimLabel({
          text: sizes[circle.index]!.label,
          circle,
          others: shifted.filter((other) => other !== circle),
          bridgeMm,
        }),
      ),
      ...shifted.map(({ xMm, yMm, radiusMm }) => ({
        kind: 'circle' as const,
        layer: 'cut' as const,
        xMm,
        yMm,
        radiusMm: radiusMm - grow,
      })),
      { kind: 'path', layer: 'cut', closed: true, corners: outline },
    ],
  };
}
