import { between, facing } from '@/parts/space/facing';
import type { Scene, SceneBalloon, Vec } from '@/parts/space/scene';
import { dot } from '@leggero/core/space';
import { viewOf, type Camera } from '@/parts/space/view';

const [WIDTH, HEIGHT] = [390, 460];
const FIRST: Camera = { turn: 0.2, tilt: 0.07, zoom: 1, push: [0, 0] };
const skin = { hex: '#3f7a4a', finish: 'matte' } as const;

/** A ring of balloons about a place, square to a direction that lies in the plane of two others. */
function ring(step: number, at: Vec, [a, b]: readonly [Vec, Vec], count = 4, turn = 0): SceneBalloon[] {
  return Array.from({ length: count }, (_, i) => {
    const angle = turn + (2 * Math.PI * i) / count;
    const out = [0, 1, 2].map((axis) => Math.cos(angle) * a[axis]! + Math.sin(angle) * b[axis]!) as unknown as Vec;
    const place = [0, 1, 2].map((axis) => at[axis]! + 180 * out[axis]!) as unknown as Vec;
    const neck = [-out[0], -out[1], -out[2]] as const;
    return { key: 'a', step, at: place, widthMm: 250, aspect: 1, neck, skin, inner: null };
  });
}
const LEVEL = [
  [1, 0, 0],
  [0, 1, 0],
] as const;
const scene = (balloons: SceneBalloon[]): Scene => {
  return { balloons, tubes: [], discs: [], outline: null, room: { ceiling: null, unit: 'in' } };
};
const column = (turns: readonly number[]) =>
  scene(turns.flatMap((turn, step) => ring(step, [0, 0, 125 + 200 * step], LEVEL, 4, turn)));
const middleOf = (of: Scene, step: number): Vec => {
  const own = of.balloons.filter((each) => each.step === step);
  return [0, 1, 2].map((axis) => own.reduce((sum, { at }) => sum + at[axis]! / own.length, 0)) as unknown as Vec;
};
const seen = (of: Scene, step: number) => {
  const camera = facing(of, step, FIRST, WIDTH, HEIGHT);
  return { camera, view: viewOf(of, camera, WIDTH, HEIGHT) };
};

describe('a piece that is turned to the step that is built', () => {
  it('has the first balloon of each layer at its front, in the middle of the picture, seen from above', () => {
    const turns = [0, 0.6, 2.4, 4, 5.5];
    const piece = column(turns);
    turns.forEach((turn, step) => {
      const { camera, view } = seen(piece, step);
      expect(dot([Math.cos(turn), Math.sin(turn), 0], view.into)).toBeLessThan(-0.7);
      expect(camera.tilt).toBeCloseTo(0.6, 6);
      const { x, y } = view.project(middleOf(piece, step));
      expect(Math.hypot(x - WIDTH / 2, y - HEIGHT / 2)).toBeLessThan(0.3 * HEIGHT);
    });
  });

  it('is nearer for one layer of many, and never farther than all of it', () => {
    const tall = column(Array.from({ length: 20 }, (_, i) => i));
    const { camera, view } = seen(tall, 9);
    expect(camera.zoom).toBeGreaterThan(2);
    const { x, y } = view.project(middleOf(tall, 9));
    expect(Math.hypot(x - WIDTH / 2, y - HEIGHT / 2)).toBeLessThan(2);
    expect(seen(column([0]), 0).camera.zoom).toBeGreaterThanOrEqual(1);
  });

  it('looks at a ring around a hoop half from its side, wherever on the hoop it is', () => {
    const hoop = scene(
      Array.from({ length: 12 }, (_, step) => {
        const angle = (Math.PI * step) / 6;
        const out: Vec = [Math.sin(angle), 0, Math.cos(angle)];
        return ring(step, [900 * out[0], 0, 1200 + 900 * out[2]], [out, [0, 1, 0]]);
      }).flat(),
    );
    for (let step = 0; step < 12; step += 1) {
      const { view } = seen(hoop, step);
      const angle = (Math.PI * step) / 6;
      const along: Vec = [Math.cos(angle), 0, -Math.sin(angle)];
      // Neither straight along the tube, where it hides the next, nor square to it, where half of it is hidden.
      const open = Math.abs(dot(along, view.into));
      expect(open).toBeGreaterThan(0.1);
      expect(open).toBeLessThan(0.95);
      // From the front: a hoop has a back.
      expect(view.into[1]).toBeGreaterThan(0.4);
    }
  });

  it('stays as it was at first for a step that nothing is built in', () => {
    expect(facing(column([0]), 5, FIRST, WIDTH, HEIGHT)).toBe(FIRST);
  });
});

it('a look glides to another by the shorter way round', () => {
  const from = { ...FIRST, turn: 3 };
  const half = between(from, { turn: -3, tilt: 0.27, zoom: 3, push: [0.4, -0.2] }, 0.5);
  expect(half.turn).toBeCloseTo(Math.PI, 9);
  expect(half).toMatchObject({ tilt: 0.17, zoom: 2, push: [0.2, -0.1] });
  const there = between(from, { ...FIRST, turn: -3 }, 1);
  expect(Math.cos(there.turn)).toBeCloseTo(Math.cos(-3), 9);
});
