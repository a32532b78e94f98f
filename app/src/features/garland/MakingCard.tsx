import { MOST_STRIP_STEPS } from '@leggero/contract';
import { JOINED_BY, MM_PER_INCH, MOST_STRIP_HOLES } from '@leggero/core';
import type { GarlandSupplies } from '@leggero/core/garland';
import Plus from 'lucide-react-native/icons/plus';
import { View } from 'react-native';

import { CountField, MmField, PartPick, Removable } from '@/parts/piece/Fields';
import type { GarlandDesign } from '@/parts/piece/garlandPlan';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Labelled } from '@/ui/Field';
import { PickChips } from '@/ui/PickChips';
import { Segmented } from '@/ui/Segmented';
import { Words } from '@/ui/Words';
import { JOINED_ABOUT, JOINED_WORDS, suppliesText } from '@/wording/garland';
import { holesFor } from '@/wording/garlandLength';

interface MakingCardProps {
  design: GarlandDesign;
  basis: PieceBasis;
  /** How long what it runs along is. */
  pathMm: number;
  /** What the strip is in words; null without one. */
  said: string | null;
  /** What it takes beside its balloons; null while it cannot be worked out. */
  supplies: GarlandSupplies | null;
  wrong: (field: string) => string | undefined;
  change: (by: Partial<GarlandDesign>) => void;
}

type Strip = NonNullable<GarlandDesign['strip']>;

/** A strip's holes, and where it begins so that its end can be hung (common practice). */
const FIRST_STRIP = { pitchMm: 3 * MM_PER_INCH, first: 4 };
/** Large and small ones of which a strip is begun: the width of a large one, and of a small one, mm. */
const FIRST_WIDTHS = { large: 16 * MM_PER_INCH, small: 10 * MM_PER_INCH };

/** How a garland is made: of clusters one after another, or in a strip hole by hole. */
export function MakingCard({ design, basis, pathMm, said, supplies, wrong, change }: MakingCardProps) {
  const { strip, joined } = design;
  const put = (by: Partial<Strip>) => strip && change({ strip: { ...strip, ...by } });
  const putStep = (at: number, step: Strip['steps'][number]) =>
    strip && put({ steps: strip.steps.map((each, i) => (i === at ? step : each)) });
  return (
    <Card title="How it is made">
      <View className="gap-3">
        <Segmented
          label="How it is made"
          options={[
            { value: 'clusters', title: 'Clusters' },
            { value: 'strip', title: 'On a strip' },
          ]}
          value={strip ? 'strip' : 'clusters'}
          onChange={(way) => change({ strip: way === 'strip' ? (strip ?? firstStrip(design, pathMm)) : null })}
        />
        <Labelled label={strip ? 'What is tied over it, by' : 'Joined by'}>
          <PickChips
            label="Joined by"
            options={JOINED_BY.map((value) => ({ value, title: JOINED_WORDS[value] }))}
            value={joined}
            onChange={(by) => change({ joined: by })}
          />
        </Labelled>
        <Words look="quiet">{JOINED_ABOUT[joined]}</Words>
        {supplies ? <Words role="status">{suppliesText(supplies, basis.lengths.text)}</Words> : null}
        {strip ? (
          <>
            <View className="flex-row flex-wrap gap-3">
              <CountField
                label="Holes of the strip"
                of="holes"
                most={MOST_STRIP_HOLES}
                value={strip.holes}
                error={wrong('holes')}
                onChange={(holes) => put({ holes })}
              />
              <MmField
                label="From hole to hole"
                value={strip.pitchMm}
                width
                basis={basis}
                error={wrong('pitchMm')}
                onChange={(pitchMm) => put({ pitchMm })}
              />
              <CountField
                label="Begins at hole"
                of="holes"
                most={MOST_STRIP_HOLES}
                value={strip.first}
                error={wrong('first')}
                onChange={(first) => put({ first })}
              />
            </View>
            {said ? <Words role="status">{said}</Words> : null}
            {strip.steps.map((step, i) => (
              <View key={i} className="gap-2">
                <Removable
                  label={`Take step ${i + 1} out`}
                  onRemove={
                    strip.steps.length > 1 ? () => put({ steps: strip.steps.filter((_, at) => at !== i) }) : null
                  }
                >
                  {step ? (
                    <PartPick
                      label={`Balloon of step ${i + 1}`}
                      part={step}
                      basis={basis}
                      onChange={(part) => putStep(i, part)}
                    />
                  ) : (
                    <Words look="quiet" className="pb-3">{`Step ${i + 1}: a hole left free`}</Words>
                  )}
                </Removable>
                {step ? (
                  <MmField
                    label={`Width of step ${i + 1}`}
                    value={step.widthMm}
                    width
                    basis={basis}
                    error={wrong(`steps.${i}.widthMm`)}
                    onChange={(widthMm) => putStep(i, { ...step, widthMm })}
                  />
                ) : null}
              </View>
            ))}
            {wrong('steps') ? (
              <Words look="error" role="alert">
                {wrong('steps')}
              </Words>
            ) : null}
            {strip.steps.length < MOST_STRIP_STEPS ? (
              <View className="flex-row flex-wrap gap-2">
                <Button
                  title="Another balloon"
                  icon={Plus}
                  onPress={() =>
                    put({ steps: [...strip.steps, lastBalloon(strip) ?? firstStrip(design, pathMm).steps[0]!] })
                  }
                />
                <Button title="Leave a hole" icon={Plus} onPress={() => put({ steps: [...strip.steps, null] })} />
              </View>
            ) : null}
          </>
        ) : null}
      </View>
    </Card>
  );
}

const lastBalloon = ({ steps }: Strip) => steps.findLast((step) => step !== null);

/** A large one, a hole left, three small ones, a hole left (common practice), of what its clusters are made of. */
function firstStrip({ kinds }: GarlandDesign, pathMm: number): Strip {
  const all = kinds.flatMap(({ balloons }) => balloons);
  const widest = all.reduce((most, each) => (each.widthMm > most.widthMm ? each : most));
  const small = all.find(({ modelId, colourHex }) => modelId !== widest.modelId || colourHex !== widest.colourHex);
  const part = ({ modelId, colourHex, finish }: (typeof all)[number], widthMm: number) => {
    return { modelId, colourHex, finish, widthMm };
  };
  const large =
    widest.widthMm > FIRST_WIDTHS.small * 1.2
      ? part(widest, widest.widthMm)
      : { ...part(widest, FIRST_WIDTHS.large), modelId: null };
  const less = part(small ?? all[0]!, FIRST_WIDTHS.small);
  return { ...FIRST_STRIP, holes: holesFor(FIRST_STRIP, pathMm), steps: [large, null, less, less, less, null] };
}
