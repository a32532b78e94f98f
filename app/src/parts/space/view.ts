import { dot, plus, unit, type Vec } from '@leggero/core/space';

import { PERSON_MM } from './person';
import { extentOf, type Extent, type Scene } from './scene';

/** How a scene is looked at. */
export interface Camera {
  /** Round its axis and from above, radians. */
  turn: number;
  tilt: number;
  /** 1 shows all of it. */
  zoom: number;
  /** How far the picture is pushed aside, as shares of its width and height. */
  push: readonly [right: number, down: number];
}

export const ZOOM = { least: 1, most: 8 } as const;
/** Straight from above, and a little from below. */
export const TILT = { least: -0.25, most: Math.PI / 2 } as const;

/** A camera that is moved by something, held within what can be looked at. */
export function held({ turn, tilt, zoom, push }: Camera): Camera {
  const within = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value));
  const near = within(zoom, ZOOM.least, ZOOM.most);
  // Pushed no further than until its edge is in the middle.
  const far = (near - 1) / 2;
  return {
    turn: turn % (2 * Math.PI),
    tilt: within(tilt, TILT.least, TILT.most),
    zoom: near,
    push: [within(push[0], -far, far), within(push[1], -far, far)],
  };
}

/** Nearer or farther by a factor, so that what is under a point of the picture (shares of it) stays there. */
export function zoomed(camera: Camera, by: number, [x, y]: readonly [number, number] = [0.5, 0.5]): Camera {
  const zoom = Math.min(ZOOM.most, Math.max(ZOOM.least, camera.zoom * by));
  const grown = zoom / camera.zoom;
  const { push } = camera;
  return held({
    ...camera,
    zoom,
    push: [x - 0.5 - grown * (x - 0.5 - push[0]), y - 0.5 - grown * (y - 0.5 - push[1])],
  });
}

/** A long lens: widths are nearly the same near and far, so that the ruler beside a piece holds for all of it. */
const LENS = 9;
/** A ceiling higher than so many times what stands below it would only make that small. */
const FAR_CEILING = 1.3;
/** Left free around the picture, px. */
const EDGE_PX = 14;
/** Room for the ruler's figures at the left, px. */
const RULER_PX = 40;
/** Between a piece and the person beside it, mm. */
const BESIDE_MM = 240;
const PERSON_HALF_MM = 215;

/** A place as it is seen, px, y downwards. */
export interface Seen {
  x: number;
  y: number;
  /** From the eye into the picture, mm. */
  depth: number;
  /** px for a mm there. */
  scale: number;
}

/** A ray from the eye through a point of the picture; its direction is of length 1. */
export interface Ray {
  from: Vec;
  along: Vec;
}

/** A scene in a picture of so many px. */
export interface View {
  width: number;
  height: number;
  eye: Vec;
  /** Of the picture in space, each of length 1: to its right, up, and into it. */
  right: Vec;
  up: Vec;
  into: Vec;
  /** px for a mm at the distance of 1 mm. */
  focalPx: number;
  /** Where the eye looks straight ahead, px. */
  middle: readonly [x: number, y: number];
  /** From the eye to the scene's middle, mm; how far around that the scene reaches. */
  distanceMm: number;
  radiusMm: number;
  extent: Extent;
  /** Of the ruler, and of whoever stands beside it, to the right of the axis, mm. */
  rulerAtMm: number;
  personAtMm: number;
  /** The highest that is in the picture, mm. */
  topMm: number;
  project: (place: Vec) => Seen;
  rayAt: (x: number, y: number) => Ray;
}

