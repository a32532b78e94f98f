import { svgPathProperties } from 'svg-path-properties';

import { bowBalloons, LEMNISCATE, solveArch, solveBow, solveHoop } from '../src/building';
import { garlandPath, knotLine, type GarlandPathKind } from '../src/garland';
import { inch, problemOf, value } from './results';

type Point = readonly [x: number, y: number];

/** As long as a library that measures drawings finds a path: to some hundred-thousandths. */
const lengthOf = (path: string) => new svgPathProperties(path).getTotalLength();

/** A curve as a drawing has it: cubic pieces with its own directions at their ends. */
function drawn(at: (t: number) => Point, from: number, to: number, pieces: number): string {
  const step = (to - from) / pieces;
  const slope = (t: number): Point => {
    const [[a, b], [c, d]] = [at(t - 1e-5), at(t + 1e-5)];
    return [((c - a) / 2e-5) * (step / 3), ((d - b) / 2e-5) * (step / 3)];
  };
  let path = `M ${at(from).join(' ')}`;
  for (let i = 0; i < pieces; i += 1) {
    const [t, next] = [from + i * step, from + (i + 1) * step];
    const [[x, y], [dx, dy], [u, v], [du, dv]] = [at(t), slope(t), at(next), slope(next)];
    path += ` C ${x + dx} ${y + dy} ${u - du} ${v - dv} ${u} ${v}`;
  }
  return path;
}

