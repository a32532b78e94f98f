import type { BatchJudgement } from '@leggero/core';
import { doseAgainstLean, type WhyCheck } from '@leggero/core/inflation';
import { View } from 'react-native';

import { Button } from '@/ui/Button';
import { Words } from '@/ui/Words';
import type { ShownBatch } from '@/views/inflation';
import { latelyText, WHY_CHECK_WORDS } from '@/wording/inflation';

interface LatelyLineProps {
  batch: ShownBatch;
  lately: BatchJudgement | null;
  why: WhyCheck | null;
  fine: (mm: number) => string;
  /** Null where nothing can be checked now. */
  onCheck: (() => void) | null;
}

/** What to do now: what the last checks came to, and whether to check another. */
export function LatelyLine({ batch, lately, why, fine, onCheck }: LatelyLineProps) {
  const { fillMm: targetMm, toleranceMm, dose, timed } = batch;
  const doseBy = lately && dose !== null ? doseAgainstLean({ dose, timed, targetMm, toleranceMm, lately }) : null;
  const drift = lately && latelyText(lately, { targetMm, doseBy, timed, fine });
  return (
    <View className="gap-2">
      {drift ? (
        <View role="alert" className="rounded-card bg-edge-wash px-4 py-3">
          <Words look="strong" className="text-edge">
            {drift}
          </Words>
        </View>
      ) : null}
      {why && onCheck ? (
        <View className="flex-row items-center gap-2 rounded-card bg-pine-wash py-1 pl-4 pr-1">
          <Words look="strong" className="flex-1">
            {WHY_CHECK_WORDS[why]}
          </Words>
          <Button title="Check it" onPress={onCheck} />
        </View>
      ) : null}
    </View>
  );
}
