import { MOST_DELIVERY_DAYS, type WorkPlan } from '@leggero/contract';
import { View } from 'react-native';

import { HandsFields } from '@/parts/HandsFields';
import { Card } from '@/ui/Card';
import { NumberField } from '@/ui/NumberField';
import { TimeField } from '@/ui/TimeField';

interface DaysCardProps {
  plan: WorkPlan;
  change: (by: Partial<WorkPlan>) => void;
}

const MINUTES = { least: 0, most: 1440, error: 'Minutes from 0 to 1440 are possible.' };
const DAYS = { least: 0, most: MOST_DELIVERY_DAYS, error: `Days from 0 to ${MOST_DELIVERY_DAYS} are possible.` };

/** By how many, from when to when, and what else takes its time. */
export function DaysCard({ plan, change }: DaysCardProps) {
  const { dayFromMin, dayToMin, travelMin, spareMin, deliveryDays } = plan;
  const upsideDown = dayToMin <= dayFromMin;
  return (
    <Card title="Hands and hours">
      <View className="gap-4">
        <HandsFields plan={plan} change={change} />
        <View className="flex-row gap-3">
          <View className="flex-1">
            <TimeField label="A day from" value={dayFromMin} onChange={(to) => change({ dayFromMin: to })} />
          </View>
          <View className="flex-1">
            <TimeField
              label="to"
              value={dayToMin}
              error={upsideDown ? 'A day ends later than it begins.' : undefined}
              onChange={(to) => change({ dayToMin: to })}
            />
          </View>
        </View>
        <NumberField
          label="On the way there, minutes"
          value={travelMin}
          range={MINUTES}
          onChange={(to) => change({ travelMin: Math.round(to) })}
        />
        <NumberField
          label="Kept in hand before the opening, minutes"
          value={spareMin}
          range={MINUTES}
          onChange={(to) => change({ spareMin: Math.round(to) })}
        />
        <NumberField
          label="From ordering to having it, days"
          value={deliveryDays}
          range={DAYS}
          onChange={(to) => change({ deliveryDays: Math.round(to) })}
        />
      </View>
    </Card>
  );
}
