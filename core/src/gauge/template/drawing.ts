/** What a cutter does with a shape: cut through, or draw on the surface. */
export const LAYERS = ['cut', 'engrave'] as const;
export type Layer = (typeof LAYERS)[number];

/**
 * A corner of a path, mm; x to the right, y down. `bulge` bends the way to the next corner into an arc: the tangent
 * of a quarter of its angle, positive where the angle grows from x towards y (0: straight).
 */
export interface Corner {
  xMm: number;
  yMm: number;
  bulge?: number;
}

export interface PathShape {
  kind: 'path';
  layer: Layer;
  corners: readonly Corner[];
  closed: boolean;
}

export interface CircleShape {
  kind: 'circle';
  layer: Layer;
  xMm: number;
  yMm: number;
  radiusMm: number;
}

/** What a template is drawn with: every writer of files knows these two, and nothing else. */
export type TemplateShape = PathShape | CircleShape;

/** A hole as a piece carries it: what it is for, and where its middle lies. */
export interface LabelledHole {
  label: string;
  xMm: number;
  yMm: number;
  widthMm: number;
}

/** A part that comes out of a sheet in one piece, its own corner at (0, 0). */
export interface Piece {
  name: string;
  widthMm: number;
  heightMm: number;
  shapes: readonly TemplateShape[];
  holes: readonly LabelledHole[];
}

/** Where a piece lies on its sheet. */
export interface PiecePlace {
  xMm: number;
  yMm: number;
  turned: boolean;
  /** Of the piece. */
  heightMm: number;
}

function placed({ xMm, yMm, turned, heightMm }: PiecePlace, x: number, y: number) {
  return turned ? { xMm: heightMm - y + xMm, yMm: x + yMm } : { xMm: x + xMm, yMm: y + yMm };
}

/** Moves a hole as its piece is moved. */
export function movedHole(hole: LabelledHole, place: PiecePlace): LabelledHole {
  return { ...hole, ...placed(place, hole.xMm, hole.yMm) };
}

/**
 * Moves a shape, after a quarter turn where `turned` (about its own corner, then back into x, y >= 0; `heightMm` is
 * the piece's).
 */
export function moved(shape: TemplateShape, place: PiecePlace): TemplateShape {
  const to = (x: number, y: number) => placed(place, x, y);
  if (shape.kind === 'circle') return { ...shape, ...to(shape.xMm, shape.yMm) };
  return { ...shape, corners: shape.corners.map((corner) => ({ ...corner, ...to(corner.xMm, corner.yMm) })) };
}

/** The arc that a bulge makes between two corners. */
export interface Arc {
  xMm: number;
  yMm: number;
  radiusMm: number;
  /** Angles of its ends, radians; `to` below `from` where it turns back. */
  from: number;
  to: number;
}

/** The arc from `a` to `b`; `null` where the way is straight. Source: definition of the bulge in the DXF reference. */
export function arcOf(a: Corner, b: Corner): Arc | null {
  const { bulge = 0 } = a;
  if (bulge === 0) return null;
  const dx = b.xMm - a.xMm;
  const dy = b.yMm - a.yMm;
  const chord = Math.hypot(dx, dy);
  const radiusMm = (chord * (1 + bulge * bulge)) / (4 * Math.abs(bulge));
  // From the middle of the chord to the centre, along its normal.
  const apothem = (chord * (1 - bulge * bulge)) / (4 * bulge);
  const xMm = (a.xMm + b.xMm) / 2 - (apothem * dy) / chord;
  const yMm = (a.yMm + b.yMm) / 2 + (apothem * dx) / chord;
  const from = Math.atan2(a.yMm - yMm, a.xMm - xMm);
  return { xMm, yMm, radiusMm, from, to: from + 4 * Math.atan(bulge) };
}

/** The rectangle that holds a shape. */
export interface Extent {
  leftMm: number;
  topMm: number;
  rightMm: number;
  bottomMm: number;
}

/** The rectangle around a shape; an arc counts with its whole circle's reach where it passes an axis. */
export function extentOf(shape: TemplateShape): Extent {
  if (shape.kind === 'circle') {
    const { xMm, yMm, radiusMm } = shape;
    return around([
      [xMm - radiusMm, yMm - radiusMm],
      [xMm + radiusMm, yMm + radiusMm],
    ]);
  }
  const points = shape.corners.flatMap((corner, i): [number, number][] => {
    const next = shape.corners[(i + 1) % shape.corners.length]!;
    const arc = i === shape.corners.length - 1 && !shape.closed ? null : arcOf(corner, next);
    return [[corner.xMm, corner.yMm], ...(arc ? axisPoints(arc) : [])];
  });
  return around(points);
}

function axisPoints({ xMm, yMm, radiusMm, from, to }: Arc): [number, number][] {
  const low = Math.ceil(Math.min(from, to) / (Math.PI / 2));
  const high = Math.floor(Math.max(from, to) / (Math.PI / 2));
  const points: [number, number][] = [];
  for (let quarter = low; quarter <= high; quarter += 1) {
    const angle = (quarter * Math.PI) / 2;
    points.push([xMm + radiusMm * Math.cos(angle), yMm + radiusMm * Math.sin(angle)]);
  }
  return points;
}

function around(points: readonly (readonly [number, number])[]): Extent {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  return {
    leftMm: Math.min(...xs),
    topMm: Math.min(...ys),
    rightMm: Math.max(...xs),
    bottomMm: Math.max(...ys),
  };
}

/** A straight line. */
export function line(layer: Layer, ...points: readonly (readonly [number, number])[]): PathShape {
  return { kind: 'path', layer, closed: false, corners: points.map(([xMm, yMm]) => ({ xMm, yMm })) };
}

const QUARTER = Math.tan(Math.PI / 8);

/** A rectangle with rounded corners, clockwise as seen. */
export function roundedRectangle({
  xMm,
  yMm,
  widthMm,
  heightMm,
  radiusMm,
}: {
  xMm: number;
  yMm: number;
  widthMm: number;
  heightMm: number;
  radiusMm: number;
}): PathShape {
  const r = Math.min(radiusMm, widthMm / 2, heightMm / 2);
  const [right, bottom] = [xMm + widthMm, yMm + heightMm];
  return {
    kind: 'path',
    layer: 'cut',
    closed: true,
    corners: [
      { xMm: xMm + r, yMm },
      { xMm: right - r, yMm, bulge: QUARTER },
      { xMm: right, yMm: yMm + r },
      { xMm: right, yMm: bottom - r, bulge: QUARTER },
      { xMm: right - r, yMm: bottom },
      { xMm: xMm + r, yMm: bottom, bulge: QUARTER },
      { xMm, yMm: bottom - r },
      { xMm, yMm: yMm + r, bulge: QUARTER },
    ],
  };
}
