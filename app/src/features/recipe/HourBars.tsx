import type { Hours } from '@leggero/core/supply';
import { View } from 'react-native';

import { Words } from '@/ui/Words';
import { hoursText, LIMIT_WORDS, PHASE_WORDS } from '@/wording/recipe';

/** Each kind of work as a bar, one after another along the whole time, with what holds it. */
export function HourBars({ hours: { phases, hours } }: { hours: Hours }) {
  const shown = phases.filter(({ handHours }) => handHours > 0);
  const bars = shown.map((phase, i) => {
    const from = shown.slice(0, i).reduce((sum, before) => sum + before.hours, 0);
    return { ...phase, left: (100 * from) / hours, wide: (100 * phase.hours) / hours };
  });
  return (
    <View role="list" className="gap-2">
      {bars.map(({ phase, hours: own, limit, left, wide }) => (
        <View
          key={phase}
          role="listitem"
          aria-label={`${PHASE_WORDS[phase]}: ${hoursText(own)}${limit === 'stations' ? `, ${LIMIT_WORDS.stations}` : ''}`}
        >
          <View className="flex-row justify-between">
            <Words look="label">{PHASE_WORDS[phase]}</Words>
            <Words look="label" className="tabular-nums">
              {hoursText(own)}
            </Words>
          </View>
          <View className="h-2 rounded-full bg-sunk">
            <View
              className="h-2 rounded-full bg-pine"
              style={{ marginLeft: `${left}%`, width: `${Math.max(1, wide)}%` }}
            />
          </View>
          {limit === 'stations' ? <Words look="quiet">{LIMIT_WORDS.stations}</Words> : null}
        </View>
      ))}
    </View>
  );
}
