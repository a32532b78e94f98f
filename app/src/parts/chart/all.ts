/**
 * Every chart: one piece that is fetched with the first chart shown, for d3 comes with it. Pages take them from
 * `ui/charts`.
 */
export { ControlChart } from './ControlChart';
export { CurveChart } from './CurveChart';
export { EyeChart } from './EyeChart';
export { HoldChart } from './HoldChart';
export { OffChart } from './OffChart';
export { PartedChart } from './PartedChart';
export { PressureChart } from './PressureChart';
export { SessionsChart } from './SessionsChart';
export { SpreadStrip } from './SpreadStrip';
