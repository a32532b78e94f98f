import type { Finish } from '@leggero/core';
import fc from 'fast-check';
import * as three from 'three';

import { looksIn, rowsOf, shadeOf } from '@/parts/space/balloonRows';
import { balloonAt, metAt } from '@/parts/space/balloonAt';
import type { Scene, SceneBalloon, Vec } from '@/parts/space/scene';
import { roomShapes } from '@/parts/space/roomShapes';
import { extentOf, stepsOf } from '@/parts/space/scene';
import { heightFor, held, TILT, viewOf, zoomed, ZOOM, type Camera } from '@/parts/space/view';

const SIDE: Camera = { turn: 0.4, tilt: 0.2, zoom: 1, push: [0, 0] };
const [WIDTH, HEIGHT] = [390, 460];

function balloon(at: Vec, by: Partial<SceneBalloon> = {}): SceneBalloon {
  const skin = { hex: '#d2577e', finish: 'matte' as Finish };
  return { key: 'a', step: 0, at, widthMm: 250, aspect: 1, neck: [0, 0, -1], skin, inner: null, ...by };
}
const sceneOf = (balloons: readonly SceneBalloon[], room: Scene['room'] = null): Scene => ({
  ...{ balloons, tubes: [], discs: [], outline: null, room },
});

const cameras = fc.record({
  turn: fc.double({ min: -7, max: 7, noNaN: true }),
  tilt: fc.double({ min: TILT.least, max: TILT.most, noNaN: true }),
  zoom: fc.double({ min: ZOOM.least, max: ZOOM.most, noNaN: true }),
  push: fc.tuple(fc.double({ min: -3, max: 3, noNaN: true }), fc.double({ min: -3, max: 3, noNaN: true })),
});
const along = fc.double({ min: -800, max: 800, noNaN: true });
const places: fc.Arbitrary<Vec> = fc.tuple(along, along, along);
const COLUMN = sceneOf(
  Array.from({ length: 24 }, (_, i) => balloon([180 * Math.cos(i), 180 * Math.sin(i), 125 + 60 * i], { step: i })),
  { ceiling: { highMm: 2600, title: '' }, unit: 'in' },
);

