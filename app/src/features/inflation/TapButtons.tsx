import type { HoleAnswer, Tallied } from '@leggero/core';
import { HOLE_ANSWERS } from '@leggero/core';
import { MISHAPS } from '@leggero/core/inflation';
import { Pressable, View } from 'react-native';

import { AnswerButtons } from '@/parts/check/AnswerButtons';
import { Button } from '@/ui/Button';
import { useKeys } from '@/ui/useKeys';
import { Words } from '@/ui/Words';
import { TALLY_WORDS } from '@/wording/inflation';

interface TapButtonsProps {
  atOnce: 1 | 2;
  /** A balloon is at the hole. */
  checking: boolean;
  /** Not while a sheet lies over it. */
  hearsKeys: boolean;
  onTap: (what: Tallied) => void;
  onUndo: () => void;
  onCheck: (() => void) | null;
  /** Null where it was not checked after all. */
  onAnswer: (answer: HoleAnswer | null) => void;
}

/** What is tapped with one thumb: done, and why not; or what a balloon did at the hole. Keys and foot pedals do the same. */
export function TapButtons({ atOnce, checking, hearsKeys, onTap, onUndo, onCheck, onAnswer }: TapButtonsProps) {
  const done = () => onTap('done');
  const keys: Record<string, () => void> = checking
    ? {
        ...Object.fromEntries(HOLE_ANSWERS.map((answer, i) => [String(i + 1), () => onAnswer(answer)])),
        Escape: () => onAnswer(null),
      }
    : {
        ...{ ' ': done, Enter: done, PageDown: done, ArrowRight: done },
        ...{ u: onUndo, PageUp: onUndo, ArrowLeft: onUndo },
        ...(onCheck ? { c: onCheck } : {}),
        ...Object.fromEntries(MISHAPS.map((what, i) => [String(i + 1), () => onTap(what)])),
      };
  useKeys(hearsKeys ? keys : {});
  if (checking)
    return (
      <View className="flex-1 gap-1">
        <AnswerButtons onAnswer={onAnswer} />
        <Button title="Not now" look="plain" onPress={() => onAnswer(null)} />
      </View>
    );
  return (
    <View className="flex-1 gap-2">
      <Pressable
        role="button"
        aria-label={atOnce === 2 ? 'Pair done' : 'Done'}
        onPress={done}
        className="min-h-[132px] items-center justify-center rounded-card bg-kiln active:opacity-80"
      >
        <Words look="figure" className="text-[34px] leading-10 text-on-kiln">
          {atOnce === 2 ? 'Pair done' : 'Done'}
        </Words>
      </Pressable>
      <View className="flex-row gap-1.5">
        {MISHAPS.map((what) => (
          <SmallButton key={what} {...TALLY_WORDS[what]} onPress={() => onTap(what)} />
        ))}
        <SmallButton title="Undo" heard="Undo the last tap" onPress={onUndo} />
      </View>
    </View>
  );
}

function SmallButton({ title, heard, onPress }: { title: string; heard: string; onPress: () => void }) {
  return (
    <Pressable
      role="button"
      aria-label={heard}
      onPress={onPress}
      className="min-h-[60px] flex-1 items-center justify-center rounded-card border border-line bg-surface px-0.5 active:bg-sunk"
    >
      <Words look="label" className="text-center text-ink">
        {title}
      </Words>
    </Pressable>
  );
}
