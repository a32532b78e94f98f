import type { BatchJudgement } from '@leggero/core';
import { doseAgainstLean, type WhyCheck } from '@leggero/core/inflation';
import { router } from 'expo-router';
import { Pressable, View } from 'react-native';

import { Button } from '@/ui/Button';
import { Words } from '@/ui/Words';
import type { ShownBatch } from '@/views/inflation';
import { latelyText, WHY_CHECK_WORDS } from '@/wording/inflation';

interface LatelyLineProps {
  batch: ShownBatch;
  /** Strokes or seconds as they are given now. */
  dose: number | null;
  lately: BatchJudgement | null;
  /** Where the checks stand that it is of. */
  evidence: string | null;
  why: WhyCheck | null;
  fine: (mm: number) => string;
  /** Null where nothing can be checked now. */
  onCheck: (() => void) | null;
  onDose: (dose: number) => void;
}

/** What to do now: what the last checks came to, and whether to check another. */
export function LatelyLine({ batch, dose, lately, evidence, why, fine, onCheck, onDose }: LatelyLineProps) {
  const { fillMm: targetMm, toleranceMm, timed } = batch;
  const doseBy = lately && dose !== null ? doseAgainstLean({ dose, timed, targetMm, toleranceMm, lately }) : null;
  const drift = lately && latelyText(lately, { targetMm, doseBy, timed, fine });
  return (
    <View className="gap-2">
      {drift ? (
        <View role="alert" className="flex-row items-center gap-2 rounded-card bg-edge-wash py-1.5 pl-4 pr-1.5">
          <Pressable
            role="link"
            aria-label={`${drift} See these checks.`}
            className="min-h-[44px] flex-1 justify-center"
            onPress={() => evidence && router.navigate(evidence)}
          >
            <Words look="strong" className="text-edge">
              {drift}
            </Words>
          </Pressable>
          {dose !== null && doseBy && dose + doseBy > 0 ? (
            <Button title="Changed" onPress={() => onDose(dose + doseBy)} />
          ) : null}
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
