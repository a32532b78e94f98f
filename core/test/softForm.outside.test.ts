import { formAsMade, formOf, softForm, spheresOf, usualLeanDeg, type Form, type FormShape } from '../src/linking';
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

describe('a form as it was made', () => {
  const drawn = spheresOf(PRACTISED);
  const at = drawn.findIndex(({ key }) => key === 'ring-1');
  const off = (mm: number) =>
    formAsMade(
      PRACTISED,
      drawn.map(({ widthMm }, i) => (i === at ? widthMm + mm : widthMm)),
    );

  it('is the drawing with every balloon exact', () => {
    off(0).forEach((sphere, i) => {
      expect(Math.hypot(sphere.xMm - drawn[i]!.xMm, sphere.yMm - drawn[i]!.yMm)).toBeLessThan(0.5);
      expect(sphere.zMm).toBeCloseTo(drawn[i]!.zMm, 0);
    });
  });

  it('has one that is larger pushed out the more it is, and a smaller one drawn in', () => {
    const outs = [-0.5, -0.25, 0, 0.25, 0.5].map((inches) => out(off(inch(inches))[at]!));
    outs.slice(1).forEach((mm, i) => expect(mm).toBeGreaterThan(outs[i]! + inch(0.1)));
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

  it('only has its own widths where the whole would fall together', () => {
    const tall = made({
      kind: 'basket',
      count: 8,
      rings: 4,
      baseMm: inch(4),
      leanDeg: usualLeanDeg('basket'),
      jointMm: 3,
    });
    const own = spheresOf(tall);
    const lies = formAsMade(
      tall,
      own.map(({ widthMm }, i) => (i === 16 ? widthMm + inch(0.25) : widthMm)),
    );
    expect(lies.map(({ xMm, yMm, zMm }) => [xMm, yMm, zMm])).toEqual(own.map(({ xMm, yMm, zMm }) => [xMm, yMm, zMm]));
    expect(lies[16]!.widthMm - own[16]!.widthMm).toBeCloseTo(inch(0.25), 9);
  });
});
