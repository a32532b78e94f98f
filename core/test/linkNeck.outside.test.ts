import { relax } from '../src/garland/relax';
import { TRADE } from '../src';
import { rootWithin } from '../src/numeric';

/**
 * A skin of even tension around air that keeps its volume, drawn out or pressed along an axis, both ends alike: the forces
 * on the part from an end to a ring of radius r balance, 2 π r sin φ = π p r² + F with the tension as 1 and φ the skin's
 * slope against the ring's plane. Lengths are in radii of the free sphere, whose pressure is then 2.
 *
 * Source: Young–Laplace, integrated once (Delaunay's surfaces of even mean curvature).
 */
function halfOf({ pressure, force, fromR }: { pressure: number; force: number; fromR: number }) {
  const widest = (1 + Math.sqrt(1 - (pressure * force) / Math.PI)) / pressure;
  let [high, volume] = [0, 0];
  const steps = 4000;
  for (let i = 0; i < steps; i += 1) {
    // Finer towards the widest place, where the skin stands upright.
    const u = (i + 0.5) / steps;
    const r = widest - (widest - fromR) * u * u;
    const sine = (pressure * r + force / Math.PI / r) / 2;
    const rise = (sine / Math.sqrt(1 - sine * sine)) * ((2 * (widest - fromR) * u) / steps);
    high += rise;
    volume += Math.PI * r * r * rise;
  }
  return { high, volume };
}

const withVolume = (volume: number, of: (pressure: number) => ReturnType<typeof halfOf>) => {
  const pressure = rootWithin({ of: (p) => volume - of(p).volume, low: 1.2, high: 2.6, within: 1e-10 });
  return { ...of(pressure), pressure };
};

/** Force by way between two that press on each other, each flattened by a disc so wide. */
function pressing(disc: number): number {
  const force = (pressure: number) => -Math.PI * disc * disc * pressure;
  const { high, pressure } = withVolume((2 / 3) * Math.PI, (p) =>
    halfOf({ pressure: p, force: force(p), fromR: disc }),
  );
  return -force(pressure) / (2 * (1 - high));
}

/** Force by way of a skin that is pulled at a neck so wide. */
function pulling(neck: number, force: number): number {
  const free = halfOf({ pressure: 2, force: 0, fromR: neck });
  const { high } = withVolume(free.volume, (pressure) => halfOf({ pressure, force, fromR: neck }));
  return force / (high - free.high);
}

describe('how hard a neck pulls beside how hard balloons press', () => {
  it('of a free skin nothing is pressed or pulled: a sphere of its pressure', () => {
    expect(halfOf({ pressure: 2, force: 0, fromR: 1e-4 }).high).toBeCloseTo(1, 4);
    expect(halfOf({ pressure: 2, force: 0, fromR: 1e-4 }).volume).toBeCloseTo((2 / 3) * Math.PI, 4);
  });

  it('is what skin and rubber of a 6 in balloon at 3½ in say, as near as the number claims', () => {
    // From memory: a neck of 16 mm across, 18 mm long, walls of ¼ mm, rubber of 1.2 MPa, 2.5 kPa within.
    const [radiusM, pascals] = [0.0445, 2500];
    const tension = (pascals * radiusM) / 2;
    const rubber = (1.2e6 * Math.PI * 0.0115 * 0.00025) / 0.018 / tension;
    for (const disc of [0.3, 0.4])
      for (const force of [0.3, 0.6]) {
        const skin = pulling(0.18, force);
        const neck = 1 / (1 / skin + 1 / rubber);
        const off = Math.log(neck / pressing(disc) / TRADE.linkNeck);
        expect(Math.abs(off)).toBeLessThan(TRADE.linkNeckSd);
      }
  });
});

describe('what sticks', () => {
  /** Two springs one after the other, worked by hand. */
  it('resists being moved sideways by two thirds of what it does being pressed', () => {
    const at = Float64Array.from([0, 0, 0, 25, 40, 0, 25, 0, 0]);
    const spheres = {
      at,
      reachMm: Float64Array.from([10, 5, 10]),
      bonds: [{ a: 2, b: 1, restMm: 10 }],
      grips: [{ a: 0, b: 2, towards: [1, 0, 0] as const }],
      held: 2,
    };
    relax(spheres, { within: 0, mostSteps: 4000, neck: 1 });
    // The bond is pulled by 30 - y, the grip moved by y.
    expect(at[7]).toBeCloseTo(30 / (1 + 2 / 3), 1);
    expect(at[6]).toBeCloseTo(25, 1);
  });

  it('lets them come nearer and go apart', () => {
    const at = Float64Array.from([0, 0, 0, 60, 0, 0, 25, 0, 0]);
    const grips = [{ a: 0, b: 2, towards: [1, 0, 0] as const }];
    relax(
      { at, reachMm: Float64Array.from([10, 5, 10]), bonds: [{ a: 2, b: 1, restMm: 20 }], grips, held: 2 },
      { within: 0, mostSteps: 4000, neck: 0.5 },
    );
    // Drawn near until the bond is slack.
    expect(at[6]).toBeGreaterThan(39.9);
    expect(at[6]).toBeLessThan(45);
  });
});
