import type { TallyRecord } from '@leggero/contract';
import { isLost, type Tallied } from '@leggero/core';
import type { BatchProgress } from '@leggero/core/inflation';
import { View } from 'react-native';

import { useAhead } from '@/parts/useStanding';
import { Words } from '@/ui/Words';
import { madeText } from '@/wording/inflation';

import type { Taps } from './useTaps';

interface CountLineProps extends Pick<Taps, 'done' | 'tallies'> {
  progress: BatchProgress;
}

/** How many of a batch are made and lost: with the tap, before it is kept, for no hand waits for a disk. */
export function CountLine({ progress, done, tallies }: CountLineProps) {
  const { come, gone } = useAhead(done, tallies);
  const more = (is: (what: Tallied) => boolean) => sumOf(come, is) - sumOf(gone, is);
  const made = progress.by.done + more((what) => what === 'done');
  const anew = progress.by.size + more((what) => what === 'size');
  const lost = progress.lost + more(isLost);
  return (
    <View className="gap-1">
      <View className="h-8 flex-row items-baseline justify-between [contain:strict]">
        <Words look="figure" className="text-[24px] leading-8">
          {madeText({ done: made, wanted: progress.wanted })}
        </Words>
        <Words look="quiet">{`${lost} lost${anew > 0 ? ` · ${anew} made anew` : ''}`}</Words>
      </View>
      <View className="h-2.5 overflow-hidden rounded-full bg-sunk">
        <View
          className="h-2.5 w-full origin-left bg-pine"
          style={{ transform: [{ scaleX: Math.min(1, made / Math.max(1, progress.wanted)) }] }}
        />
      </View>
    </View>
  );
}

const sumOf = (tallies: readonly TallyRecord[], is: (what: Tallied) => boolean): number =>
  tallies.reduce((sum, { what, count }) => sum + (is(what) ? count : 0), 0);
