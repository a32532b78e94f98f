import type { Outline } from '../space/balloonRows';
import type { SceneBalloon } from '../space/scene';

/** Of a piece in sizes, the balloons of the chosen one stand out. */
export const sizeOutline =
  (chosen: string | null) =>
  ({ key }: SceneBalloon): Outline =>
    key === chosen ? 'chosen' : 'none';

/** One balloon by itself stands out. */
export const onlyOutline =
  (at: number) =>
  (_: SceneBalloon, i: number): Outline =>
    i === at ? 'chosen' : 'none';
