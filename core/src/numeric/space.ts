/** A place, or a direction, in space: x to the right, y to the back, z up; mm where it is a place. */
export type Vec = readonly [x: number, y: number, z: number];

/** Where something lies. */
export const placeOf = ({ xMm, yMm, zMm }: { xMm: number; yMm: number; zMm: number }): Vec => [xMm, yMm, zMm];

export const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** From a so many times along b. */
export const plus = (a: Vec, b: Vec, by = 1): Vec => [a[0] + by * b[0], a[1] + by * b[1], a[2] + by * b[2]];

/** From one place to another, mm. */
export const distance = (a: Vec, b: Vec): number => Math.hypot(...plus(a, b, -1));

/** Square to both, right-handed. */
export const cross = (a: Vec, b: Vec): Vec => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

/** From one direction towards another that is square to it, by an angle, radians; both of length 1. */
export const turned = (from: Vec, to: Vec, by: number): Vec =>
  plus(plus([0, 0, 0], from, Math.cos(by)), to, Math.sin(by));

/** The same direction, of length 1; nothing stays nothing. */
export const unit = (a: Vec): Vec => plus([0, 0, 0], a, 1 / (Math.hypot(...a) || 1));
