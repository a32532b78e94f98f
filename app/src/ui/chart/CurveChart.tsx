import type { ReadingRecord } from '@leggero/contract';
import { predictWidth, type CalibrationFit, type Target } from '@leggero/core';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Path, Rect } from 'react-native-svg';

import type { Lengths } from '@/api/lengths';

import { usePalette } from '../theme';
import { Axes, ChartText } from './Axes';
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
  const [width, setWidth] = useState(0);
  const seen = readings.flatMap(seenOf);
  const widths = seen.map(({ widthMm }) => widthMm);
  const mostDose = Math.max(2, ...readings.map(({ dose }) => dose), target?.dose?.dose ?? 0, draft?.dose ?? 0) * 1.12;
  const mostMm = Math.max(nominalMm, ...widths, draft?.widthMm ?? 0) * 1.04;
  const leastMm = Math.min(0.5 * nominalMm, ...widths) * 0.85;
  const frame: ChartFrame = {
    width,
    height,
    mostMm,
    x: scaleLinear([0, mostDose], [MARGIN.left, width - MARGIN.right]),
    y: scaleLinear([leastMm, mostMm], [height - MARGIN.bottom, MARGIN.top]).clamp(true),
  };
  const oval = fit?.shape.roundLimit.kind === 'shown' ? fit.shape.roundLimit.widthMm : null;
  const outliers = new Set(fit?.outliers.map(({ index }) => readings[index]?.id));
  const range =
    seen.length > 0
      ? `from ${lengths.text(Math.min(...widths))} to ${lengths.text(Math.max(...widths))}`
      : 'without a width';
  const summary =
    `Curve through ${readings.length} readings ` + `${range}${oval ? `, oval from ${lengths.text(oval)}` : ''}`;
  return (
    <View
      role="img"
      aria-label={summary}
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
      style={{ height }}
    >
      {width === 0 ? null : (
        <Svg width={width} height={height} aria-hidden>
          {oval ? <OvalBand frame={frame} fromMm={oval} text={`turns oval from ${lengths.bare(oval)}`} /> : null}
          <Axes frame={frame} unit={lengths.unit} doses={unit} />
          {fit ? <Curve frame={frame} fit={fit} /> : null}
          {target?.dose ? <TargetLines frame={frame} widthMm={target.widthMm} dose={target.dose} /> : null}
          {draft ? <DraftMark frame={frame} {...draft} /> : null}
          {seen.map((reading) => (
            <ReadingMark key={reading.id} frame={frame} reading={reading} setAside={outliers.has(reading.id)} />
          ))}
        </Svg>
      )}
    </View>
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
  const points = useMemo(() => curvePoints(fit, mostDose, leastMm), [fit, mostDose, leastMm]);
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
