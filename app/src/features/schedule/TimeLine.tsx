import { useRef } from 'react';
import { ScrollView, View } from 'react-native';
import Svg, { G, Line, Rect, Text as SvgText } from 'react-native-svg';

import { DRAWN_FONT } from '@/ui/drawnFont';
import { Picture } from '@/ui/Picture';
import { usePalette } from '@/ui/theme';
import type { EventDay } from '@/views/eventPlan';
import { dayOf } from '@/views/workHours';
import { longDayText } from '@/wording/day';
import { groupText, spanText } from '@/wording/schedule';

interface TimeLineProps {
  day: EventDay;
  timeZone: string | null;
  now: number;
  nameOf: (piece: string) => string;
}

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** px; more where there is room. */
const PER_HOUR = 22;
const ROW = 34;
const HEAD = 26;
const BAR = 12;
/** So long before the first hands are needed it begins: what is delivered goes on by itself. */
const BEFORE_MS = 6 * HOUR_MS;
/** So much after the opening is drawn. */
const AFTER_MS = 3 * HOUR_MS;

/** The steps until the opening to one scale of time: bars of work, hours in which nobody works shaded. */
export function TimeLine({ day, timeZone, now, nameOf }: TimeLineProps) {
  const palette = usePalette();
  const scroller = useRef<ScrollView>(null);
  const { opensMs, schedule, asked } = day;
  const groups = day.groups.filter(({ floatMs }) => floatMs !== null);
  const hands = groups.filter(({ people }) => people > 0);
  const fromMs = Math.min(opensMs - BEFORE_MS, ...hands.map(({ startMs }) => startMs)) - BEFORE_MS;
  const toMs = opensMs + AFTER_MS;
  const height = HEAD + groups.length * ROW + 6;
  const work = asked.hours.filter((hours) => hours.toMs > fromMs && hours.fromMs < toMs);
  const days = Array.from({ length: Math.ceil((toMs - fromMs) / DAY_MS) + 2 }, (_, i) =>
    dayOf(fromMs + i * DAY_MS, timeZone),
  );
  const label = `From ${longDayText(fromMs, timeZone)} to the opening: ${groups
    .map((group) => `${groupText(group, nameOf)} ${spanText(group.endMs - group.startMs)}`)
    .join(', ')}.`;
  return (
    <Picture
      label={label}
      height={height}
      over={(room) => {
        const wide = Math.max(room, ((toMs - fromMs) / HOUR_MS) * PER_HOUR);
        const x = (ms: number) => ((Math.max(fromMs, Math.min(toMs, ms)) - fromMs) / (toMs - fromMs)) * wide;
        return (
          <View style={{ position: 'absolute', left: 0, right: 0, top: 0 }}>
            <ScrollView
              ref={scroller}
              horizontal
              tabIndex={0}
              role="group"
              aria-label="Drag to see earlier steps"
              onContentSizeChange={() => scroller.current?.scrollToEnd({ animated: false })}
            >
              <Svg width={wide} height={height} aria-hidden>
                <Rect x={0} y={0} width={wide} height={height} fill={palette.sunk} />
                {work.map((hours) => (
                  <Rect
                    key={hours.fromMs}
                    x={x(hours.fromMs)}
                    y={0}
                    width={x(hours.toMs) - x(hours.fromMs)}
                    height={height}
                    fill={palette.surface}
                  />
                ))}
                {[...new Set(days)].map((at) => (
                  <G key={at}>
                    <Line x1={x(at)} x2={x(at)} y1={0} y2={height} stroke={palette.line} />
                    <SvgText
                      x={Math.max(x(at), 0) + 8}
                      y={17}
                      fontSize={12}
                      fontFamily={DRAWN_FONT}
                      fill={palette.quiet}
                    >
                      {at + DAY_MS > fromMs && at < toMs ? longDayText(at, timeZone) : ''}
                    </SvgText>
                  </G>
                ))}
                {groups.map((group, row) => {
                  const y = HEAD + row * ROW;
                  const ink = group.critical ? palette.edge : palette.pine;
                  const byItself = group.people === 0;
                  const name = groupText(group, nameOf);
                  // A name begins with its bar, unless it would lie over the opening: then it ends there.
                  const over = x(group.startMs) + 7 * name.length > x(opensMs);
                  return (
                    <G key={group.kind}>
                      <SvgText
                        x={over ? x(group.endMs) : Math.max(4, x(group.startMs))}
                        y={y + 11}
                        textAnchor={over ? 'end' : 'start'}
                        fontSize={12}
                        fontFamily={DRAWN_FONT}
                        fill={palette.ink}
                      >
                        {name}
                      </SvgText>
                      {group.steps.flatMap((step) =>
                        step.parts.map((part) => (
                          <Rect
                            key={`${step.id} ${part.fromMs}`}
                            x={x(part.fromMs)}
                            y={y + 15}
                            width={Math.max(2, x(part.toMs) - x(part.fromMs))}
                            height={BAR}
                            rx={2}
                            fill={byItself ? palette.line : ink}
                            stroke={ink}
                            strokeWidth={byItself ? 1 : 0}
                          />
                        )),
                      )}
                    </G>
                  );
                })}
                {now > fromMs && now < toMs ? (
                  <Line x1={x(now)} x2={x(now)} y1={HEAD} y2={height} stroke={palette.kiln} strokeWidth={2} />
                ) : null}
                <Line x1={x(opensMs)} x2={x(opensMs)} y1={HEAD - 4} y2={height} stroke={palette.ink} strokeWidth={2} />
                <Line
                  x1={x(schedule.endsMs)}
                  x2={x(schedule.endsMs)}
                  y1={HEAD}
                  y2={height}
                  stroke={palette.quiet}
                  strokeDasharray="4 4"
                />
              </Svg>
            </ScrollView>
          </View>
        );
      }}
    >
      {() => null}
    </Picture>
  );
}
