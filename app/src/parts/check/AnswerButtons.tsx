import { HOLE_ANSWERS, type HoleAnswer } from '@leggero/core';
import { View } from 'react-native';
import Svg, { Circle } from 'react-native-svg';

import { Button } from '@/ui/Button';
import { TapButton } from '@/ui/TapButton';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';
import { ANSWER_WORDS } from '@/wording/trade';

interface AnswerButtonsProps {
  onAnswer: (answer: HoleAnswer) => void;
  /** None where there is no time for it. */
  onMeasure?: (() => void) | undefined;
  /** None where there are not two holes near the target. */
  onHoles?: (() => void) | undefined;
}

/** What the balloon did at the hole: one tap. The small pictures are a hole and a balloon in it. */
export function AnswerButtons({ onAnswer, onMeasure, onHoles }: AnswerButtonsProps) {
  return (
    <View className="gap-1">
      <View className="flex-row gap-2">
        {HOLE_ANSWERS.map((answer) => (
          <AnswerButton key={answer} answer={answer} onPress={() => onAnswer(answer)} />
        ))}
      </View>
      <View className="flex-row justify-center gap-2">
        {onMeasure ? <Button title="Measure this one instead" look="plain" onPress={onMeasure} /> : null}
        {onHoles ? <Button title="Try two holes" look="plain" onPress={onHoles} /> : null}
      </View>
    </View>
  );
}

const BALLOON: Record<HoleAnswer, { r: number; cy: number }> = {
  stops: { r: 15, cy: 12 },
  passes: { r: 10.5, cy: 22 },
  falls: { r: 7, cy: 26 },
};

function AnswerButton({ answer, onPress }: { answer: HoleAnswer; onPress: () => void }) {
  const palette = usePalette();
  const { title, means } = ANSWER_WORDS[answer];
  const right = answer === 'passes';
  const { r, cy } = BALLOON[answer];
  return (
    <TapButton
      label={`${title}: ${means}`}
      onTap={onPress}
      className={
        'min-h-[108px] flex-1 gap-1 px-1 ' +
        (right ? 'border-pine bg-pine active:opacity-80' : 'border-line bg-surface active:bg-sunk')
      }
    >
      <Svg width={44} height={40} viewBox="0 -4 44 40" aria-hidden>
        <Circle cx={22} cy={cy} r={r} fill={right ? palette.onPine : palette.quiet} opacity={0.45} />
        <Circle cx={22} cy={22} r={12} fill="none" stroke={right ? palette.onPine : palette.ink} strokeWidth={2} />
      </Svg>
      <Words look="strong" className={`text-center leading-5 ${right ? 'text-on-pine' : ''}`}>
        {title}
      </Words>
      <Words look="quiet" className={right ? 'text-on-pine' : ''}>
        {means}
      </Words>
    </TapButton>
  );
}
