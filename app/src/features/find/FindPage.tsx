import type { ShelfModel } from '@leggero/contract';
import { chooseNominal, MM_PER_INCH } from '@leggero/core';
import { router, useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';

import { useKnowledge } from '@/data/knowledge';
import type { Knowledge } from '@/views/knowledge';
import { useLengths } from '@/data/lengths';
import { estimateWith, figureOf, modelName } from '@/views/modelView';
import { useStudio } from '@/data/records';
import { useTrade } from '@/data/trade';
import { StandingChoice } from '@/parts/StandingChoice';
import { Aperture } from '@/parts/Aperture';
import { useWide } from '@/ui/layout';
import { LengthEntry } from '@/parts/LengthEntry';
import { Page } from '@/ui/Page';
import { RowLink } from '@/ui/RowLink';
import { Empty, Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { unsuitedText } from '@/wording/target';
import { percent } from '@/wording/trade';

const FIRST_MM = 9 * MM_PER_INCH;

/** A width is wanted: which balloon of the shelf suits, and why the others do not. */
export function FindPage() {
  const trade = useTrade();
  const { width, days } = useLocalSearchParams<Record<'width' | 'days', string>>();
  const lengths = useLengths();
  const wide = useWide();
  const studio = useStudio().data;
  const knowledge = useKnowledge();
  const back = wide ? undefined : '/shelf';
  if (!studio || !knowledge) {
    return (
      <Page title="Find a balloon" back={back}>
        <Loading what="the shelf" />
      </Page>
    );
  }
  const widthMm = Number(width) > 0 ? Number(width) : FIRST_MM;
  const daysStanding = days ? Number(days) : studio.daysStanding;
  const singles = knowledge.models.filter(({ outerId }) => outerId === null);
  const models = singles.map((model) => ({
    model,
    nominalMm: model.nominalMm,
    finish: model.finish,
    roundLimit: roundLimitOf(model, knowledge),
  }));
  const choice = chooseNominal({ widthMm, daysStanding, models, trade });
  return (
    <Page title="Find a balloon" subtitle="For a width that is wanted" back={back}>
      <View className="w-full max-w-[640px] gap-4">
        <LengthEntry
          label="Width wanted"
          value={widthMm}
          least={MM_PER_INCH}
          most={36 * MM_PER_INCH}
          lengths={lengths}
          onChange={(mm) => router.setParams({ width: mm.toFixed(3) })}
        />
        <StandingChoice days={daysStanding} onChange={(to) => router.setParams({ days: String(to) })} />
        {!choice.ok ? (
          <Empty sentence="Put balloons on the shelf, and this tells which of them suits." />
        ) : (
          <>
            <Words look="heading" level={2}>
              {choice.value.suited.length > 0 ? 'These suit' : `Nothing on the shelf suits ${lengths.text(widthMm)}`}
            </Words>
            {choice.value.suited.map(({ model: { model }, fraction }) => (
              <Option key={model.id} model={model} widthMm={widthMm} note={`${percent(fraction)} of its nominal`} />
            ))}
            {choice.value.unsuited.length > 0 ? (
              <Words look="heading" level={2}>
                These do not
              </Words>
            ) : null}
            {choice.value.unsuited.map(({ model: { model }, reason }) => (
              <Option key={model.id} model={model} widthMm={widthMm} note={unsuitedText(reason, lengths.text)} />
            ))}
          </>
        )}
      </View>
    </Page>
  );
}

function Option({ model, widthMm, note }: { model: ShelfModel; widthMm: number; note: string }) {
  return (
    <RowLink href={`/shelf/${model.id}`} title={`${modelName(model)}, ${model.colourName}`} note={note}>
      <Aperture
        {...figureOf(model, null, Math.min(widthMm, 1.1 * model.nominalMm))}
        size={48}
        label={model.colourName}
      />
    </RowLink>
  );
}

/** Where it turns oval: as its newest calibration shows, or as its line says. */
function roundLimitOf(model: ShelfModel, knowledge: Knowledge) {
  const newest = model.calibrations[0];
  const fit = newest && knowledge.shelf.outcomes.get(newest.id)?.fit;
  const [pump] = knowledge.pumps;
  return (fit ?? (pump ? estimateWith(model, pump, knowledge) : null))?.shape.roundLimit;
}
