import {
  INSPECTION_LEVELS,
  QUALITY_LIMITS,
  acceptedShare,
  samplingPlan,
  type InspectionLevel,
} from '@leggero/core/samplingPlan';
import { useState } from 'react';
import { View } from 'react-native';

import { Button } from '@/ui/Button';
import { Field, Labelled } from '@/ui/Field';
import { PickChips } from '@/ui/PickChips';
import { Segmented } from '@/ui/Segmented';
import { Sheet } from '@/ui/Sheet';
import { SwitchRow } from '@/ui/SwitchRow';
import { Words } from '@/ui/Words';
import { LEVEL_WORDS, planText } from '@/wording/batch';
import { percent } from '@/wording/trade';

/** How a check is to go. */
export interface CheckPlan {
  size: number;
  lotSize: number | null;
  acceptMost: number | null;
  pairs: boolean;
}

interface PlanSheetProps {
  open: boolean;
  onClose: () => void;
  onPlan: (plan: CheckPlan) => void;
}

const LARGEST_LOT = 20_000;
const USUAL_PAIRS = 12;

/** How many of a lot to check, by a published standard's plans, and whether they were filled two at once. */
export function PlanSheet({ open, onClose, onPlan }: PlanSheetProps) {
  const [typed, setTyped] = useState('96');
  const [level, setLevel] = useState<InspectionLevel>('I');
  const [limit, setLimit] = useState<(typeof QUALITY_LIMITS)[number]>(0.04);
  const [pairs, setPairs] = useState(false);
  const lotSize = Number(typed.trim());
  const plan = lotSize <= LARGEST_LOT ? samplingPlan({ lotSize, limit, level }) : ({ ok: false } as const);
  const error = plan.ok ? undefined : `A lot is a whole number of balloons, from 2 to ${LARGEST_LOT}.`;
  return (
    <Sheet title="Plan the check" open={open} onClose={onClose}>
      <Field label="Balloons in the lot" inputMode="numeric" value={typed} onChangeText={setTyped} error={error} />
      <Labelled label="How closely to look">
        <Segmented
          label="How closely to look"
          options={INSPECTION_LEVELS.map((value) => ({ value, title: LEVEL_WORDS[value] }))}
          value={level}
          onChange={setLevel}
        />
      </Labelled>
      <Labelled label="Off ones a lot may have">
        <PickChips
          label="Off ones a lot may have"
          options={QUALITY_LIMITS.map((value) => ({
            value: String(value),
            title: `${(100 * value).toFixed(value * 100 === Math.round(value * 100) ? 0 : 1)} %`,
          }))}
          value={String(limit)}
          onChange={(value) => setLimit(QUALITY_LIMITS.find((each) => String(each) === value) ?? limit)}
        />
      </Labelled>
      <SwitchRow label="Filled two at once: neighbours are a pair" value={pairs} onChange={setPairs} />
      {plan.ok ? (
        <View className="gap-1">
          <Words look="strong" role="status">
            {planText(plan.value, lotSize)}
          </Words>
          <Words look="quiet">
            {'With one in five off it would be caught ' +
              `${percent(1 - acceptedShare({ plan: plan.value, shareOff: 0.2 }))} of the time. Plans: ` +
              'MIL-STD-105E, single, normal.'}
          </Words>
        </View>
      ) : null}
      <Button
        title="Check by this plan"
        look="primary"
        tall
        disabled={!plan.ok}
        onPress={() => {
          if (!plan.ok) return;
          const { sampleSize, acceptMost } = plan.value;
          const size = pairs && sampleSize % 2 === 1 ? Math.min(lotSize, sampleSize + 1) : sampleSize;
          onPlan({ size, lotSize, acceptMost, pairs });
        }}
      />
      {pairs ? (
        <Button
          title={`Check ${USUAL_PAIRS / 2} pairs without a lot`}
          tall
          onPress={() => onPlan({ size: USUAL_PAIRS, lotSize: null, acceptMost: null, pairs })}
        />
      ) : null}
    </Sheet>
  );
}
