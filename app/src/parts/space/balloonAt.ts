import type { Scene, SceneBalloon } from './scene';
import { dot, plus } from '@leggero/core/space';
import { type Ray, type View } from './view';

/**
 * How far along a ray a balloon's skin is met; null where the ray passes it. The balloon is a spheroid about its neck's
 * line: pressed together along that line it is a ball, and so is the ray.
 */
export function metAt({ at, widthMm, aspect, neck }: SceneBalloon, { from, along }: Ray): number | null {
  const pressed = (vector: Ray['along']) => plus(vector, neck, dot(vector, neck) * (1 / aspect - 1));
  const origin = pressed(plus(from, at, -1));
  const way = pressed(along);
  const [a, b, c] = [dot(way, way), dot(origin, way), dot(origin, origin) - (widthMm / 2) ** 2];
  const squared = b * b - a * c;
  if (squared < 0) return null;
  const distance = (-b - Math.sqrt(squared)) / a;
  return distance > 0 ? distance : null;
}

/** A thumb is not exact: so far beside a balloon still means it, px. */
const THUMB_PX = 12;

/**
 * The balloon that is seen at a point of the picture, or else the one just beside it, by its place in the scene; null
 * where none is.
 */
export function balloonAt(
  { balloons }: Pick<Scene, 'balloons'>,
  view: View,
  x: number,
  y: number,
  /** Steps that are built so far. */
  built = Infinity,
): number | null {
  const ray = view.rayAt(x, y);
  let nearest: { i: number; distance: number } | null = null;
  let beside: { i: number; px: number } | null = null;
  for (const [i, balloon] of balloons.entries()) {
    if (balloon.step >= built) continue;
    const distance = metAt(balloon, ray);
    if (distance !== null && (nearest === null || distance < nearest.distance)) nearest = { i, distance };
    const seen = view.project(balloon.at);
    const px = Math.hypot(seen.x - x, seen.y - y) - (balloon.widthMm / 2) * seen.scale;
    if (px < (beside?.px ?? THUMB_PX)) beside = { i, px };
  }
  return (nearest ?? beside)?.i ?? null;
}
