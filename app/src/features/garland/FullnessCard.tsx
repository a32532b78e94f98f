import { FULLER_WAYS, FULLNESS } from '@leggero/core';
import { useState } from 'react';
import { View, type LayoutChangeEvent } from 'react-native';
import Svg, { Circle, Line, Path, Text as SvgText } from 'react-native-svg';

import type { GarlandDesign } from '@/parts/piece/garlandPlan';
import { DragGrip, GRIP_PX } from '@/parts/space/DragGrip';
import { Card } from '@/ui/Card';
import { DRAWN_FONT } from '@/ui/drawnFont';
import { Segmented } from '@/ui/Segmented';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';
import { FULLER_HINTS, FULLER_WORDS, PATH_ENDS } from '@/wording/garland';

interface FullnessCardProps {
  design: GarlandDesign;
  change: (by: Partial<GarlandDesign>) => void;
}

const HIGH_PX = 150;
/** Above the fullest, and below what its clusters make it. */
const ROOM_PX = { top: 32, foot: 30 };
/** A tap of an arrow key. */
const STEP = 0.25;

/** How full a garland is along it: five places dragged up for more clusters over those along the line. */
export function FullnessCard({ design: { fullness, fuller, path, strip }, change }: FullnessCardProps) {
  const palette = usePalette();
  const [wide, setWide] = useState(300);
  const put = (at: number, full: number) => {
    const held = Math.min(FULLNESS.most, Math.max(FULLNESS.least, Math.round(full / STEP) * STEP));
    if (held !== fullness[at]) change({ fullness: fullness.map((each, i) => (i === at ? held : each)) });
  };
  const scale = (HIGH_PX - ROOM_PX.top - ROOM_PX.foot) / (FULLNESS.most - FULLNESS.least);
  const half = GRIP_PX / 2;
  const x = (i: number) => half + (i * (wide - GRIP_PX)) / (fullness.length - 1);
  const y = (full: number) => HIGH_PX - ROOM_PX.foot - (full - FULLNESS.least) * scale;
  const line = fullness.map((full, i) => `${i === 0 ? 'M' : 'L'}${x(i)} ${y(full)}`).join('');
  const text = { fontSize: 14, fontFamily: DRAWN_FONT };
  const names = placeNames(PATH_ENDS[path.kind], fullness.length);
  return (
    <Card title="How full along it">
      <View
        onLayout={(event: LayoutChangeEvent) => setWide(event.nativeEvent.layout.width)}
        style={{ height: HIGH_PX }}
        className="select-none"
      >
        <Svg width={wide} height={HIGH_PX} aria-hidden>
          {[1, 2, 3].map((full) => (
            <Line key={full} x1={0} x2={wide} y1={y(full)} y2={y(full)} stroke={palette.line} strokeWidth={1} />
          ))}
          <Path d={`${line}L${x(fullness.length - 1)} ${y(1)}L${x(0)} ${y(1)}Z`} fill={palette.pine} opacity={0.18} />
          <Path d={line} stroke={palette.pine} strokeWidth={3} fill="none" />
          {fullness.map((full, i) => (
            <Circle key={i} cx={x(i)} cy={y(full)} r={9} fill={palette.pine} stroke={palette.surface} strokeWidth={2} />
          ))}
          {fullness.map((full, i) =>
            full > FULLNESS.least ? (
              <SvgText key={i} x={x(i)} y={y(full) - 14} {...text} fill={palette.ink} textAnchor="middle">
                {`${full}×`}
              </SvgText>
            ) : null,
          )}
          {[names[0]!, names.at(-1)!].map((name, end) => (
            <SvgText
              key={end}
              x={end === 0 ? 4 : wide - 4}
              y={HIGH_PX - 4}
              {...text}
              fill={palette.quiet}
              textAnchor={end === 0 ? 'start' : 'end'}
            >
              {name}
            </SvgText>
          ))}
        </Svg>
        {fullness.map((full, i) => {
          const keys = {
            onKeyDown: (event: { key: string; preventDefault(): void }) => {
              const by = { ArrowUp: STEP, ArrowRight: STEP, ArrowDown: -STEP, ArrowLeft: -STEP }[event.key];
              if (by === undefined) return;
              event.preventDefault();
              put(i, full + by);
            },
          };
          return (
            <View
              key={i}
              {...(keys as object)}
              role="slider"
              tabIndex={0}
              aria-label={`How full: ${names[i]!}`}
              aria-valuemin={FULLNESS.least}
              aria-valuemax={FULLNESS.most}
              aria-valuenow={full}
              aria-valuetext={`${full} times`}
              style={{ position: 'absolute', left: x(i) - half, top: 0, width: GRIP_PX, height: HIGH_PX }}
            >
              <DragGrip
                place={{ left: 0, top: 0, width: GRIP_PX, height: HIGH_PX }}
                way="up"
                mm={full}
                scale={scale}
                onDrag={(next) => put(i, next)}
              />
            </View>
          );
        })}
      </View>
      {strip ? null : (
        <Segmented label="Made fuller by" options={WAYS} value={fuller} onChange={(to) => change({ fuller: to })} />
      )}
      <Words look="quiet" className="mt-2">
        {strip ? FULLER_HINTS.layers : FULLER_HINTS[fuller]}
      </Words>
    </Card>
  );
}

const WAYS = FULLER_WAYS.map((value) => ({ value, title: FULLER_WORDS[value] }));

/** What the places along it are called. */
function placeNames([first, last]: readonly [string, string], many: number): string[] {
  return Array.from({ length: many }, (_, i) => {
    if (i === 0) return first;
    return i === many - 1 ? last : `${Math.round((100 * i) / (many - 1))} % along`;
  });
}
