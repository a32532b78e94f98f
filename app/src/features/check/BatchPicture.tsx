import type { CheckRecord, CheckResultRecord } from '@leggero/contract';
import type { BatchJudgement } from '@leggero/core';
import { View } from 'react-native';
import Svg, { Circle } from 'react-native-svg';

import { useLengths } from '@/data/lengths';
import { figureOf } from '@/views/modelView';
import type { ShownModel } from '@/parts/WithModel';
import { Aperture } from '@/parts/Aperture';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';
import { ANSWER_WORDS } from '@/wording/trade';

/** Small beside the balloon at hand, larger once the batch is through, px. */
const SMALL = 50;
const LARGE = 78;

interface BatchPictureProps extends ShownModel {
  check: CheckRecord;
  /** None before the first result. */
  judgement: BatchJudgement | null;
}

/** The batch as silhouettes over the band: those checked in their colour, those to come as empty rings. */
export function BatchPicture({ model, view, check, judgement }: BatchPictureProps) {
  const { text } = useLengths();
  const palette = usePalette();
  const { targetMm, toleranceMm, size } = check;
  const side = check.results.length >= size ? LARGE : SMALL;
  const byPlace = new Map(check.results.map((result) => [result.position, result]));
  const off = judgement ? [...judgement.tooLarge, ...judgement.tooSmall] : [];
  const outside = new Set(off.map((index) => check.results[index]?.id));
  return (
    <View role="list" aria-label="The batch" className="flex-row flex-wrap justify-center gap-x-2 gap-y-1">
      {Array.from({ length: size }, (_, place) => {
        const result = byPlace.get(place);
        return (
          <View key={place} role="listitem" className="items-center">
            {result ? (
              <Aperture
                {...figureOf(model, view.fit, shownWidth(result, targetMm, toleranceMm))}
                target={{ widthMm: targetMm, toleranceMm }}
                size={side}
                outside={outside.has(result.id)}
                label={`Number ${place + 1}: ${resultText(result, text)}`}
              />
            ) : (
              <Svg width={side} height={side * 1.13} viewBox="-25 -25 50 56.5" aria-hidden>
                <Circle r={21} fill="none" stroke={palette.line} strokeWidth={1.5} strokeDasharray="4 4" />
              </Svg>
            )}
            <Words
              look="quiet"
              className={
                'text-[13px] leading-4 tabular-nums ' +
                `${result && outside.has(result.id) ? 'font-strong text-out' : ''}`
              }
            >
              {`${place + 1}${result && outside.has(result.id) ? ` ${sideOf(result, targetMm)}` : ''}`}
            </Words>
          </View>
        );
      })}
    </View>
  );
}

/** An answer is drawn just beyond the tolerance on its side, as no more is known. */
function shownWidth(result: CheckResultRecord, targetMm: number, toleranceMm: number): number {
  const { answer, widthMm, stopsMm, passesMm } = result;
  if (widthMm !== null) return widthMm;
  if (answer === null) return ((stopsMm ?? passesMm ?? targetMm) + (passesMm ?? stopsMm ?? targetMm)) / 2;
  if (answer === 'passes') return targetMm;
  return targetMm + (answer === 'stops' ? 1.6 : -1.6) * toleranceMm;
}

function sideOf(result: CheckResultRecord, targetMm: number): string {
  return shownWidth(result, targetMm, 1) > targetMm ? 'big' : 'small';
}

function resultText(result: CheckResultRecord, text: (mm: number) => string): string {
  const { answer, widthMm, stopsMm, passesMm } = result;
  if (widthMm !== null) return text(widthMm);
  if (answer === null) {
    return [stopsMm && `stops at ${text(stopsMm)}`, passesMm && `passes ${text(passesMm)}`].filter(Boolean).join(', ');
  }
  const { title, means } = ANSWER_WORDS[answer];
  return `${title.toLowerCase()}, ${means}`;
}
