import { useState } from 'react';
import { Pressable, useWindowDimensions, View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { figureOf, modelName, type TierTarget } from '@/views/modelView';
import { Aperture } from '@/parts/Aperture';
import { inkOn } from '@/parts/Balloon';
import { Chip } from '@/ui/Chip';
import { useWide } from '@/ui/layout';
import { LengthFigure } from '@/parts/LengthFigure';
import { Words } from '@/ui/Words';
import { heldBecause } from '@/wording/target';
import { counted, ORIGIN_WORDS } from '@/wording/trade';

import { TargetTools } from './TargetTools';
import { WhySheet } from './WhySheet';
import type { ShownModel } from '@/parts/WithModel';

interface TargetPanelProps extends ShownModel {
  chosen: TierTarget;
  daysStanding: number;
}

const MOST_PX = 330;

/** One target: the aperture with its width, the tools that reach it side by side, where it comes from and why. */
export function TargetPanel(props: TargetPanelProps) {
  const { model, view, chosen } = props;
  const { target, tier } = chosen;
  const lengths = useLengths();
  const [whyOpen, setWhyOpen] = useState(false);
  const window = useWindowDimensions();
  const wide = useWide();
  const size = wide ? MOST_PX : Math.min(window.width - 90, MOST_PX, window.height * 0.33);
  const { dose } = target;
  // Rounded up to a step: no figure here is surer than the studio reads.
  const half = dose ? Math.ceil((dose.highMm - dose.lowMm) / 2 / lengths.stepMm) * lengths.stepMm : 0;
  const sure = dose ? ` ±${lengths.bare(half)}` : '';
  return (
    <View className="gap-3">
      <View className="items-center">
        <View>
          <Aperture
            {...figureOf(model, view.curve, target.widthMm)}
            // The figure stands where a print would.
            decor="none"
            target={target}
            size={size}
            marks
            label={
              `${modelName(model)}, ${tier.name}: ${lengths.text(target.widthMm)} across, ` +
              `${lengths.text(target.toleranceMm)} either way`
            }
          />
          <View
            aria-hidden
            pointerEvents="none"
            className="absolute inset-x-0 items-center"
            style={{ top: size * 0.3 }}
          >
            <LengthFigure
              parts={lengths.parts(target.widthMm)}
              size={Math.min(104, Math.max(88, size * 0.32))}
              colour={inkOn(model.colourHex)}
            />
            <Words
              style={{ color: inkOn(model.colourHex) }}
            >{`${lengths.unit} ${view.showing ? 'for making' : 'across'}, ±${lengths.bare(target.toleranceMm)}`}</Words>
          </View>
        </View>
      </View>
      <TargetTools {...props} />
      <View className="flex-row items-center gap-2">
        <Chip
          tone={target.origin === 'measured' ? 'measured' : 'plain'}
          word={`${ORIGIN_WORDS[target.origin]}${sure}`}
        />
        <Words look="label" className="flex-1">
          {heldBecause(target, lengths.text)}
        </Words>
        <Pressable
          role="button"
          aria-label="Why this target"
          onPress={() => setWhyOpen(true)}
          className="min-h-[44px] min-w-[44px] items-center justify-center"
        >
          <Words look="strong" className="text-pine underline">
            Why
          </Words>
        </Pressable>
      </View>
      {view.showing ? <ShownAs {...props} /> : null}
      <WhySheet {...props} open={whyOpen} onClose={() => setWhyOpen(false)} />
    </View>
  );
}

/** What it will be at the show, and at the end of its days, beside what it is made to. */
function ShownAs({ chosen: { target }, daysStanding }: TargetPanelProps) {
  const { text } = useLengths();
  const { widthMm, afterDaysMm } = target.showing;
  const later = daysStanding > 0 ? `, ${text(afterDaysMm)} ${counted(daysStanding, 'day')} later` : '';
  return (
    <Words look="label" role="status">
      {`Made ${text(target.widthMm)}; shown ${text(widthMm)} as it opens${later}.`}
    </Words>
  );
}
