import type { TierRecord } from '@leggero/contract';
import type { Target } from '@leggero/core';
import { partedPair } from '@leggero/core/stuffing';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { useTrade } from '@/data/trade';
import { modelName } from '@/views/modelView';
import { Card } from '@/ui/Card';
import { PartedChart, PressureChart } from '@/parts/charts';
import { Chip } from '@/ui/Chip';
import { LengthFigure } from '@/parts/LengthFigure';
import { Segmented } from '@/ui/Segmented';
import { Steps } from '@/ui/Steps';
import { Words } from '@/ui/Words';
import {
  COLOUR_NOTES,
  effortText,
  governsText,
  inflatorsText,
  insertionSteps,
  PAIR_VERDICTS,
  pairProblemText,
  pairReasonText,
  piecesText,
} from '@/wording/stuffing';
import { ORIGIN_WORDS, percent } from '@/wording/trade';

import { PairPicture } from './PairPicture';
import type { PairView } from './viewPair';

/** The two and what they make, whether it works, and which of them holds it. */
export function PairVerdict({ view, colourHex }: { view: PairView; colourHex: string }) {
  const { text } = useLengths();
  const { parts, stuffing, problem, colour } = view;
  const widthMm = stuffing?.target.widthMm ?? 0.8 * Math.min(parts.outer.nominalMm, parts.inner.nominalMm);
  return (
    <View className="gap-2">
      <PairPicture
        parts={parts}
        colourHex={colourHex}
        widthMm={widthMm}
        label={
          `${modelName(parts.inner)} inside ${modelName(parts.outer)} at ${text(widthMm)}. ` +
          `${COLOUR_NOTES[colour.note]}`
        }
      />
      {problem ? (
        <Words look="error" role="alert">
          {pairProblemText(problem, text)}
        </Words>
      ) : null}
      {stuffing ? (
        <View className="gap-1">
          <Chip {...PAIR_VERDICTS[stuffing.verdict]} />
          {stuffing.reasons.map((reason) => (
            <Words key={reason.code}>{pairReasonText(reason, text)}</Words>
          ))}
          <Words look="label">{governsText(stuffing.limits, text)}</Words>
        </View>
      ) : null}
    </View>
  );
}

/** What to fill the pair to, large; and how sure that is. */
function FillTo({ target, tierName }: { target: Target; tierName: string }) {
  const lengths = useLengths();
  const { widthMm, toleranceMm, origin, dose } = target;
  const text = `${tierName}: fill to ${lengths.text(widthMm)}, ±${lengths.bare(toleranceMm)}`;
  return (
    <View role="status" aria-label={text} className="flex-row items-center gap-3">
      <LengthFigure parts={lengths.parts(widthMm)} size={64} />
      <View className="flex-1">
        <Words>{`${lengths.unit} across, ±${lengths.bare(toleranceMm)}`}</Words>
        <Words look="quiet">
          {dose
            ? `${ORIGIN_WORDS[origin]}; lands ${lengths.bare(dose.nextLowMm)}–${lengths.bare(dose.nextHighMm)} by dose`
            : ORIGIN_WORDS[origin]}
        </Words>
      </View>
    </View>
  );
}

interface PairTargetProps {
  view: PairView;
  tiers: readonly TierRecord[];
  tier: TierRecord;
  onTier: (id: string) => void;
}

/** The pair's target for one tier, and the other tiers to ask for. */
export function PairTarget({ view, tiers, tier, onTier }: PairTargetProps) {
  return (
    <>
      {view.stuffing ? <FillTo target={view.stuffing.target} tierName={tier.name} /> : null}
      <Segmented
        label="Tier"
        options={tiers.map(({ id, name }) => ({ value: id, title: name }))}
        value={tier.id}
        onChange={onTier}
      />
    </>
  );
}

/** What colour comes of it, and how sure that is. */
export function ColourNote({ view }: { view: PairView }) {
  const { colour, opacities, parts } = view;
  const { learnedFrom } = opacities[parts.outer.finish];
  const from =
    learnedFrom === 0
      ? 'from memory; save what it really looks like, and the next estimate is better'
      : `learned from ${learnedFrom} saved ${learnedFrom === 1 ? 'colour' : 'colours'}`;
  return (
    <Words look="quiet">
      {`${COLOUR_NOTES[colour.note]} An approximation: the outer hides ${percent(colour.opacity)} of ` +
        `the inner (${from}).`}
    </Words>
  );
}

/** How to put one into the other, and what it costs. */
export function HowToStuff({ view }: { view: PairView }) {
  const { text } = useLengths();
  const { stuffing, pieces, parts } = view;
  if (!stuffing) return null;
  return (
    <Card title="How to stuff it">
      <Steps steps={insertionSteps(text(stuffing.neckProudMm))} />
      <View className="mt-2 gap-1 border-t border-line pt-2">
        <Words>{effortText(stuffing.effort)}</Words>
        <Words role={pieces === 0 ? 'alert' : undefined} look={pieces === 0 ? 'error' : 'body'}>
          {piecesText(pieces, parts.outer.id === parts.inner.id)}
        </Words>
      </View>
    </Card>
  );
}

/** Whether an inflator passes the start, and why two nozzles fill unequally. */
export function PressureCard({ view }: { view: PairView }) {
  const lengths = useLengths();
  const trade = useTrade();
  const { stuffing, pressure, parts } = view;
  // It is the same for every balloon.
  const parted = partedPair({ points: 60, trade });
  if (!stuffing) return null;
  const electric = stuffing.inflators.find(({ kind }) => kind === 'timed')!;
  const { hump } = stuffing;
  return (
    <Card title="Pressure at the start">
      <Words className="mb-2">{inflatorsText(stuffing.inflators)}</Words>
      <PressureChart points={pressure} electricKPa={electric.mostKPa} lengths={lengths} />
      <Words look="quiet" className="mt-1">
        {`The two together need ${hump.kPa.toFixed(1)} kPa at ${lengths.text(hump.atMm)}, the outer alone ` +
          `${hump.aloneKPa.toFixed(1)} kPa. Thin: the outer; dashed: the inner. Rubber’s constants are ` +
          'from memory.'}
      </Words>
      <View className="mt-3 flex-row items-center gap-3 border-t border-line pt-3">
        {parted && <PartedChart parted={parted} colourHex={parts.outer.colourHex} />}
        <Words look="quiet" className="flex-1">
          Past the hump a larger balloon presses less. On two nozzles of one pump the one ahead draws air from the
          other: close one nozzle, or pre-stretch both.
        </Words>
      </View>
    </Card>
  );
}
