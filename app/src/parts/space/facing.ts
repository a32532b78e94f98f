import { extentOf, type Scene, type SceneBalloon, type Vec } from './scene';
import { cross, dot, plus, unit } from '@leggero/core/space';
import { held, viewOf, type Camera } from './view';

/** So far from straight on a ring is looked at: it is seen open, and how it lies on the one before, radians. */
const OPEN = 0.6;
/** Of a picture’s shorter side, what is put on takes so much of it; no nearer than so many times. */
const FILLS = 0.42;
const NEAREST = 2.6;
/** A scene as deep as so much of its width is built around its axis; else before a wall. */
const ROUND = 0.6;
/** Nearer to its axis than so much of its own reach it lies around that. */
const ABOUT_AXIS = 0.3;

const FRONT: Vec = [0, -1, 0];
const level = ([x, y]: Vec): Vec => [x, y, 0];

/**
 * How a scene is looked at while one step of it is built, in a picture of so many px: turned so that what is put on
 * faces the eye, and near it. A ring is seen half from its side, so that one sees in which creases it comes to lie; what
 * goes around an axis is turned so that its first balloon faces the eye.
 */
export function facing(scene: Scene, step: number, first: Camera, width: number, height: number): Camera {
  const own = scene.balloons.filter((balloon) => balloon.step === step);
  if (own.length === 0) return first;
  const middle = own.reduce<Vec>((sum, { at }) => plus(sum, at, 1 / own.length), [0, 0, 0]);
  const reachMm = Math.max(...own.map(({ at, widthMm }) => Math.hypot(...plus(at, middle, -1)) + widthMm / 2));
  const { turn, tilt } = lookingFrom(eyeFor(scene, own, { middle, reachMm }), first);
  const near = viewOf(scene, { turn, tilt, zoom: 1, push: [0, 0] }, width, height);
  const { scale } = near.project(middle);
  const wanted = (FILLS * Math.min(width, height)) / (2 * reachMm * scale);
  const zoom = Math.min(NEAREST, Math.max(1, wanted));
  const { x, y } = viewOf(scene, { turn, tilt, zoom, push: [0, 0] }, width, height).project(middle);
  return held({ turn, tilt, zoom, push: [0.5 - x / width, 0.5 - y / height] });
}

/** From where the eye looks at what is put on, a direction of length 1. */
function eyeFor(scene: Scene, own: readonly SceneBalloon[], at: { middle: Vec; reachMm: number }): Vec {
  const { acrossMm, deepMm } = extentOf(scene);
  const front = deepMm > ROUND * acrossMm ? outwards(own, at) : FRONT;
  const around = own.reduce<Vec>(
    (sum, { neck }, i) => plus(sum, cross(neck, own[(i + 1) % own.length]!.neck)),
    [0, 0, 0],
  );
  // Their necks lie in no plane of their own: one balloon, two end to end, a chain.
  if (Math.hypot(...around) < 1e-6) return front;
  const axis = unit(
    around[2] < -1e-9 || (Math.abs(around[2]) <= 1e-9 && around[0] < 0) ? plus([0, 0, 0], around, -1) : around,
  );
  const aside = plus(front, axis, -dot(front, axis));
  // What would be seen from straight above is looked at from the front.
  const across = Math.hypot(...aside) < 1e-6 ? FRONT : unit(aside);
  return plus(plus([0, 0, 0], across, Math.cos(OPEN)), axis, Math.sin(OPEN));
}

/** Where something of a piece around an axis looks to: away from it, or as its first balloon does. */
function outwards(own: readonly SceneBalloon[], { middle, reachMm }: { middle: Vec; reachMm: number }): Vec {
  const off = level(middle);
  if (Math.hypot(...off) > ABOUT_AXIS * reachMm) return unit(off);
  const first = level(own[0]!.at);
  return Math.hypot(...first) < 1e-6 ? FRONT : unit(first);
}

/** At least so much more from above than at first: one who builds looks down on it, radians. */
const RISE = 0.2;

function lookingFrom([x, y, z]: Vec, first: Camera): Pick<Camera, 'turn' | 'tilt'> {
  return { turn: nearest(Math.atan2(-x, -y), first.turn), tilt: Math.max(first.tilt + RISE, Math.asin(z)) };
}

/** The same direction, by the shorter way round from another. */
function nearest(turn: number, from: number): number {
  return turn - 2 * Math.PI * Math.round((turn - from) / (2 * Math.PI));
}

/** Some way from one look at a scene to another, by a share of it. */
export function between(from: Camera, to: Camera, share: number): Camera {
  const mixed = (a: number, b: number) => a + (b - a) * share;
  return {
    turn: mixed(from.turn, nearest(to.turn, from.turn)),
    tilt: mixed(from.tilt, to.tilt),
    zoom: mixed(from.zoom, to.zoom),
    push: [mixed(from.push[0], to.push[0]), mixed(from.push[1], to.push[1])],
  };
}
