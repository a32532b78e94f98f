import { MOST_FIXINGS } from '@leggero/core';
import type { HungGarland } from '@leggero/core/garland';
import { View } from 'react-native';

import { CountField } from '@/parts/piece/Fields';
import type { GarlandDesign } from '@/parts/piece/garlandPlan';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { NumberField } from '@/ui/NumberField';
import { SwitchRow } from '@/ui/SwitchRow';
import { Words } from '@/ui/Words';
import { fixingsText, overloadText } from '@/wording/garland';

interface FixingsCardProps {
  design: GarlandDesign;
  /** On its fixings; null without any. */
  hung: HungGarland | null;
  kg: number;
  /** The fewest that hold it and let it sag little; null where it has as many. */
  enough: number | null;
  text: (mm: number) => string;
  change: (by: Partial<GarlandDesign>) => void;
}

/** Bottom, middle and top, and one more to each side (common practice); a hook that sticks to a wall holds a pound (from memory). */
const FIRST = { count: 5, holdsKg: 0.45 };
const MOST_KG = 1000;

/** The hooks of a garland: what each carries beside what it holds, and how far it sags between them. */
export function FixingsCard({ design: { fixings }, hung, kg, enough, text, change }: FixingsCardProps) {
  const over = fixings && hung ? overloadText(hung, fixings.holdsKg) : null;
  return (
    <Card title="Fixings">
      <View className="gap-3">
        <SwitchRow
          label="Hooks along it"
          value={fixings !== null}
          onChange={(on) => change({ fixings: on ? FIRST : null })}
        />
        {fixings ? (
          <>
            <View className="flex-row flex-wrap gap-3">
              <CountField
                label="How many hooks"
                of="hooks"
                least={2}
                most={MOST_FIXINGS}
                value={fixings.count}
                onChange={(count) => change({ fixings: { ...fixings, count } })}
              />
              <View className="min-w-[130px] flex-1">
                <NumberField
                  label="Each holds, kg"
                  value={fixings.holdsKg}
                  range={{ least: 0.01, most: MOST_KG, error: `0.01 to ${MOST_KG} kg.` }}
                  onChange={(holdsKg) => change({ fixings: { ...fixings, holdsKg } })}
                />
              </View>
            </View>
            {hung ? <Words role="status">{fixingsText(hung, kg, text)}</Words> : null}
            {over ? (
              <Words look="error" role="alert">
                {over}
              </Words>
            ) : null}
            {enough === null ? null : (
              <Button
                title={`Take ${enough} hooks`}
                onPress={() => change({ fixings: { ...fixings, count: enough } })}
              />
            )}
          </>
        ) : null}
      </View>
    </Card>
  );
}