describe('how a scene is seen', () => {
  /** Against the camera of three, an independent implementation of central projection. */
  it('is where a camera of three sees it', () => {
    fc.assert(
      fc.property(cameras, places, (camera, place) => {
        // Straight from above three's own camera knows no upright.
        const view = viewOf(COLUMN, held({ ...camera, tilt: Math.min(camera.tilt, 1.5) }), WIDTH, HEIGHT);
        const other = new three.PerspectiveCamera();
        other.up.set(0, 0, 1);
        other.position.set(...view.eye);
        other.lookAt(new three.Vector3(...view.eye).add(new three.Vector3(...view.into)));
        other.updateMatrixWorld();
        other.fov = (2 * Math.atan(HEIGHT / 2 / view.focalPx) * 180) / Math.PI;
        other.aspect = WIDTH / HEIGHT;
        other.updateProjectionMatrix();
        const { x, y } = new three.Vector3(...place).project(other);
        const seen = view.project(place);
        expect(seen.x).toBeCloseTo(view.middle[0] + (x * WIDTH) / 2, 4);
        expect(seen.y).toBeCloseTo(view.middle[1] - (y * HEIGHT) / 2, 4);
      }),
    );
  });

  it('has all of it in the picture, however it is turned', () => {
    fc.assert(
      fc.property(cameras, ({ turn, tilt }) => {
        const view = viewOf(COLUMN, { turn, tilt, zoom: 1, push: [0, 0] }, WIDTH, HEIGHT);
        for (const { at, widthMm } of COLUMN.balloons) {
          const { x, y, scale } = view.project(at);
          const r = (widthMm / 2) * scale;
          expect(Math.min(x - r, y - r)).toBeGreaterThan(0);
          expect(x + r).toBeLessThan(WIDTH);
          expect(y + r).toBeLessThan(HEIGHT);
        }
      }),
    );
  });

  it('sends a ray through the very place that is seen there', () => {
    fc.assert(
      fc.property(cameras, places, (camera, place) => {
        const view = viewOf(COLUMN, held(camera), WIDTH, HEIGHT);
        const { x, y } = view.project(place);
        const { from, along } = view.rayAt(x, y);
        const ray = new three.Ray(new three.Vector3(...from), new three.Vector3(...along));
        expect(ray.distanceToPoint(new three.Vector3(...place))).toBeLessThan(1e-6);
      }),
    );
  });

  it('keeps what is under the fingers where it is while it is zoomed, as far as its edges let it', () => {
    const before = held({ ...SIDE, zoom: 3, push: [0.2, -0.1] });
    const after = zoomed(before, 1.7, [0.6, 0.4]);
    const [one, two] = [viewOf(COLUMN, before, WIDTH, HEIGHT), viewOf(COLUMN, after, WIDTH, HEIGHT)];
    expect(two.focalPx / one.focalPx).toBeCloseTo(1.7, 9);
    const [p, q] = [one, two].map((view) => view.rayAt(0.6 * WIDTH, 0.4 * HEIGHT).along);
    p!.forEach((each, i) => expect(q![i]).toBeCloseTo(each, 9));
    expect(zoomed(after, 0.001)).toMatchObject({ zoom: 1, push: [0, 0].map(() => expect.closeTo(0, 9)) });
  });

  it('has its ruler at the left edge, however near it is', () => {
    const rulerX = (zoom: number, push: Camera['push']) => {
      const view = viewOf(COLUMN, { ...SIDE, tilt: 0, zoom, push }, WIDTH, HEIGHT);
      const [x, y, z] = view.right.map((each) => each * view.rulerAtMm);
      return view.project([x!, y!, z!]).x;
    };
    expect(rulerX(1, [0, 0])).toBeCloseTo(48, 6);
    expect(rulerX(4, [0.7, 0])).toBeCloseTo(48, 6);
  });

  it('is as high as it needs to be where it is wide, and no higher than it may be', () => {
    for (const scene of [COLUMN, sceneOf(COLUMN.balloons)]) {
      const high = heightFor(scene, SIDE.tilt, WIDTH, 10_000);
      const [own, taller] = [high, 2 * high].map((each) => viewOf(scene, SIDE, WIDTH, each));
      // Any higher it would not be seen larger; a little lower it would be seen smaller.
      expect(taller!.focalPx / own!.focalPx).toBeCloseTo(1, 2);
      expect(viewOf(scene, SIDE, WIDTH, high - 10).focalPx).toBeLessThan(0.995 * own!.focalPx);
      expect(heightFor(scene, SIDE.tilt, WIDTH, 120)).toBe(120);
    }
  });

  it('has no ceiling seen from straight above, and one from the side', () => {
    const lines = (tilt: number) =>
      roomShapes(COLUMN, viewOf(COLUMN, { ...SIDE, tilt }, WIDTH, HEIGHT)).filter(
        (shape) => shape.kind === 'line' && shape.dashed,
      );
    expect([lines(0).length, lines(TILT.most).length]).toEqual([1, 0]);
  });

  it('draws a far ceiling out of the picture, and a near one into it', () => {
    const topOf = (ceilingMm: number) =>
      viewOf(
        sceneOf(COLUMN.balloons, { ceiling: { highMm: ceilingMm, title: '' }, unit: 'in' }),
        SIDE,
        WIDTH,
        HEIGHT,
      ).project([0, 0, ceilingMm]).y;
    expect(topOf(2000)).toBeGreaterThan(0);
    expect(topOf(6000)).toBeLessThan(0);
  });
});

describe('what is hit', () => {
  const unitVecs = places
    .filter((place) => Math.hypot(...place) > 100)
    .map((place) => {
      const long = Math.hypot(...place);
      return place.map((each) => each / long) as unknown as Vec;
    });

  /** Against three: a ray in the space in which the spheroid is a ball of one. */
  it('is a spheroid where three hits it', () => {
    fc.assert(
      fc.property(places, unitVecs, fc.double({ min: 0.7, max: 2, noNaN: true }), places, (at, neck, aspect, aim) => {
        const from: Vec = [at[0] + 5000, at[1] - 2000, at[2] + 900];
        const to = new three.Vector3(...at).addScaledVector(new three.Vector3(...aim), 0.25);
        const along = to
          .clone()
          .sub(new three.Vector3(...from))
          .normalize();
        const half = 125;
        // Round about its neck any two directions across will do.
        const ahead = new three.Vector3(...neck);
        const aside = new three.Vector3(...(Math.abs(neck[0]) < 0.7 ? [1, 0, 0] : [0, 1, 0])).cross(ahead).normalize();
        const across = ahead.clone().cross(aside).multiplyScalar(half);
        const toWorld = new three.Matrix4()
          .makeBasis(aside.multiplyScalar(half), across, ahead.clone().multiplyScalar(half * aspect))
          .setPosition(...at);
        const ray = new three.Ray(new three.Vector3(...from), along);
        const hit = ray
          .clone()
          .applyMatrix4(toWorld.clone().invert())
          .intersectSphere(new three.Sphere(new three.Vector3(), 1), new three.Vector3());
        const met = metAt(balloon(at, { neck, aspect }), { from, along: [along.x, along.y, along.z] });
        if (hit === null) return met === null;
        const place = hit.applyMatrix4(toWorld);
        return met !== null && Math.abs(met - place.distanceTo(ray.origin)) < 1e-4;
      }),
    );
  });

  it('is the nearer of two, until that is not built yet', () => {
    const scene = sceneOf([balloon([0, 400, 0]), balloon([0, -400, 0], { step: 1 })]);
    const view = viewOf(scene, { ...SIDE, turn: 0, tilt: 0 }, WIDTH, HEIGHT);
    expect(balloonAt(scene, view, WIDTH / 2, HEIGHT / 2)).toBe(1);
    expect(balloonAt(scene, view, WIDTH / 2, HEIGHT / 2, 1)).toBe(0);
    expect(balloonAt(scene, view, 3, 3)).toBeNull();
  });

  it('is meant by a thumb just beside it, and not by one farther off', () => {
    const small = sceneOf([balloon([-900, 0, 0], { widthMm: 60 }), balloon([900, 0, 0], { widthMm: 60 })]);
    const view = viewOf(small, { ...SIDE, turn: 0, tilt: 0 }, WIDTH, HEIGHT);
    const { x, y, scale } = view.project([900, 0, 0]);
    const r = 30 * scale;
    expect(r).toBeLessThan(8);
    expect(balloonAt(small, view, x - r - 10, y)).toBe(1);
    expect(balloonAt(small, view, x - r - 14, y)).toBeNull();
  });
});

