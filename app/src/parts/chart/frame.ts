import type { ScaleLinear } from 'd3-scale';

/** Room around the plot, px. */
export const MARGIN = { top: 10, right: 12, bottom: 42, left: 40 };

/** Where things lie: dose to the right, width upwards. */
export interface ChartFrame {
  /** px */
  width: number;
  height: number;
  x: ScaleLinear<number, number>;
  y: ScaleLinear<number, number>;
  /** The largest width shown, mm. */
  mostMm: number;
}
