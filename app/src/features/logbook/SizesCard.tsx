import { groupsChart } from '@leggero/core/control';
import { useState } from 'react';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { ControlChart } from '@/parts/charts';
import { Card } from '@/ui/Card';
import { Segmented } from '@/ui/Segmented';
import { Words } from '@/ui/Words';
import { groupsOfSizes, type SizesView } from '@/views/sized';
import { limitsText, signed, steadyText } from '@/wording/logbook';

/** How much larger or smaller than their targets balloons came out, one after another. */
export function SizesCard({ view }: { view: SizesView }) {
  const { fine } = useLengths();
  const [by, setBy] = useState<'each' | 'groups'>('each');
  const { sized, limits, spoken } = view;
  if (sized.length === 0) return null;
  const tolerances = new Set(sized.map(({ toleranceMm }) => toleranceMm));
  const [toleranceMm] = tolerances;
  const loud = new Set(spoken.flatMap(({ at, to }) => Array.from({ length: to - at + 1 }, (_, i) => at + i)));
  const groups = groupsOfSizes(sized);
  const byGroups = groupsChart(groups.map(({ values }) => values));
  const text = (mm: number) => signed(mm, fine);
  return (
    <Card title="Larger or smaller than its target">
      <View className="gap-3">
        <Words look="strong" role="status" className={view.now.length > 0 ? 'text-edge' : ''}>
          {steadyText(view)}
        </Words>
        {byGroups.ok && groups.length > 1 ? (
          <Segmented
            label="How sizes are drawn"
            options={[
              { value: 'each', title: 'Each size' },
              { value: 'groups', title: `Means of ${groups[0]!.values.length}` },
            ]}
            value={by}
            onChange={setBy}
          />
        ) : null}
        {by === 'groups' && byGroups.ok ? (
          <>
            <ControlChart
              label={`Means of ${groups[0]!.values.length} sizes each. Limits ${text(byGroups.value.low)} to ${text(byGroups.value.high)}.`}
              points={byGroups.value.means.map((value, i) => ({
                value,
                loud: value > byGroups.value.high || value < byGroups.value.low,
                at: groups[i]!.at,
              }))}
              limits={byGroups.value}
              allowed={null}
              text={text}
            />
            <Words look="label">How far those of one group lie apart</Words>
            <ControlChart
              label={`Ranges within them. At most ${fine(byGroups.value.range.high)} by chance.`}
              points={byGroups.value.ranges.map((value, i) => ({
                value,
                loud: value > byGroups.value.range.high || value < byGroups.value.range.low,
                at: groups[i]!.at,
              }))}
              limits={byGroups.value.range}
              allowed={null}
              text={fine}
              height={130}
            />
          </>
        ) : (
          <ControlChart
            label={`${sized.length} sizes in the order they were measured, against their targets. ${steadyText(view)}`}
            points={sized.map(({ offMm: value, at }, i) => ({ value, loud: loud.has(i), at }))}
            limits={limits}
            allowed={tolerances.size === 1 ? { low: -toleranceMm!, high: toleranceMm! } : null}
            text={text}
          />
        )}
        <Words look="quiet">
          {`${limits ? `${limitsText(limits)} ` : ''}Green band: what is allowed. Dashed: what chance alone does. Diamonds: a rule speaks.`}
        </Words>
      </View>
    </Card>
  );
}