describe('what the graphics hardware is told', () => {
  /** Against the colours of three: IEC 61966-2-1. */
  it('are colours as light', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffffff }), (value) => {
        const hex = `#${value.toString(16).padStart(6, '0')}`;
        const rows = rowsOf(sceneOf([balloon([0, 0, 0], { skin: { hex, finish: 'pearl' } })]), () => 'chosen');
        const { r, g, b } = new three.Color(hex);
        [r, g, b].forEach((light, i) => expect(rows.skin[i]).toBeCloseTo(light, 5));
        expect([rows.skin[3], rows.inner[3], rows.shade[3]]).toEqual([1, -1, 1]);
      }),
    );
  });

  it('is where neighbours stand, and nothing of those far away', () => {
    const [alone, right, left] = shadeOf([balloon([0, 0, 900]), balloon([0, 0, 0]), balloon([250, 0, 0])]);
    expect(alone).toEqual([0, 0, 0]);
    // Of a ball that touches, a quarter of what is on that side is covered.
    expect(right).toEqual([0.25, 0, 0]);
    expect(left).toEqual([-0.25, 0, 0]);
  });

  it('misses no neighbour, however large or small it is and wherever it lies', () => {
    const mm = fc.integer({ min: -800, max: 800 });
    const some = fc.array(fc.tuple(fc.tuple(mm, mm, mm), fc.double({ min: 30, max: 900, noNaN: true })), {
      minLength: 2,
      maxLength: 30,
    });
    fc.assert(
      fc.property(some, (laid) => {
        const balloons = laid.map(([at, widthMm]) => balloon(at, { widthMm }));
        // Every balloon against every other.
        const shaded = balloons.map((one, i) => {
          const sum = new three.Vector3();
          balloons.forEach((other, j) => {
            const to = new three.Vector3(...other.at).sub(new three.Vector3(...one.at));
            const away = to.length();
            if (i === j || away === 0 || away > (1.35 * (one.widthMm + other.widthMm)) / 2) return;
            sum.addScaledVector(to.normalize(), Math.min(1, (other.widthMm / 2 / away) ** 2));
          });
          return sum.clampLength(0, 1).toArray();
        });
        shadeOf(balloons).forEach((shade, i) =>
          shade.forEach((part, k) => expect(part).toBeCloseTo(shaded[i]![k]!, 9)),
        );
      }),
    );
  });

  it('is of which looks there are, so that nothing else is drawn for', () => {
    const skin = (finish: Finish) => ({ hex: '#d2577e', finish });
    expect(looksIn(sceneOf([balloon([0, 0, 0])]))).toEqual({});
    const many = [balloon([0, 0, 0], { skin: skin('pearl') }), balloon([0, 0, 0], { inner: skin('mirror') })];
    expect(Object.keys(looksIn(sceneOf(many)))).toEqual(['SEES_INNER', 'SEES_MIRROR', 'SEES_PEARL']);
  });
});

describe('a scene', () => {
  it('reaches as far as its longest balloon, along its neck', () => {
    const lying = sceneOf([balloon([100, 0, 0], { aspect: 1.4, neck: [-1, 0, 0] })]);
    expect(extentOf(lying)).toMatchObject({
      reachMm: 100 + 1.4 * 125,
      acrossMm: 100 + 1.4 * 125,
      lowMm: -125,
      highMm: 125,
    });
    const standing = sceneOf([balloon([0, 0, 0], { aspect: 1.4 })]);
    expect(extentOf(standing)).toMatchObject({ reachMm: 125, deepMm: 125, lowMm: -1.4 * 125, highMm: 1.4 * 125 });
    expect(extentOf(sceneOf([]))).toMatchObject({ reachMm: 1, lowMm: 0, highMm: 1 });
  });

  it('is built in as many steps as its last balloon says', () => {
    expect([stepsOf(COLUMN), stepsOf(sceneOf([]))]).toEqual([24, 0]);
  });
});
