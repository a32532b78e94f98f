import type { TrimmingKind } from '@leggero/contract';
import { cross, plus, turned, unit } from '@leggero/core/space';

import type { SceneShape, SceneTube } from '../space/scene';
import { boardTubes } from './boardTubes';
import type { Trimming } from './decorators';

const HEXES: Record<Exclude<TrimmingKind, 'sign'>, string> = { flower: '#efe0dc', leaf: '#93b877' };
const HEART_HEX = '#d9a441';
/** Petals of a flower as it is drawn; how wide each is, how far out, and its heart, of the whole. */
const PETALS = 6;
const PETAL = { wide: 0.4, out: 0.3, flat: 0.35 } as const;
const HEART = 0.3;
/** A leaf’s length over its width, and how it leans from straight out, radians, from so far out. */
const LEAF = { aspect: 2.8, leans: 0.9, proud: 0.2 } as const;
/** A sign’s height, of its width. */
const SIGN_HIGH = 0.4;

/** A flower, a leaf or a sign in a garland as plain shapes to scale. */
export function trimmingShapes({ kind, wideMm, at, out }: Trimming): { shapes: SceneShape[]; tubes: SceneTube[] } {
  const aside = unit(cross(Math.abs(out[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0], out));
  const up = cross(out, aside);
  const way = (angle: number) => turned(aside, up, angle);
  switch (kind) {
    case 'flower': {
      const front = plus(at, out, 0.2 * wideMm);
      const petals = Array.from({ length: PETALS }, (_, i): SceneShape => {
        const middle = plus(front, way((2 * Math.PI * i) / PETALS), PETAL.out * wideMm);
        return { at: middle, widthMm: PETAL.wide * wideMm, aspect: PETAL.flat, axis: out, hex: HEXES.flower };
      });
      const heart = plus(front, out, 0.1 * wideMm);
      const middle = { at: heart, widthMm: HEART * wideMm, aspect: 0.6, axis: out, hex: HEART_HEX };
      return { shapes: [...petals, middle], tubes: [] };
    }
    case 'leaf': {
      // Which way it leans follows from where it lies, so that neighbours lean apart.
      const leaning = turned(out, way(at[0] + at[2]), LEAF.leans);
      const { aspect } = LEAF;
      const leaf = {
        at: plus(plus(at, out, LEAF.proud * wideMm), leaning, wideMm / 2),
        widthMm: wideMm / aspect,
        aspect,
        axis: leaning,
      };
      return { shapes: [{ ...leaf, hex: HEXES.leaf }], tubes: [] };
    }
    case 'sign':
      return { shapes: [], tubes: boardTubes({ wideMm, highMm: SIGN_HIGH * wideMm }, plus(at, out, 0.1 * wideMm)) };
  }
}