/** How much room a scene takes in a picture that is tilted so far, however it is turned. */
function frameOf(scene: Scene, tilt: number) {
  const extent = extentOf(scene);
  const { room } = scene;
  const { reachMm } = extent;
  const lowMm = room ? Math.min(0, extent.lowMm) : extent.lowMm;
  const tallMost = room ? Math.max(extent.highMm, PERSON_MM) : extent.highMm;
  const ceilingMm = room?.ceiling?.highMm ?? 0;
  const highMm = ceilingMm <= FAR_CEILING * tallMost ? Math.max(tallMost, ceilingMm) : 1.04 * tallMost;
  const halfHighMm = (highMm - lowMm) / 2;
  const radiusMm = Math.hypot(reachMm, halfHighMm);
  const distanceMm = LENS * radiusMm;
  // What is nearer than the axis looks larger by so much.
  const nearer = distanceMm / (distanceMm - reachMm);
  // A piece stands in the middle by itself, with a room to the left of whoever stands beside it.
  const besideMm = room ? BESIDE_MM + 2 * PERSON_HALF_MM : 0;
  return {
    ...{ extent, lowMm, highMm, radiusMm, distanceMm, nearer, besideMm },
    wideMm: 2 * reachMm * nearer + besideMm,
    tallMm: 2 * (halfHighMm * Math.abs(Math.cos(tilt)) + reachMm * Math.abs(Math.sin(tilt))) * nearer,
    rulerPx: room ? RULER_PX : 0,
  };
}

/** How high a picture of this width is that a scene just fills, but no higher than `most`, px. */
export function heightFor(scene: Scene, tilt: number, width: number, most: number): number {
  const { wideMm, tallMm, rulerPx } = frameOf(scene, tilt);
  return Math.min(most, Math.round(((width - 2 * EDGE_PX - rulerPx) / wideMm) * tallMm) + 2 * EDGE_PX);
}

/**
 * A scene as a camera sees it in a picture of so many px: central projection, all of the scene in the picture at zoom
 * 1 however it is turned. The drawing in space, the still one and what a tap hits are all reckoned from this.
 *
 * Source: central projection, any textbook of computer graphics; common practice.
 */
export function viewOf(scene: Scene, camera: Camera, width: number, height: number): View {
  const { turn, tilt, zoom, push } = camera;
  const frame = frameOf(scene, tilt);
  const { extent, lowMm, highMm, radiusMm, distanceMm, nearer, besideMm, rulerPx } = frame;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const [rise, ahead] = [Math.sin(tilt), Math.cos(tilt)];
  const right: Vec = [cos, -sin, 0];
  const up: Vec = [rise * sin, rise * cos, ahead];
  const into: Vec = [ahead * sin, ahead * cos, -rise];
  const centre: Vec = [0, 0, (lowMm + highMm) / 2];
  const fits = Math.min((width - 2 * EDGE_PX - rulerPx) / frame.wideMm, (height - 2 * EDGE_PX) / frame.tallMm);
  const fit = Math.max(1e-6, fits);
  const focalPx = fit * zoom * distanceMm;
  const axis = (width + rulerPx) / 2 - (besideMm / 2) * fit;
  // Zoomed about the middle of the picture.
  const middle = [width / 2 + zoom * (axis - width / 2) + push[0] * width, height / 2 + push[1] * height] as const;
  const eye = plus(centre, into, -distanceMm);
  return {
    ...{ width, height, eye, right, up, into, focalPx, middle, distanceMm, radiusMm, extent },
    // Whatever is nearer, the ruler stays at the left edge.
    rulerAtMm: (RULER_PX + EDGE_PX - 6 - middle[0]) / (fit * zoom),
    topMm: highMm,
    personAtMm: extent.reachMm * nearer + BESIDE_MM + PERSON_HALF_MM,
    project: (place) => {
      const from = plus(place, eye, -1);
      const depth = Math.max(1, dot(from, into));
      const scale = focalPx / depth;
      return { x: middle[0] + scale * dot(from, right), y: middle[1] - scale * dot(from, up), depth, scale };
    },
    rayAt: (x, y) => {
      const [aside, above] = [(x - middle[0]) / focalPx, (middle[1] - y) / focalPx];
      return { from: eye, along: unit(plus(plus(into, right, aside), up, above)) };
    },
  };
}