describe('arcs, measured by a library for drawings', () => {
  it.each([
    [96, 84],
    [120, 60],
    [60, 110],
    [140, 40],
  ])('of a frame %d in wide and %d in high', (spanIn, highIn) => {
    const [a, b] = [inch(spanIn) / 2, inch(highIn)];
    const { curveMm } = value(
      solveArch({
        arch: { shape: 'ellipse', open: 'layers', count: 2, layers: 1, widthMm: inch(4), spanMm: 2 * a, highMm: b },
        stepMm: inch(1 / 8),
      }),
    );
    expect(curveMm / lengthOf(`M ${-a} 0 A ${a} ${b} 0 0 1 ${a} 0`)).toBeCloseTo(1, 4);
  });

  it.each([
    [96, 84],
    [120, 50],
    [72, 100],
  ])('of a free arch with feet %d in apart and %d in high', (spanIn, highIn) => {
    const { curveMm, tightestMm } = value(
      solveArch({
        arch: {
          ...{ shape: 'catenary', open: 'layers', count: 2, layers: 1 },
          ...{ widthMm: inch(4), spanMm: inch(spanIn), highMm: inch(highIn) },
        },
        stepMm: inch(1 / 8),
      }),
    );
    // A chain that is as high between these feet, found by halving.
    const half = inch(spanIn) / 2;
    let [low, high] = [inch(1), inch(400)];
    while (high - low > 1e-9) {
      const a = (low + high) / 2;
      if (a * (Math.cosh(half / a) - 1) > inch(highIn)) low = a;
      else high = a;
    }
    expect(tightestMm / low).toBeCloseTo(1, 4);
    const chain = drawn((x) => [x, low * Math.cosh(x / low)], -half, half, 200);
    expect(curveMm / lengthOf(chain)).toBeCloseTo(1, 4);
  });

  it('of a crescent along its hoop', () => {
    const plan = value(
      solveHoop({
        hoop: {
          ...{ hoopMm: inch(72), count: 4 },
          crescents: [
            {
              ...{ atDeg: 200, centreMm: inch(11), between: null },
              steps: [
                { widthMm: inch(9), left: 2, right: 2 },
                { widthMm: inch(6), left: 1, right: 3 },
              ],
            },
          ],
        },
        stepMm: inch(1 / 8),
      }),
    );
    const [{ fromDeg, toDeg, arcMm }] = plan.crescents as [(typeof plan.crescents)[number]];
    const r = inch(36);
    const on = (degrees: number) =>
      `${r * Math.sin((degrees * Math.PI) / 180)} ${-r * Math.cos((degrees * Math.PI) / 180)}`;
    const arc = (from: number, to: number) => `M ${on(from)} A ${r} ${r} 0 ${to - from > 180 ? 1 : 0} 1 ${on(to)}`;
    expect(arcMm / lengthOf(arc(fromDeg, toDeg))).toBeCloseTo(1, 4);
    const bare = plan.bare.reduce((sum, part) => sum + lengthOf(arc(part.fromDeg, part.toDeg)), 0);
    expect(plan.bareMm / bare).toBeCloseTo(1, 4);
    expect((arcMm + plan.bareMm) / lengthOf(`${arc(0, 180)} ${arc(180, 360)}`)).toBeCloseTo(1, 4);
  });

  it('of the loops of a bow', () => {
    const plan = value(
      solveBow({
        bow: { open: 'across', loop: 25, tail: 0, widthMm: inch(7.5), acrossMm: 1 },
        stepMm: inch(1 / 8),
      }),
    );
    const lobe = (t: number): Point => {
      const x = (plan.lobeMm * Math.cos(t)) / (1 + Math.sin(t) ** 2);
      return [x, x * Math.sin(t)];
    };
    const measured = lengthOf(drawn(lobe, -Math.PI / 2, Math.PI / 2, 200));
    expect(plan.loopMm / measured).toBeCloseTo(1, 4);
    expect(LEMNISCATE / (measured / plan.lobeMm)).toBeCloseTo(1, 4);
    // Each of its duplets is as far along that drawing as its count says.
    const right = bowBalloons(plan).filter(({ side }) => side === 'right');
    const path = new svgPathProperties(drawn(lobe, -Math.PI / 2, Math.PI / 2, 200));
    for (let duplet = 0; duplet < plan.loop; duplet += 1) {
      const [one, other] = right.filter((each) => each.duplet === duplet);
      const { x, y } = path.getPointAtLength((duplet + 0.5) * plan.riseMm);
      expect((one!.xMm + other!.xMm) / 2).toBeCloseTo(x, 0);
      expect((one!.zMm + other!.zMm) / 2).toBeCloseTo(y, 0);
    }
  });

  it('of the paths of garlands, drawn from place to place', () => {
    const [wideMm, highMm, dropMm] = [inch(120), inch(90), inch(30)];
    const pathMm = (kind: GarlandPathKind) => {
      const points = value(garlandPath({ kind, wideMm, highMm, dropMm }));
      return value(knotLine(points)).lengthMm;
    };
    const half = wideMm / 2;
    expect(pathMm('arch') / lengthOf(`M ${-half} 0 A ${half} ${highMm} 0 0 1 ${half} 0`)).toBeCloseTo(1, 3);
    expect(pathMm('half-arch') / lengthOf(`M 0 0 A ${wideMm} ${highMm} 0 0 1 ${wideMm} ${-highMm}`)).toBeCloseTo(1, 3);
    // A chain with such a drop, found by halving.
    let [low, high] = [inch(1), inch(4000)];
    while (high - low > 1e-9) {
      const a = (low + high) / 2;
      if (a * (Math.cosh(half / a) - 1) > dropMm) low = a;
      else high = a;
    }
    const chain = drawn((x) => [x, low * Math.cosh(x / low)], -half, half, 100);
    expect(pathMm('droop') / lengthOf(chain)).toBeCloseTo(1, 3);
    const hung = value(garlandPath({ kind: 'droop', wideMm, highMm, dropMm }));
    expect(Math.min(...hung.map(([, , z]) => z))).toBeCloseTo(highMm - dropMm, 6);
    expect(pathMm('corner')).toBeCloseTo(wideMm + highMm, 9);
    expect(pathMm('straight')).toBeCloseTo(wideMm, 9);
    expect(pathMm('backdrop')).toBeCloseTo(wideMm + 2 * highMm, 9);
    const ring = value(garlandPath({ kind: 'hoop', wideMm: inch(60), highMm: inch(72), dropMm: 0 }));
    expect(value(knotLine(ring)).lengthMm / (Math.PI * inch(60))).toBeCloseTo(1, 3);
    const heights = ring.map(([, , z]) => z);
    expect([Math.min(...heights), Math.max(...heights)].map((mm) => mm / inch(12))).toEqual([
      expect.closeTo(1, 6),
      expect.closeTo(6, 6),
    ]);
    expect(problemOf(garlandPath({ kind: 'hoop', wideMm: inch(60), highMm: inch(59), dropMm: 0 }))).toMatchObject({
      code: 'hoop-in-floor',
      field: 'path.highMm',
      detail: { leastMm: inch(60) },
    });
  });

  it('of a path that is drawn: through its places, smooth, as long as a circle whose places it has', () => {
    const drawnThrough = (...points: [number, number][]) =>
      garlandPath({
        ...{ kind: 'own', wideMm: 1, highMm: 1, dropMm: 0 },
        points: points.map(([xMm, zMm]) => ({ xMm, zMm })),
      });
    const arc = Array.from({ length: 9 }, (_, i): [number, number] => {
      const angle = Math.PI * (1 - i / 8);
      return [1000 * Math.cos(angle), 1000 + 1000 * Math.sin(angle)];
    });
    const points = value(drawnThrough(...arc));
    for (const [x, z] of arc)
      expect(Math.min(...points.map((at) => Math.hypot(at[0] - x, at[2] - z)))).toBeLessThan(1e-6);
    for (const [x, , z] of points) expect(Math.abs(Math.hypot(x, z - 1000) / 1000 - 1)).toBeLessThan(0.02);
    expect(value(knotLine(points)).lengthMm / (Math.PI * 1000)).toBeCloseTo(1, 2);
    const straight = value(drawnThrough([-500, 200], [0, 200], [900, 200]));
    expect(value(knotLine(straight)).lengthMm).toBeCloseTo(1400, 6);
    const refused = (...own: [number, number][]) => problemOf(drawnThrough(...own));
    expect(refused([0, 0], [1000, 1000], [1000, 0], [0, 1000])).toMatchObject({ code: 'path-crosses' });
    expect(refused([0, 0], [1000, 5], [2000, 1500], [3000, 0], [4000, 0], [5000, 1500])).toMatchObject({
      code: 'path-crosses',
    });
    expect(refused([0, 100])).toMatchObject({ code: 'bad-points', detail: { least: 2, most: 12 } });
    expect(refused([0, 100], [0, 100])).toMatchObject({ code: 'bad-points' });
    expect(refused([0, -1], [0, 100])).toMatchObject({ code: 'bad-points' });
    expect(refused([0, 1], [NaN, 100])).toMatchObject({ code: 'bad-points' });
    expect(refused(...Array.from({ length: 13 }, (_, i): [number, number] => [100 * i, 100]))).toMatchObject({
      code: 'bad-points',
    });
  });
});
