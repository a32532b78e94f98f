import { HOLE_ANSWERS, type Tallied } from '@leggero/core';
import { MISHAPS } from '@leggero/core/inflation';
import { useState } from 'react';
import { View } from 'react-native';

import { AnswerButtons } from '@/parts/check/AnswerButtons';
import { MeasureEntry } from '@/parts/check/MeasureEntry';
import { Button } from '@/ui/Button';
import { TapButton } from '@/ui/TapButton';
import { useKeys } from '@/ui/useKeys';
import { Words } from '@/ui/Words';
import { TALLY_WORDS } from '@/wording/inflation';

import type { SizeSeen } from './useTaps';

interface TapButtonsProps {
  atOnce: 1 | 2;
  /** What it is to be, mm. */
  targetMm: number;
  /** A balloon is at the hole. */
  checking: boolean;
  /** Not while a sheet lies over it. */
  hearsKeys: boolean;
  onTap: (what: Tallied) => void;
  onUndo: () => void;
  onCheck: (() => void) | null;
  /** Null where it was not checked after all. */
  onAnswer: (seen: SizeSeen | null) => void;
}

/** What is tapped with one thumb: done, and why not; or what a balloon did at the hole. Keys and foot pedals do the same. */
export function TapButtons({ checking, ...rest }: TapButtonsProps) {
  return checking ? <SizeButtons {...rest} /> : <MadeButtons {...rest} />;
}

type ButtonsProps = Omit<TapButtonsProps, 'checking'>;

/** What a balloon did at the hole, or its width by a tape. */
function SizeButtons({ targetMm, hearsKeys, onAnswer }: ButtonsProps) {
  const [measuring, setMeasuring] = useState(false);
  const answers = Object.fromEntries(HOLE_ANSWERS.map((answer, i) => [String(i + 1), () => onAnswer(answer)]));
  // While a width is typed its figures are no answers.
  useKeys(hearsKeys && !measuring ? { ...answers, Escape: () => onAnswer(null) } : {});
  return (
    <View className="flex-1 gap-1">
      {measuring ? (
        <MeasureEntry targetMm={targetMm} onKeep={onAnswer} onBack={() => setMeasuring(false)} />
      ) : (
        <>
          <AnswerButtons onAnswer={onAnswer} onMeasure={() => setMeasuring(true)} />
          <Button title="Not now" look="plain" onPress={() => onAnswer(null)} />
        </>
      )}
    </View>
  );
}

/** Done, and why not. */
function MadeButtons({ atOnce, hearsKeys, onTap, onUndo, onCheck }: ButtonsProps) {
  const done = () => onTap('done');
  const keys: Record<string, () => void> = {
    ...{ ' ': done, Enter: done, PageDown: done, ArrowRight: done },
    ...{ u: onUndo, PageUp: onUndo, ArrowLeft: onUndo },
    ...(onCheck ? { c: onCheck } : {}),
    ...Object.fromEntries(MISHAPS.map((what, i) => [String(i + 1), () => onTap(what)])),
  };
  useKeys(hearsKeys ? keys : {});
  return (
    <View className="flex-1 gap-2">
      <TapButton onTap={done} className="min-h-[132px] border-kiln bg-kiln active:opacity-80">
        <Words look="figure" className="text-[34px] leading-10 text-on-kiln">
          {atOnce === 2 ? 'Pair done' : 'Done'}
        </Words>
      </TapButton>
      <View className="flex-row gap-1.5">
        {MISHAPS.map((what) => (
          <SmallButton key={what} {...TALLY_WORDS[what]} onTap={() => onTap(what)} />
        ))}
        <SmallButton title="Undo" heard="Undo the last tap" onTap={onUndo} />
      </View>
    </View>
  );
}

function SmallButton({ title, heard, onTap }: { title: string; heard: string; onTap: () => void }) {
  return (
    <TapButton label={heard} onTap={onTap} className="min-h-[60px] flex-1 border-line bg-surface px-0.5 active:bg-sunk">
      <Words look="label" className="text-center text-ink">
        {title}
      </Words>
    </TapButton>
  );
}
