import type { CheckRecord } from '@leggero/contract';
import type { ReactNode } from 'react';
import { View } from 'react-native';

import { useAtOnce } from '@/data/atOnce';
import { useLengths } from '@/data/lengths';
import { resultsOf } from '@/views/checks';
import type { SizerChoice } from '@/views/holes';
import { figureOf } from '@/views/modelView';
import type { ShownModel } from '@/parts/WithModel';
import { Aperture } from '@/parts/Aperture';
import { useWide } from '@/ui/layout';
import { Words } from '@/ui/Words';

interface CheckNowProps {
  check: CheckRecord;
  hole: SizerChoice | null;
  /** Balloons left in the whole piece; null for a batch of its own. */
  left: number | null;
  /** The picture of the target. */
  children: ReactNode;
}

/** Which balloon of the batch is on, and how to hold it. */
export function CheckNow({ check, hole, left, children }: CheckNowProps) {
  const { text } = useLengths();
  return (
    <View className="items-center gap-2">
      <Place check={check} left={left} />
      {children}
      <Words className="text-center">{howTo(hole, text)}</Words>
    </View>
  );
}

/** Which balloon is on: told as soon as the last answer is kept. */
function Place({ check: { id, size, results }, left }: Pick<CheckNowProps, 'check' | 'left'>) {
  const answered = useAtOnce(({ checkResult }) => resultsOf(checkResult).of(id).length);
  const leftNow = left === null ? null : left - (answered - results.length);
  return (
    // Of a size of its own, so that another number lays out nothing around it.
    <View
      role="status"
      className="h-[50px] flex-row items-baseline justify-center gap-2 self-stretch [contain:size_layout_style]"
    >
      <Words look="quiet">Balloon</Words>
      <Words look="figure" className="text-[44px] leading-[50px]">
        {Math.min(answered + 1, size)}
      </Words>
      <Words look="quiet">{leftNow === null ? `of ${size}` : `of ${size} · ${leftNow} left in the piece`}</Words>
    </View>
  );
}

/** The target of a check, with its band. */
export function TargetPicture({ model, view, check }: ShownModel & { check: CheckRecord }) {
  const { text } = useLengths();
  const wide = useWide();
  const { targetMm: widthMm, toleranceMm } = check;
  return (
    <Aperture
      {...figureOf({ ...model, colourHex: '#b9b0a2', finish: 'matte' }, view.fit, widthMm)}
      target={{ widthMm, toleranceMm }}
      size={wide ? 320 : 164}
      marks
      label={`Target ${text(widthMm)}, ${text(toleranceMm)} either way`}
    />
  );
}

function howTo(choice: SizerChoice | null, text: (mm: number) => string): string {
  if (!choice) return 'No sizer has a hole for this. Measure each one, or go by a reference balloon.';
  const { hole } = choice.choice;
  return choice.choice.how === 'gap'
    ? `Hold it centred in the ${hole.label} hole (${choice.sizer.name}), with a ` +
        `${text(choice.choice.gapMm)} gap in all.`
    : `Hold it centred in the ${hole.label} hole (${choice.sizer.name}): it should just pass.`;
}
