import type { WorkPlan } from '@leggero/contract';
import type { Trade } from '@leggero/core';
import type { Pace } from '@leggero/core/pace';
import { hoursFor, type WorkCounts } from '@leggero/core/supply';
import { View } from 'react-native';

import { HandsFields } from '@/parts/HandsFields';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { hoursText, paceNote, workProblemText } from '@/wording/recipe';

import { HourBars } from './HourBars';

interface HoursCardProps {
  counts: WorkCounts;
  plan: WorkPlan;
  trade: Trade;
  /** How fast balloons were filled in runs so far. */
  seen: readonly Pace[];
  change: (by: Partial<WorkPlan>) => void;
}

/** How long the work takes, by how many people and stations. */
export function HoursCard({ counts, plan, trade, seen, change }: HoursCardProps) {
  const { people, stations, sized } = plan;
  const hours = hoursFor({ counts, sized, people, stations, trade });
  return (
    <Card title="Hours">
      <View className="gap-4">
        {hours.ok ? (
          <>
            <View role="status">
              <Words look="figure" className="text-[40px] leading-[48px]">
                {hoursText(hours.value.hours)}
              </Words>
              <Words look="quiet">{`${hoursText(hours.value.handHours)} of hands in all`}</Words>
            </View>
            <HourBars hours={hours.value} />
          </>
        ) : (
          <Words look="error" role="alert">
            {workProblemText(hours.problem)}
          </Words>
        )}
        <HandsFields plan={plan} change={change} />
        <Words look="quiet">{paceNote(trade, seen)}</Words>
      </View>
    </Card>
  );
}
