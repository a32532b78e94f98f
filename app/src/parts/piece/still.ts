import type { DesignOf, PieceDesign } from '@leggero/contract';
import { handleLine } from '@leggero/core/linking';

import { shade } from '../shade';
import { colouredAtOnce } from './garlandAtOnce';
import { STEEL_HEX } from './holds';
import type { Material } from './material';
import { packedByHand } from './packing';
import { nearerHalf, projected } from './projected';
import { partOf } from './viewClosed';
import type { GarlandView } from './viewGarland';
import { lowestOf, type Hanging } from './viewHanging';
import { hoopLine, HOOP_TUBE_MM } from './viewHoop';
import { viewIn, type PieceView } from './viewIn';

/** A balloon as it is seen, mm: x to the right, y downwards. */
interface Ball {
  x: number;
  y: number;
  r: number;
  hex: string;
}

/** A piece as it is seen: its balloons from back to front, and its handle. */
export interface Still {
  balls: Ball[];
  handle: { line: { x: number; y: number }[]; near: { x: number; y: number }[]; widthMm: number; hex: string } | null;
  /** How high above the floor its lowest point is, mm. */
  footMm: number;
}

/** A piece as its page first shows it; null where it cannot be worked out. */
export function stillOf(design: PieceDesign, material: Material): Still | null {
  const found = viewIn(design, material);
  return found && stillIn(found, material);
}

function stillIn(found: PieceView, material: Material): Still | null {
  switch (found.form) {
    case 'column':
    case 'taper':
    case 'arch':
      return coloured(found.view, found.design.standMm);
    case 'rope':
    case 'plinth':
      return coloured(found.view);
    case 'bow':
      return coloured(found.view, Math.max(0, found.view.lowMm));
    case 'hoop': {
      const line = hoopLine(found.design).map(projected);
      const handle = { line, near: [], widthMm: HOOP_TUBE_MM, hex: STEEL_HEX };
      return { ...coloured(found.view), handle };
    }
    case 'garland':
      return garlandStill(found.design, found.view, material);
    case 'chain':
    case 'swag':
    case 'curtain':
      return hanging(found.view);
    case 'ring': {
      const { rings } = found.design;
      const hexOf = ({ key }: { key: string }) => rings[Number(key.replace('ring-', '')) - 1]!.colourHex;
      return { balls: seen(found.view.spheres, hexOf), handle: null, footMm: 0 };
    }
    case 'closed': {
      const { design, view } = found;
      const { spheres, handle, standing } = view;
      const balls = seen(spheres, ({ key }) => partOf(design, key).colourHex);
      if (!handle?.ok || !design.handle) return { balls, handle: null, footMm: 0 };
      const line = handleLine(standing, handle.value).map(projected);
      const { colourHex: hex } = design.handle.part;
      return { balls, handle: { line, near: nearerHalf(line), widthMm: handle.value.widthMm, hex }, footMm: 0 };
    }
  }
}

/** Balloons that have their colours, their lowest point so high above the floor. */
function coloured({ balloons }: { balloons: readonly (Seen & { colourHex: string })[] }, footMm = 0): Still {
  return { balls: seen(balloons, ({ colourHex }) => colourHex), handle: null, footMm };
}

function garlandStill(design: DesignOf<'garland'>, view: GarlandView, material: Material): Still | null {
  const made = packedByHand(view, material.knowledge.trade);
  if (!made.ok) return null;
  const balloons = colouredAtOnce(design, view, made.value, material);
  const balls = seen(balloons, ({ colourHex }) => colourHex);
  return { balls, handle: null, footMm: Math.max(0, Math.min(...balls.map(({ y, r }) => -y - r))) };
}

/** What hangs, from its chains. */
function hanging({ chains, sizes }: Hanging): Still {
  const hexes = new Map(sizes.map(({ key, part }) => [key, part.colourHex]));
  const balls = chains.flatMap(({ balloons, keys }) =>
    balloons.map(({ xMm, highMm, widthMm }, i) => ({
      ...{ x: xMm, y: -highMm },
      ...{ r: widthMm / 2, hex: hexes.get(keys[i]!)! },
    })),
  );
  return { balls, handle: null, footMm: Math.max(0, Math.min(...chains.map(lowestOf))) };
}

interface Seen {
  xMm: number;
  yMm: number;
  zMm: number;
  widthMm: number;
}

function seen<Sphere extends Seen>(spheres: readonly Sphere[], hexOf: (sphere: Sphere) => string): Ball[] {
  return spheres
    .map((sphere) => ({ ...projected(sphere), r: sphere.widthMm / 2, hex: hexOf(sphere) }))
    .sort((a, b) => a.depth - b.depth)
    .map(({ x, y, r, hex }) => ({ x, y, r, hex }));
}

/** How far a still reaches to every side, mm. */
export function extentOf({ balls, handle }: Pick<Still, 'balls' | 'handle'>) {
  const half = (handle?.widthMm ?? 0) / 2;
  const round = [...balls, ...(handle?.line ?? []).map((place) => ({ ...place, r: half }))];
  const [left, right] = [Math.min(...round.map(({ x, r }) => x - r)), Math.max(...round.map(({ x, r }) => x + r))];
  const [top, foot] = [Math.min(...round.map(({ y, r }) => y - r)), Math.max(...round.map(({ y, r }) => y + r))];
  return { left, right, top, foot };
}

/** How a still lies in a square of so many px. */
export function frameOf(still: Still, px: number): { scale: number; dx: number; dy: number } {
  const { left, right, top, foot } = extentOf(still);
  const scale = (px - 2 * EDGE_PX) / Math.max(right - left, foot - top, 1);
  return { scale, dx: px / 2 - ((left + right) / 2) * scale, dy: px / 2 - ((top + foot) / 2) * scale };
}

/** Left free around a still, px. */
const EDGE_PX = 2;

/** Draws a still into a square of so many px, on nothing. */
export function drawStill(context: OffscreenCanvasRenderingContext2D, still: Still, px: number): void {
  const { scale, dx, dy } = frameOf(still, px);
  context.setTransform(scale, 0, 0, scale, dx, dy);
  if (still.handle) drawArch(context, still.handle, still.handle.line);
  for (const { x, y, r, hex } of still.balls) {
    // Light from the upper left, as on the piece's own page.
    const light = context.createRadialGradient(x - 0.28 * r, y - 0.4 * r, 0, x - 0.28 * r, y - 0.4 * r, 1.7 * r);
    light.addColorStop(0, shade(hex, 0.38));
    light.addColorStop(0.4, hex);
    light.addColorStop(1, shade(hex, -0.4));
    context.fillStyle = light;
    context.beginPath();
    context.arc(x, y, r, 0, 2 * Math.PI);
    context.fill();
  }
  if (still.handle) drawArch(context, still.handle, still.handle.near);
}

function drawArch(
  context: OffscreenCanvasRenderingContext2D,
  { widthMm, hex }: NonNullable<Still['handle']>,
  line: readonly { x: number; y: number }[],
): void {
  context.lineJoin = 'round';
  for (const [colour, share] of [
    [shade(hex, -0.3), 1],
    [hex, 0.8],
  ] as const) {
    context.strokeStyle = colour;
    context.lineWidth = share * widthMm;
    context.beginPath();
    line.forEach(({ x, y }, i) => (i === 0 ? context.moveTo(x, y) : context.lineTo(x, y)));
    context.stroke();
  }
}
