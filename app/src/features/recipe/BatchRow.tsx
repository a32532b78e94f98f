import type { Batch } from '@leggero/core/recipe';
import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronUp from 'lucide-react-native/icons/chevron-up';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import type { SizeTarget } from '@/parts/piece/sizeTarget';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { IconButton } from '@/ui/Button';
import { Words } from '@/ui/Words';
import { bagsText } from '@/wording/recipe';
import { capital, listed } from '@/wording/trade';

import { BatchDots } from './BatchDots';
import { batchHow } from './batchHow';
import type { BalloonLooks } from '@/parts/look';

interface BatchRowProps {
  batch: Batch;
  /** As it is written on its bags. */
  mark: string;
  look: BalloonLooks;
  target: SizeTarget | null;
  basis: PieceBasis;
  /** "Kelp columns 120". */
  pieces: readonly string[];
  /** Marks of those that look like it. */
  alike: readonly string[];
  onUp: (() => void) | null;
  onDown: (() => void) | null;
}

/** One batch: which balloon, how wide, by which hole or dose, how many, in which bag. */
export function BatchRow({ batch, mark, look, target, basis, pieces, alike, onUp, onDown }: BatchRowProps) {
  const { sizers, knowledge } = basis;
  // A tape and a hole are read in inches, however long the piece is.
  const lengths = useLengths();
  const { fillMm, count, key } = batch;
  const how = batchHow(batch, look, target, { lengths, sizers, trade: knowledge.trade });
  return (
    <View className="flex-row items-center gap-3 border-t border-line py-2">
      <View className="w-14 items-center">
        <BatchDots dots={[{ key, widthMm: fillMm, hex: look.colour }]} />
        <Words look="label">{mark}</Words>
      </View>
      <View className="flex-1">
        <View className="flex-row items-baseline gap-2">
          <Words look="figure" className="text-[24px] leading-8">
            {lengths.text(fillMm)}
          </Words>
          <Words look="strong">{`× ${count}`}</Words>
        </View>
        <Words>{look.name}</Words>
        <Words look="quiet">{how}</Words>
        <Words look="quiet">{`${capital(bagsText(batch))} · ${pieces.join(', ')}`}</Words>
        {target?.heldMm ? (
          <Words look="error">{`This balloon is held at ${lengths.text(target.heldMm)}: take a larger nominal.`}</Words>
        ) : null}
        {alike.length > 0 ? <Words look="label" className="text-edge">{`Looks like ${listed(alike)}`}</Words> : null}
      </View>
      <View>
        <IconButton label={`Earlier: batch ${mark}`} icon={ChevronUp} disabled={!onUp} onPress={() => onUp?.()} />
        <IconButton label={`Later: batch ${mark}`} icon={ChevronDown} disabled={!onDown} onPress={() => onDown?.()} />
      </View>
    </View>
  );
}
