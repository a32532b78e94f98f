import type { ReadingRecord } from '@leggero/contract';
import { MM_PER, predictWidth, type CalibrationFit, type LengthUnit, type Target } from '@leggero/core';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { G, Line, Path, Rect } from 'react-native-svg';

import type { Lengths } from '@/views/lengths';

import { Picture } from '@/ui/Picture';
import { usePalette } from '@/ui/theme';
import { ChartText, FootAxis, SideAxis, wholeTicks } from './Axes';
import { MARGIN, type ChartFrame } from './frame';
import { DraftMark, ReadingMark, seenOf } from './marks';

interface CurveChartProps {
  nominalMm: number;
  readings: readonly ReadingRecord[];
  fit: CalibrationFit | null;
  target?: Target | null;
  lengths: Lengths;
  /** What doses are counted in. */
  unit?: 'strokes' | 'seconds';
  /** The reading as it stands on the page, not yet added. */
  draft?: { dose: number; widthMm: number } | null;
  height?: number;
}

/** Width against dose: readings, curve, its 95 % band, where it turns oval, and the target with its strokes. */
export function CurveChart({
  nominalMm,
  readings,
  fit,
  target = null,
  lengths,
  unit = 'strokes',
  draft = null,
  height = 240,
}: CurveChartProps) {
  const seen = readings.flatMap(seenOf);
  const widths = seen.map(({ widthMm }) => widthMm);
  const mostDose = Math.max(2, ...readings.map(({ dose }) => dose), target?.dose?.dose ?? 0, draft?.dose ?? 0) * 1.12;
  const mostMm = Math.max(nominalMm, ...widths, draft?.widthMm ?? 0) * 1.04;
  const leastMm = Math.min(0.5 * nominalMm, ...widths) * 0.85;
  const frameOf = (width: number): ChartFrame => ({
    width,
    height,
    mostMm,
    x: scaleLinear([0, mostDose], [MARGIN.left, width - MARGIN.right]),
    y: scaleLinear([leastMm, mostMm], [height - MARGIN.bottom, MARGIN.top]).clamp(true),
  });
  const oval = fit?.shape.roundLimit.kind === 'shown' ? fit.shape.roundLimit.widthMm : null;
  const outliers = new Set(fit?.outliers.map(({ index }) => readings[index]?.id));
  const range =
    seen.length > 0
      ? `from ${lengths.text(Math.min(...widths))} to ${lengths.text(Math.max(...widths))}`
      : 'without a width';
  const summary = `Curve through ${readings.length} readings ${range}${oval ? `, oval from ${lengths.text(oval)}` : ''}`;
  const draw = (width: number) => {
    const frame = frameOf(width);
    return (
      <>
        {oval ? <OvalBand frame={frame} fromMm={oval} text={`turns oval from ${lengths.bare(oval)}`} /> : null}
        <Axes frame={frame} unit={lengths.unit} doses={unit} />
        {fit ? <Curve frame={frame} fit={fit} /> : null}
        {target?.dose ? <TargetLines frame={frame} widthMm={target.widthMm} dose={target.dose} /> : null}
        {draft ? <DraftMark frame={frame} {...draft} /> : null}
        {seen.map((reading) => (
          <ReadingMark key={reading.id} frame={frame} reading={reading} setAside={outliers.has(reading.id)} />
        ))}
      </>
    );
  };
  return (
    <Picture label={summary} height={height} framed={false}>
      {draw}
    </Picture>
  );
}

interface AxesProps {
  frame: ChartFrame;
  unit: LengthUnit;
  doses: 'strokes' | 'seconds';
}

/** Whole inches or centimetres at the left, whole strokes or seconds below. */
function Axes({ frame: { width, height, x, y, mostMm }, unit, doses }: AxesProps) {
  // The unit's own word stands at the top.
  const sides = wholeTicks(y, { unit: MM_PER[unit] }).filter(({ at }) => y(at) - y(mostMm) > 14);
  const feet = wholeTicks(x, { count: Math.min(8, Math.floor(x.domain()[1] ?? 1)) }).filter(({ at }) => at > 0);
  return (
    <G>
      <SideAxis y={y} ticks={sides} width={width} />
      <ChartText x={MARGIN.left - 8} y={y(mostMm) + 5} textAnchor="end" text={unit} />
      <FootAxis x={x} ticks={feet} title={doses} width={width} height={height} />
    </G>
  );
}

function OvalBand({ frame: { width, y, mostMm }, fromMm, text }: { frame: ChartFrame; fromMm: number; text: string }) {
  const palette = usePalette();
  const top = y(mostMm);
  return (
    <G>
      <Rect
        x={MARGIN.left}
        y={top}
        width={width - MARGIN.left - MARGIN.right}
        height={Math.max(0, y(fromMm) - top)}
        fill={palette.outWash}
      />
      <ChartText x={MARGIN.left + 8} y={top + 17} fill={palette.out} text={text} />
    </G>
  );
}

const SAMPLES = 48;

interface CurvePoint {
  dose: number;
  widthMm: number;
  lowMm: number;
  highMm: number;
}

function Curve({ frame: { x, y }, fit }: { frame: ChartFrame; fit: CalibrationFit }) {
  const palette = usePalette();
  const mostDose = x.domain()[1] ?? 0;
  const leastMm = y.domain()[0] ?? 0;
  const points = curvePoints(fit, mostDose, leastMm);
  const band = area<CurvePoint>()
    .x(({ dose }) => x(dose))
    .y0(({ lowMm }) => y(lowMm))
    .y1(({ highMm }) => y(highMm));
  const middle = line<CurvePoint>()
    .x(({ dose }) => x(dose))
    .y(({ widthMm }) => y(widthMm));
  return (
    <G>
      <Path d={band(points) ?? ''} fill={palette.pine} opacity={0.16} />
      <Path d={middle(points) ?? ''} fill="none" stroke={palette.pine} strokeWidth={2.5} />
    </G>
  );
}

function curvePoints(fit: CalibrationFit, mostDose: number, leastMm: number): CurvePoint[] {
  const points: CurvePoint[] = [];
  for (let i = 1; i <= SAMPLES; i += 1) {
    const dose = (mostDose * i) / SAMPLES;
    const width = predictWidth({ fit, dose });
    if (width.ok && width.value.lowMm > leastMm) points.push({ dose, ...width.value });
  }
  return points;
}

interface TargetLinesProps {
  frame: ChartFrame;
  widthMm: number;
  dose: { dose: number; widthMm: number };
}

function TargetLines({ frame: { height, x, y }, widthMm, dose }: TargetLinesProps) {
  const palette = usePalette();
  const dashed = { stroke: palette.ink, strokeDasharray: '4 4' };
  return (
    <G>
      <Line x1={x(dose.dose)} x2={x(dose.dose)} y1={y(dose.widthMm)} y2={height - MARGIN.bottom} {...dashed} />
      <Line x1={MARGIN.left} x2={x(dose.dose)} y1={y(widthMm)} y2={y(widthMm)} {...dashed} />
    </G>
  );
}
