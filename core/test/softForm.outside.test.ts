import {
  formAsMade,
  formAtRest,
  formOf,
  holdsAtRest,
  ownLeanDeg,
  restingForm,
  restingLeanDeg,
  softForm,
  spheresOf,
  standingAcross,
  standingForm,
  usualLeanDeg,
  wellMm,
  type Form,
  type FormShape,
} from '../src/linking';
import { TRADE } from '../src';
import { inch, value } from './results';

const made = (shape: Pick<FormShape, 'kind' | 'count' | 'rings'> & Partial<FormShape>): Form =>
  value(formOf({ baseMm: inch(5), leanDeg: 0, jointMm: 0, ...shape }));
const FORMS = [
  made({ kind: 'cup', count: 6, rings: 3 }),
  made({ kind: 'dome', count: 8, rings: 2 }),
  made({ kind: 'ball', count: 6, rings: 1 }),
  made({ kind: 'wreath', count: 12, rings: 2 }),
];
const PRACTISED = made({ kind: 'basket', count: 6, rings: 2, baseMm: inch(3.5), leanDeg: usualLeanDeg('basket') });
const out = ({ xMm, yMm }: { xMm: number; yMm: number }) => Math.hypot(xMm, yMm);

describe('a closed form on soft bodies', () => {
  /** Its drawing keeps every contact of spheres (`formOf`): two ways to the same form. */
  it('comes to rest where contacts of spheres have it, whatever the form', () => {
    for (const form of FORMS) {
      const { spheres, pulled } = softForm(form);
      const drawn = spheresOf(form);
      const middle = (of: readonly { zMm: number }[]) => of.reduce((sum, { zMm }) => sum + zMm / of.length, 0);
      const [at, was] = [middle(spheres), middle(drawn)];
      spheres.forEach((sphere, i) => {
        expect(Math.abs(out(sphere) - out(drawn[i]!)) / sphere.widthMm).toBeLessThan(0.05);
        expect(Math.abs(sphere.zMm - at - drawn[i]!.zMm + was) / sphere.widthMm).toBeLessThan(0.05);
      });
      expect(pulled).toBeLessThan(0.1);
    }
  });

  it('has no two of them in one another more than soft ones are, every pair looked at by itself', () => {
    for (const form of FORMS) {
      const { spheres, pressed } = softForm(form);
      let worst = 0;
      spheres.forEach((a, i) =>
        spheres.slice(i + 1).forEach((b) => {
          const belong = ((a.widthMm + b.widthMm) / 2) * (1 - TRADE.garlandPress);
          worst = Math.max(worst, 1 - Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm, a.zMm - b.zMm) / belong);
        }),
      );
      expect(worst).toBeLessThan(0.02);
      expect(pressed).toBeGreaterThan(worst - 1e-9);
    }
  });

  /** Common practice: a ring of six around the spokes, the outer ones stand out until the upper ring pulls them in. */
  it('a basket has its rings around its spokes, and its upper ring pulls the outer spokes in', () => {
    const role = (form: Form, of: string) => {
      const { spheres } = softForm(form);
      const own = spheres.filter(({ layer, tie }) => !tie && form.layers[layer]!.role === of);
      return own.reduce((sum, sphere) => sum + out(sphere) / own.length, 0);
    };
    expect(role(PRACTISED, 'ring')).toBeGreaterThan(role(PRACTISED, 'inner-spokes'));
    const open = made({ kind: 'basket', count: 6, rings: 1, baseMm: inch(3.5), leanDeg: usualLeanDeg('basket') });
    expect(role(open, 'outer-spokes')).toBeGreaterThan(role(PRACTISED, 'outer-spokes') + inch(0.1));
    // What is equal lies equally: six of each.
    const { spheres } = softForm(PRACTISED);
    for (const key of ['ring-1', 'ring-2']) {
      const radii = spheres.filter((each) => each.key === key).map(out);
      expect(Math.max(...radii) - Math.min(...radii)).toBeLessThan(inch(0.02));
    }
  });

  it('scales as a whole, joints with it', () => {
    const [small, large] = [1, 2].map((by) =>
      softForm(made({ kind: 'cup', count: 6, rings: 2, baseMm: by * inch(4) })),
    );
    small!.spheres.forEach((sphere, i) => {
      expect(large!.spheres[i]!.xMm / 2).toBeCloseTo(sphere.xMm, 1);
      expect(large!.spheres[i]!.zMm / 2).toBeCloseTo(sphere.zMm, 1);
    });
  });
});

