import type { ReadingRecord } from '@leggero/contract';
import { predictWidth, type CalibrationFit, type Target } from '@leggero/core';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';

import type { Lengths } from '@/api/lengths';

import { usePalette } from './theme';

interface CurveChartProps {
  nominalMm: number;
  readings: readonly ReadingRecord[];
  fit: CalibrationFit | null;
  target?: Target | null;
  lengths: Lengths;
  height?: number;
}

const MARGIN = { top: 10, right: 12, bottom: 42, left: 40 };
const SAMPLES = 48;
const FONT = 'HankenGrotesk_400Regular';

interface CurvePoint {
  dose: number;
  widthMm: number;
  lowMm: number;
  highMm: number;
}

function curveOf(fit: CalibrationFit, toDose: number, leastMm: number): CurvePoint[] {
  const points: CurvePoint[] = [];
  for (let i = 1; i <= SAMPLES; i += 1) {
    const dose = (toDose * i) / SAMPLES;
    const width = predictWidth({ fit, dose });
    if (width.ok && width.value.lowMm > leastMm) points.push({ dose, ...width.value });
  }
  return points;
}

/** Width against strokes: readings, curve, its 95 % band, where it turns oval, and the target with its strokes. */
export function CurveChart({
  nominalMm,
  readings,
  fit,
  target = null,
  lengths,
  height = 240,
}: CurveChartProps) {
  const palette = usePalette();
  const [width, setWidth] = useState(0);
  const seen = readings.flatMap((r) => (r.widthMm === null ? [] : [{ ...r, widthMm: r.widthMm }]));
  const mostDose = Math.max(2, ...readings.map(({ dose }) => dose), target?.dose?.dose ?? 0) * 1.12;
  const mostMm = Math.max(nominalMm, ...seen.map(({ widthMm }) => widthMm)) * 1.04;
  const leastMm = Math.min(0.5 * nominalMm, ...seen.map(({ widthMm }) => widthMm)) * 0.85;
  const curve = useMemo(() => (fit ? curveOf(fit, mostDose, leastMm) : []), [fit, mostDose, leastMm]);

  const x = scaleLinear([0, mostDose], [MARGIN.left, width - MARGIN.right]);
  const y = scaleLinear([leastMm, mostMm], [height - MARGIN.bottom, MARGIN.top]).clamp(true);
  const unitMm = lengths.unit === 'in' ? 25.4 : 10;
  const widthTicks = scaleLinear()
    .domain([leastMm / unitMm, mostMm / unitMm])
    .ticks(5)
    .filter((tick) => Number.isInteger(tick) && tick * unitMm < mostMm - 0.06 * nominalMm);
  const oval = fit?.shape.roundLimit.kind === 'shown' ? fit.shape.roundLimit.widthMm : null;
  const outliers = new Set(fit?.outliers.map(({ index }) => readings[index]?.id));
  const bandPath = area<CurvePoint>()
    .x((p) => x(p.dose))
    .y0((p) => y(p.lowMm))
    .y1((p) => y(p.highMm));
  const curvePath = line<CurvePoint>()
    .x((p) => x(p.dose))
    .y((p) => y(p.widthMm));
  const summary = `Curve through ${readings.length} readings from ${lengths.text(Math.min(...seen.map((r) => r.widthMm)))} to ${lengths.text(Math.max(...seen.map((r) => r.widthMm)))}${oval ? `, oval from ${lengths.text(oval)}` : ''}`;
  return (
    <View
      role="img"
      aria-label={summary}
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
      style={{ height }}
    >
      {width === 0 ? null : (
        <Svg width={width} height={height} aria-hidden>
          {oval ? (
            <G>
              <Rect
                x={MARGIN.left}
                y={y(mostMm)}
                width={width - MARGIN.left - MARGIN.right}
                height={Math.max(0, y(oval) - y(mostMm))}
                fill={palette.outWash}
              />
              <SvgText
                x={MARGIN.left + 8}
                y={y(mostMm) + 17}
                fontSize={14}
                fontFamily={FONT}
                fill={palette.out}
              >
                {`turns oval from ${lengths.bare(oval)}`}
              </SvgText>
            </G>
          ) : null}
          {widthTicks.map((tick) => (
            <G key={tick}>
              <Line
                x1={MARGIN.left}
                x2={width - MARGIN.right}
                y1={y(tick * unitMm)}
                y2={y(tick * unitMm)}
                stroke={palette.line}
              />
              <SvgText
                x={MARGIN.left - 8}
                y={y(tick * unitMm) + 5}
                fontSize={14}
                fontFamily={FONT}
                fill={palette.quiet}
                textAnchor="end"
              >
                {tick}
              </SvgText>
            </G>
          ))}
          {x
            .ticks(Math.min(8, Math.floor(mostDose)))
            .filter((tick) => Number.isInteger(tick) && tick > 0)
            .map((tick) => (
              <SvgText
                key={tick}
                x={x(tick)}
                y={height - MARGIN.bottom + 18}
                fontSize={14}
                fontFamily={FONT}
                fill={palette.quiet}
                textAnchor="middle"
              >
                {tick}
              </SvgText>
            ))}
          <SvgText
            x={width - MARGIN.right}
            y={height - 1}
            fontSize={13}
            fontFamily={FONT}
            fill={palette.quiet}
            textAnchor="end"
          >
            strokes
          </SvgText>
          <SvgText
            x={MARGIN.left - 8}
            y={y(mostMm) + 5}
            fontSize={13}
            fontFamily={FONT}
            fill={palette.quiet}
            textAnchor="end"
          >
            {lengths.unit}
          </SvgText>
          <Path d={bandPath(curve) ?? ''} fill={palette.pine} opacity={0.16} />
          <Path d={curvePath(curve) ?? ''} fill="none" stroke={palette.pine} strokeWidth={2.5} />
          {target?.dose ? (
            <G>
              <Line
                x1={x(target.dose.dose)}
                x2={x(target.dose.dose)}
                y1={y(target.dose.widthMm)}
                y2={height - MARGIN.bottom}
                stroke={palette.ink}
                strokeDasharray="4 4"
              />
              <Line
                x1={MARGIN.left}
                x2={x(target.dose.dose)}
                y1={y(target.widthMm)}
                y2={y(target.widthMm)}
                stroke={palette.ink}
                strokeDasharray="4 4"
              />
            </G>
          ) : null}
          {seen.map(({ id, dose, widthMm, outcome }) =>
            outliers.has(id) || outcome === 'burst' ? (
              <SvgText
                key={id}
                x={x(dose)}
                y={y(widthMm) + 6}
                fontSize={20}
                fill={palette.out}
                textAnchor="middle"
              >
                ×
              </SvgText>
            ) : (
              <Circle
                key={id}
                cx={x(dose)}
                cy={y(widthMm)}
                r={5}
                fill={palette.surface}
                stroke={outcome === 'hard' ? palette.edge : palette.pine}
                strokeWidth={2.5}
              />
            ),
          )}
        </Svg>
      )}
    </View>
  );
}
