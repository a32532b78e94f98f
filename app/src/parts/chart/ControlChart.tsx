import { scaleLinear } from 'd3-scale';
import { useRef } from 'react';
import { ScrollView, View } from 'react-native';
import Svg, { G, Line, Path, Rect } from 'react-native-svg';

import { Picture } from '@/ui/Picture';
import { usePalette } from '@/ui/theme';
import { dayText } from '@/wording/day';

import { ChartText } from './Axes';

/** A value of a chart that is watched. */
export interface WatchedPoint {
  value: number;
  /** A rule speaks of it. */
  loud: boolean;
  /** When it was taken; its day is told where it first comes. */
  at: string;
}

interface ControlChartProps {
  /** The same in words. */
  label: string;
  points: readonly WatchedPoint[];
  /** Null while nothing is known of them. */
  limits: { low: number; centre: number; high: number } | null;
  /** What is allowed, drawn as a pale band; null where it is not the same for all. */
  allowed: { low: number; high: number } | null;
  /** How a value at the side is written. */
  text: (value: number) => string;
  height?: number;
}

const SIDE = 66;
const FOOT = 24;
const TOP = 8;
/** From one value to the next, px; wider where there is room for few. */
const STEP = 10;
const WIDEST_STEP = 34;
const DOT = 3.4;
const LOUD = 5.4;
/** Values that are drawn as one: a path of thousands is slow to lay out. */
const AT_ONCE = 400;

/**
 * Values in the order they were taken, with the limits of chance: dots, and diamonds where a rule speaks. It is dragged
 * to and fro where there are more than fit, the newest first in view.
 */
export function ControlChart({ label, points, limits, allowed, text, height = 200 }: ControlChartProps) {
  const values = points.map(({ value }) => value);
  const sides = [limits?.low, limits?.high, allowed?.low, allowed?.high].filter((side) => side !== undefined);
  const [least, most] = [Math.min(...sides, ...extentOf(values)), Math.max(...sides, ...extentOf(values))];
  const y = scaleLinear()
    .domain(least === most ? [least - 1, most + 1] : [least, most])
    .range([height - FOOT - 6, TOP + 6]);
  const figures: [at: number, words: string][] = limits
    ? [
        [limits.high, text(limits.high)],
        [limits.centre, 'mean'],
        [limits.low, text(limits.low)],
      ]
    : [[0, text(0)]];
  return (
    <Picture
      label={label}
      height={height}
      over={(width) => <Dragged {...{ width, height, points, limits, allowed, y }} />}
    >
      {() => (
        <G>
          {figures.map(([at, words], i) => (
            <ChartText key={i} x={SIDE - 8} y={y(at) + 5} textAnchor="end" text={words} fontSize={12} />
          ))}
        </G>
      )}
    </Picture>
  );
}

interface DraggedProps extends Pick<ControlChartProps, 'points' | 'limits' | 'allowed'> {
  width: number;
  height: number;
  y: At;
}

/** What lies beside the figures and is dragged. */
function Dragged({ width, height, points, limits, allowed, y }: DraggedProps) {
  const palette = usePalette();
  const scroller = useRef<ScrollView>(null);
  const room = width - SIDE;
  const step = Math.max(STEP, Math.min(WIDEST_STEP, room / (points.length + 0.5)));
  const long = Math.max(room, step * (points.length + 0.5));
  const x = (i: number) => step * (i + 0.5);
  return (
    <View style={{ position: 'absolute', left: SIDE, right: 0, top: 0 }}>
      <ScrollView
        ref={scroller}
        horizontal
        // Keys move it too.
        tabIndex={0}
        role="group"
        aria-label="Drag to see older ones"
        onContentSizeChange={() => scroller.current?.scrollToEnd({ animated: false })}
      >
        <Svg width={long} height={height} aria-hidden>
          {allowed ? (
            <Rect
              x={0}
              width={long}
              y={y(allowed.high)}
              height={y(allowed.low) - y(allowed.high)}
              fill={palette.pineWash}
            />
          ) : null}
          {limits
            ? [limits.low, limits.high].map((at, i) => (
                <Line
                  key={i}
                  x1={0}
                  x2={long}
                  y1={y(at)}
                  y2={y(at)}
                  stroke={palette.edge}
                  strokeWidth={1.5}
                  strokeDasharray="6 4"
                />
              ))
            : null}
          <Line
            x1={0}
            x2={long}
            y1={y(limits?.centre ?? 0)}
            y2={y(limits?.centre ?? 0)}
            stroke={palette.quiet}
            strokeWidth={1.2}
          />
          {piecesOf(points).map(([from, some]) => (
            <G key={from}>
              <Path
                d={lineOf(some.map(({ value }, i) => [x(from + i), y(value)]))}
                fill="none"
                stroke={palette.line}
                strokeWidth={1.5}
              />
              <Path d={marksOf(some, from, x, y, false)} fill={palette.pine} />
              <Path d={marksOf(some, from, x, y, true)} fill={palette.out} />
            </G>
          ))}
          {daysOf(points, Math.ceil(90 / step)).map(([i, day]) => (
            <G key={i}>
              <Line x1={x(i)} x2={x(i)} y1={height - FOOT} y2={height - FOOT + 4} stroke={palette.quiet} />
              <ChartText x={x(i)} y={height - 6} text={day} fontSize={12} />
            </G>
          ))}
        </Svg>
      </ScrollView>
    </View>
  );
}

type At = (value: number) => number;

function extentOf(values: readonly number[]): [number, number] {
  let [least, most] = [0, 0];
  for (const value of values) {
    least = Math.min(least, value);
    most = Math.max(most, value);
  }
  return [least, most];
}

/** Values in lots that are drawn at once, each with its first place; every lot begins with the last of the one before. */
function piecesOf(points: readonly WatchedPoint[]): [from: number, some: readonly WatchedPoint[]][] {
  const lots: [number, readonly WatchedPoint[]][] = [];
  for (let from = 0; from < points.length; from += AT_ONCE) lots.push([from, points.slice(from, from + AT_ONCE + 1)]);
  return lots;
}

const lineOf = (corners: readonly [number, number][]): string =>
  corners.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)},${y.toFixed(1)}`).join('');

/** Dots, or diamonds, of one lot as one path. */
function marksOf(some: readonly WatchedPoint[], from: number, x: At, y: At, loud: boolean): string {
  return some
    .slice(0, AT_ONCE)
    .flatMap((point, i) => {
      if (point.loud !== loud) return [];
      const [cx, cy] = [x(from + i), y(point.value)];
      if (loud) return [`M${cx},${cy - LOUD}l${LOUD},${LOUD}l${-LOUD},${LOUD}l${-LOUD},${-LOUD}z`];
      return [`M${cx - DOT},${cy}a${DOT},${DOT} 0 1,0 ${2 * DOT},0a${DOT},${DOT} 0 1,0 ${-2 * DOT},0`];
    })
    .join('');
}

/** Where each day begins, unless its name would lie over the one before. */
function daysOf(points: readonly WatchedPoint[], apart: number): [place: number, day: string][] {
  const days: [number, string][] = [];
  let today = '';
  points.forEach(({ at }, i) => {
    // To name a day takes the browser long: only those that are shown are named.
    const day = new Date(at).toDateString();
    if (day === today) return;
    today = day;
    const last = days.at(-1);
    if (!last || i - last[0] >= apart) days.push([i, dayText(at)]);
  });
  return days;
}
