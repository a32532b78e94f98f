import type { Cost } from '@leggero/core/supply';
import { View } from 'react-native';

import { Words } from '@/ui/Words';
import { moneyText } from '@/wording/money';
import { counted } from '@/wording/trade';

/** What an event comes to, line by line. */
export function CostLines({ cost, currency }: { cost: Cost; currency: string }) {
  const { materialMinor, sparesMinor, workMinor, travelMinor, hireMinor, extrasMinor } = cost;
  const lines: [string, number][] = [
    ['Balloons', materialMinor],
    ['Spares', sparesMinor],
    ['Work', workMinor],
    ['Travel', travelMinor],
    ['Hire', hireMinor],
    ['Extras', extrasMinor],
  ];
  const line = (title: string, minor: number, look: 'body' | 'strong') => (
    <View key={title} className="flex-row justify-between gap-3">
      <Words look={look}>{title}</Words>
      <Words look={look} className="tabular-nums">
        {moneyText(minor, currency)}
      </Words>
    </View>
  );
  return (
    <View className="gap-1">
      {lines.filter(([, minor]) => minor > 0).map(([title, minor]) => line(title, minor, 'body'))}
      <View className="mt-1 gap-1 border-t border-line pt-2">
        {line('Cost', cost.totalMinor, 'strong')}
        {cost.marginMinor > 0 ? line('Margin', cost.marginMinor, 'body') : null}
      </View>
      <View role="status" className="mt-1 border-t border-line pt-2">
        <Words look="quiet">Price</Words>
        <Words look="figure" className="text-[40px] leading-[48px]">
          {moneyText(cost.priceMinor, currency)}
        </Words>
      </View>
      {cost.unpriced.length > 0 ? (
        <Words look="label" className="text-edge">
          {`${counted(cost.unpriced.length, 'balloon')} without a price: enter what a bag of it cost, on its stock page.`}
        </Words>
      ) : null}
    </View>
  );
}
