import type { CheckRecord, SizerRecord } from '@leggero/contract';
import { sharesChart } from '@leggero/core/control';
import { View } from 'react-native';

import { ControlChart } from '@/parts/charts';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { sharesOf } from '@/views/sized';
import { percent } from '@/wording/trade';

/** What share of each check was off, with the limits that its own number allows. */
export function SharesCard({ checks, sizers }: { checks: readonly CheckRecord[]; sizers: readonly SizerRecord[] }) {
  const shares = sharesOf(checks, sizers);
  const chart = sharesChart(shares);
  if (!chart.ok || shares.length < 2) return null;
  const { centre, limits } = chart.value;
  const over = limits.filter(({ high }, i) => chart.value.shares[i]! > high).length;
  const said = `${percent(centre)} off over ${shares.length} checks; ${over === 0 ? 'none' : over} beyond what chance alone does.`;
  return (
    <Card title="Share that was off">
      <View className="gap-2">
        <Words look={over > 0 ? 'strong' : 'body'} className={over > 0 ? 'text-edge' : ''}>
          {said}
        </Words>
        <ControlChart
          label={said}
          points={chart.value.shares.map((value, i) => ({
            value,
            loud: value > limits[i]!.high,
            at: shares[i]!.at,
          }))}
          limits={limits.at(-1)!}
          allowed={null}
          text={percent}
          height={140}
        />
        <Words look="quiet">Dashed: what a check as large as the newest allows by chance.</Words>
      </View>
    </Card>
  );
}