/** Common practice: spokes of 3½ in, a first ring of 3¾ and an upper one of 4¼; a sizer's quarter inches matter. */
describe('the practised basket', () => {
  const { spokes, firstRing, upperRing } = TRADE.practisedBasket;
  const shape = { kind: 'basket', count: 6, rings: 2, baseMm: inch(spokes), jointMm: 0 } as const;
  // As hard as necks may pull, with 95 in 100.
  const trades = [-2, 0, 2].map((by) => ({ ...TRADE, linkNeck: TRADE.linkNeck * Math.exp(by * TRADE.linkNeckSd) }));
  const quarters = (form: Form) =>
    form.layers.flatMap(({ role, widthMm }) => (role === 'ring' ? [Math.round((4 * widthMm) / inch(1)) / 4] : []));

  it('comes out by itself: rings sized for the wall that soft bodies rest at are the practised ones', () => {
    for (const trade of trades)
      for (const leanDeg of [0, 3, 16]) {
        const own = ownLeanDeg({ ...shape, leanDeg }, trade)!;
        expect(quarters(value(formOf({ ...shape, leanDeg: own })))).toEqual([firstRing, upperRing]);
      }
  });

  it('rests at its own lean, and one with other rings does not', () => {
    for (const trade of trades) {
      const rests = (leanDeg: number) => restingLeanDeg(made({ ...shape, leanDeg }), trade)!;
      expect(Math.abs(rests(usualLeanDeg('basket')) - usualLeanDeg('basket'))).toBeLessThan(1);
      expect(rests(1)).toBeGreaterThan(4);
      expect(rests(17)).toBeLessThan(13);
    }
  });

  it('comes to rest the same however it is laid out first', () => {
    const laid = [0, 20].map((leanDeg) => {
      const start = made({ ...shape, leanDeg, baseMm: inch(spokes + leanDeg / 20) });
      const layers = start.layers.map((layer, i) => ({ ...layer, widthMm: PRACTISED.layers[i]!.widthMm }));
      const ties = start.ties.map((tie, i) => ({ ...tie, widthMm: PRACTISED.ties[i]!.widthMm }));
      return restingForm({ ...PRACTISED, layers, ties });
    });
    const rest = restingForm(PRACTISED);
    for (const other of laid) {
      expect(other.acrossMm / rest.acrossMm).toBeCloseTo(1, 2);
      expect(other.heightMm / rest.heightMm).toBeCloseTo(1, 2);
      other.layers.forEach(({ radiusMm }, i) => expect(radiusMm / rest.layers[i]!.radiusMm).toBeCloseTo(1, 2));
    }
  });

  it('stands as its balloons rest: measured anew from their centres, and not far from where knots alone draw it', () => {
    const stands = standingForm(PRACTISED);
    const spheres = spheresOf(stands);
    const across = 2 * Math.max(...spheres.map((each) => out(each) + each.widthMm / 2));
    expect(stands.acrossMm).toBeCloseTo(across, 6);
    formAtRest(PRACTISED).spheres.forEach(({ xMm, yMm, zMm }, i) => {
      const { xMm: x, yMm: y, zMm: z } = spheres[i]!;
      expect(Math.hypot(xMm - x, yMm - y, zMm - z)).toBeLessThan(0.01);
    });
    for (const of of ['acrossMm', 'heightMm'] as const) expect(stands[of] / PRACTISED[of]).toBeGreaterThan(1);
    for (const of of ['acrossMm', 'heightMm'] as const) expect(stands[of] / PRACTISED[of]).toBeLessThan(1.12);
    const { leastMm, mostMm } = standingAcross(PRACTISED);
    expect(leastMm).toBeLessThan(stands.acrossMm - inch(0.25));
    expect(mostMm).toBeGreaterThan(stands.acrossMm + inch(0.25));
    const inside = spheres.flatMap((each) => (each.key === 'spokes' && each.zMm > inch(2) ? [each] : []));
    expect(wellMm(stands)).toBeCloseTo(2 * Math.min(...inside.map((each) => out(each) - each.widthMm / 2)), 6);
  });

  it('is known across for all necks that may be, or said not to hold with some: of eight spokes, with the hardest', () => {
    expect(standingAcross(PRACTISED).failing).toEqual([]);
    const eight = made({ ...shape, count: 8, leanDeg: 10 });
    const { leastMm, mostMm, failing } = standingAcross(eight);
    expect(failing).toEqual(['harder']);
    const hardest = TRADE.linkNeck * Math.exp(2 * TRADE.linkNeckSd);
    expect(holdsAtRest(eight, { ...TRADE, linkNeck: hardest })).toBe(false);
    // What is told is of the other two alone.
    for (const linkNeck of [TRADE.linkNeck, TRADE.linkNeck ** 2 / hardest]) {
      const { acrossMm } = restingForm(eight, { ...TRADE, linkNeck });
      expect(acrossMm).toBeGreaterThanOrEqual(leastMm - 1e-9);
      expect(acrossMm).toBeLessThanOrEqual(mostMm + 1e-9);
    }
  });

  it('has eight spokes lean out more and five less, and says nothing of spokes that cannot be held', () => {
    const leans = [5, 6, 7, 8].map((count) => restingLeanDeg(made({ ...shape, count, leanDeg: 8 }))!);
    leans.slice(1).forEach((lean, i) => expect(lean).toBeGreaterThan(leans[i]! + 2));
    expect(ownLeanDeg({ ...shape, count: 5, leanDeg: 8 })).toBeNull();
    expect(restingLeanDeg(made({ ...shape, rings: 1, leanDeg: 8 }))).toBeNull();
    const crowded = made({ ...shape, count: 8, rings: 3, leanDeg: 25 });
    expect(holdsAtRest(crowded)).toBe(false);
    expect(standingForm(crowded)).toBe(crowded);
    expect(restingLeanDeg(crowded)).toBeNull();
    const widths = spheresOf(crowded).map(({ widthMm }) => 1.01 * widthMm);
    formAsMade(crowded, widths).forEach(({ xMm, widthMm }, i) => {
      expect(xMm).toBe(spheresOf(crowded)[i]!.xMm);
      expect(widthMm).toBe(widths[i]);
    });
  });
});

