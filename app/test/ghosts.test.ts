import type { DesignOf } from '@leggero/contract';
import { TRADE } from '@leggero/core';
import { unevenStack } from '@leggero/core/building';

import { bentUneven } from '@/parts/piece/bentUneven';
import { rowOf } from '@/features/building/useGhost';
import type { Material } from '@/parts/piece/material';
import type { TiedBalloon } from '@/parts/piece/tied';
import { viewArch } from '@/parts/piece/viewArch';
import { viewBow, viewRope } from '@/parts/piece/viewRope';

const inch = (inches: number) => inches * 25.4;
const kelp = { modelId: null, colourHex: '#3f7a4a', finish: 'matte' } as const;
const COLOURS = {
  colours: [kelp],
  pattern: { kind: 'rings' as const, order: [0], to: 'right' as const, every: 1 },
  painted: [],
};
const ARCH: DesignOf<'arch'> = {
  ...COLOURS,
  ...{ form: 'arch', count: 4, shape: 'ellipse', open: 'layers', layers: 1, widthMm: inch(10) },
  ...{ spanMm: inch(96), highMm: inch(84), standMm: inch(1) },
};
const ROPE: DesignOf<'rope'> = {
  ...COLOURS,
  ...{ form: 'rope', count: 2, open: 'height', layers: 12, heightMm: inch(72), widthMm: inch(4), joiner: kelp },
};
const BOW: DesignOf<'bow'> = {
  ...COLOURS,
  ...{ form: 'bow', count: 2, open: 'across', loop: 24, tail: 4, acrossMm: inch(96), widthMm: inch(7) },
  ...{ knotMm: inch(84), joiner: kelp },
};
const material: Material = {
  ...{ knowledge: { models: [], trade: TRADE }, studio: { stepMm: inch(1 / 8) }, chains: [], stacks: [], longs: [] },
};
const how = (spread: { lean: number; sd: number }) => ({
  ...{ spread, seed: 7, heldBy: 'pole' as const, packing: TRADE.packing, trade: TRADE },
});
const arch = () => {
  const view = viewArch(ARCH, material);
  if (!view.ok) throw new Error(view.problem.code);
  const { balloons, plan } = view.value;
  const layers = plan.stack.map(({ count, widthMm }) => ({ count, widthMm }));
  return { balloons, plan, layers };
};
const apart = (a: TiedBalloon, b: TiedBalloon) => Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm, a.zMm - b.zMm);

describe('a piece along something bent, as it came out', () => {
  it('is the drawing itself where every balloon is just of its size', () => {
    const { balloons, layers } = arch();
    const laid = bentUneven(balloons, { layers, rows: [rowOf(balloons, 0)] }, how({ lean: 0, sd: 0 }));
    expect(laid).toHaveLength(balloons.length);
    laid.forEach((each, i) => {
      expect(each.widthMm).toBeCloseTo(balloons[i]!.widthMm, 9);
      expect(apart(each, balloons[i]!)).toBeLessThan(1e-6);
      expect(each.neck.map((n, axis) => n - balloons[i]!.neck[axis]!).every((off) => Math.abs(off) < 1e-9)).toBe(true);
    });
  });

  it('of balloons that are all larger is pushed along its curve, more with every layer', () => {
    const { balloons, layers, plan } = arch();
    const laid = bentUneven(balloons, { layers, rows: [rowOf(balloons, 0)] }, how({ lean: 0.05, sd: 0 }));
    const middle = (of: readonly TiedBalloon[], layer: number) => {
      const own = of.filter((each) => each.layer === layer);
      return [own.reduce((sum, { xMm }) => sum + xMm / 4, 0), own.reduce((sum, { zMm }) => sum + zMm / 4, 0)] as const;
    };
    plan.stack.forEach(({ heightMm }, layer) => {
      const [[x, z], [u, v]] = [middle(balloons, layer), middle(laid, layer)];
      const { angle } = plan.places[layer]!;
      // The first stays; each other has gone on by a twentieth of how far along it is, the way the curve goes.
      const pushed = 0.05 * (heightMm - plan.stack[0]!.heightMm);
      expect(Math.hypot(u - x, v - z)).toBeCloseTo(pushed, 3);
      if (layer > 0 && layer < plan.layers - 1)
        expect(((u - x) * Math.cos(angle) + (v - z) * Math.sin(angle)) / pushed).toBeCloseTo(1, 1);
    });
  });

  it('that hangs straight is just the stack laid anew', () => {
    const view = viewRope(ROPE, material);
    if (!view.ok) throw new Error(view.problem.code);
    const { balloons, plan } = view.value;
    const spread = { lean: 0.01, sd: 0.06 };
    const layers = plan.stack.layers.map(({ count, widthMm }) => ({ count, widthMm }));
    const laid = bentUneven(balloons, { layers, rows: [rowOf(balloons, 0)] }, how(spread));
    const stack = unevenStack({ layers, ...how(spread) });
    if (!stack.ok) throw new Error(stack.problem.code);
    const foot = stack.value.balloons.slice(0, 2).reduce((sum, { zMm }) => sum + zMm / 2, 0);
    const from = balloons[0]!.zMm;
    stack.value.balloons.forEach(({ xMm, yMm, zMm, widthMm }, i) => {
      const { xMm: x, yMm: y, zMm: z, widthMm: wide } = laid[i]!;
      expect(wide).toBeCloseTo(widthMm, 9);
      expect(Math.hypot(x - xMm, y - yMm)).toBeLessThan(0.1);
      expect(z - from).toBeCloseTo(zMm - foot, 3);
    });
  });

  it('of two loops has each from its own first duplet, so that they come out unlike', () => {
    const view = viewBow(BOW, material);
    if (!view.ok) throw new Error(view.problem.code);
    const { balloons, plan } = view.value;
    const { loop, tail, widthMm } = plan;
    const side = (first: number) =>
      rowOf(balloons, 0, ({ step }) => (step >= first && step < first + loop ? step - first : -1));
    const layers = Array.from({ length: 2 * loop }, () => ({ count: 2, widthMm }));
    const rows = [side(0), { ...side(loop + tail), from: loop }];
    const laid = bentUneven(balloons, { layers, rows }, how({ lean: 0, sd: 0.05 }));
    expect(laid).toHaveLength(4 * loop);
    const [right, left] = [laid.slice(0, 2 * loop), laid.slice(2 * loop)];
    expect(right.every(({ xMm }) => xMm > -widthMm) && left.every(({ xMm }) => xMm < widthMm)).toBe(true);
    const wide = (row: readonly TiedBalloon[]) => Math.max(...row.map(({ xMm }) => Math.abs(xMm)));
    expect(Math.abs(wide(right) - wide(left))).toBeGreaterThan(0.1);
  });
});
