import { View } from 'react-native';

import type { ShownEvent } from '@/parts/WithEvent';
import { Card } from '@/ui/Card';
import { useWide } from '@/ui/layout';
import { Words } from '@/ui/Words';
import { eventCost } from '@/views/eventCost';
import { workProblemText } from '@/wording/recipe';
import { counted } from '@/wording/trade';

import { BesideCard } from './BesideCard';
import { CostLines } from './CostLines';
import { EachPiece } from './EachPiece';
import { HoursCard } from './HoursCard';
import { usePlan } from '@/parts/usePlan';
import type { EventWork } from '@/parts/useEventWork';
import { WhatIf } from './WhatIf';
import { WithEventWork } from '@/parts/WithEventWork';

/** How long an event takes by how many, and what it comes to. */
export function MoneyPage({ eventId }: { eventId: string }) {
  return (
    <WithEventWork
      eventId={eventId}
      title="Hours and price"
      subtitle={({ counts }) => `${counted(counts.balloons, 'balloon')}, ${counted(counts.pieces, 'piece')}`}
    >
      {(shown) => <Money {...shown} />}
    </WithEventWork>
  );
}

function Money({ event, pieces, studio, work }: ShownEvent & { work: EventWork }) {
  const wide = useWide();
  const [plan, change] = usePlan(event);
  const { currency } = studio;
  const { counts, works, seen } = work;
  const pricing = { ...work.pricing, plan };
  const cost = eventCost(works, pricing);
  return (
    <View className={wide ? 'flex-row items-start gap-6' : 'gap-3'}>
      <View className={wide ? 'flex-1 gap-3' : 'gap-3'}>
        <HoursCard counts={counts} plan={plan} trade={pricing.trade} seen={seen} change={change} />
        {cost.ok ? <WhatIf {...{ event, pieces, work, pricing, currency, cost: cost.value }} /> : null}
      </View>
      <View className={wide ? 'flex-1 gap-3' : 'gap-3'}>
        <Card title="What it comes to">
          {cost.ok ? (
            <CostLines cost={cost.value} currency={currency} />
          ) : (
            <Words look="error" role="alert">
              {workProblemText(cost.problem)}
            </Words>
          )}
        </Card>
        <BesideCard plan={plan} currency={currency} change={change} />
        {cost.ok ? <EachPiece {...{ pieces, work, pricing, currency, priceMinor: cost.value.priceMinor }} /> : null}
      </View>
    </View>
  );
}