describe('a form as it was made', () => {
  const stands = spheresOf(standingForm(PRACTISED));
  const at = stands.findIndex(({ key }) => key === 'ring-1');
  const off = (mm: number) =>
    formAsMade(
      PRACTISED,
      stands.map(({ widthMm }, i) => (i === at ? widthMm + mm : widthMm)),
    );

  it('is as it stands with every balloon exact', () => {
    off(0).forEach((sphere, i) => {
      expect(Math.hypot(sphere.xMm - stands[i]!.xMm, sphere.yMm - stands[i]!.yMm)).toBeLessThan(0.5);
      expect(sphere.zMm).toBeCloseTo(stands[i]!.zMm, 0);
    });
  });

  it('has one that is larger pushed out the more it is, and a smaller one drawn in', () => {
    const outs = [-0.5, -0.25, 0, 0.25, 0.5].map((inches) => out(off(inch(inches))[at]!));
    outs.slice(1).forEach((mm, i) => expect(mm).toBeGreaterThan(outs[i]! + inch(0.05)));
    expect(outs[4]! - outs[0]!).toBeLessThan(inch(1));
  });

  it('all scaled by one factor keeps its shape', () => {
    const wider = formAsMade(
      FORMS[0]!,
      spheresOf(FORMS[0]!).map(({ widthMm }) => 1.02 * widthMm),
    );
    const mean = wider.reduce((sum, sphere) => sum + out(sphere), 0) / wider.length;
    const was = spheresOf(FORMS[0]!).reduce((sum, sphere) => sum + out(sphere), 0) / wider.length;
    expect(mean / was).toBeCloseTo(1.02, 2);
  });

  it('moves no balloon farther than the one that is off, of any basket that holds', () => {
    for (const [count, rings] of [
      [4, 2],
      [5, 3],
      [6, 4],
      [8, 2],
    ] as const) {
      const form = made({ kind: 'basket', count, rings, baseMm: inch(4), leanDeg: usualLeanDeg('basket'), jointMm: 3 });
      const own = spheresOf(standingForm(form));
      for (const place of [0, 2 * count, own.length - 1]) {
        const lies = formAsMade(
          form,
          own.map(({ widthMm }, i) => (i === place ? widthMm + inch(0.25) : widthMm)),
        );
        const far = lies.map(({ xMm, yMm, zMm }, i) =>
          Math.hypot(xMm - own[i]!.xMm, yMm - own[i]!.yMm, zMm - own[i]!.zMm),
        );
        expect(Math.max(...far)).toBeGreaterThan(inch(0.02));
        expect(Math.max(...far)).toBeLessThan(inch(0.25));
      }
    }
  });
});
