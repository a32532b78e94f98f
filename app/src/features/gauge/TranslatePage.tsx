import type { PumpRecord, ShelfModel } from '@leggero/contract';
import { translateDose } from '@leggero/core';
import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';

import { useKnowledge } from '@/data/knowledge';
import type { Knowledge } from '@/views/knowledge';
import { modelName } from '@/views/modelView';
import { curveWith, MOST_DOSES, readDoses } from '@/views/recipe';
import { BalloonChoice } from '@/parts/BalloonChoice';
import { Field, Labelled } from '@/ui/Field';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { PickChips } from '@/ui/PickChips';
import { Empty, Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { doseUnit } from '@/wording/trade';

import { RecipePicture, type RecipeStep } from './RecipePicture';

const FIRST_RECIPE = '5, 4, 3, 2, 1';

/** A recipe written for one inflator becomes widths, and another inflator's doses. */
export function TranslatePage() {
  const { model: modelId, from, to } = useLocalSearchParams<Record<'model' | 'from' | 'to', string>>();
  const knowledge = useKnowledge();
  const wide = useWide();
  const back = wide ? undefined : '/gauges';
  const [typed, setTyped] = useState(FIRST_RECIPE);
  const chosen = knowledge ? choose(knowledge, modelId, from, to) : null;
  if (!knowledge || !chosen) {
    return (
      <Page title="Translate a recipe" back={back}>
        {knowledge ? (
          <Empty sentence="A balloon on the shelf and an inflator are needed to translate a recipe." />
        ) : (
          <Loading what="the gauges" />
        )}
      </Page>
    );
  }
  const { model, source, target } = chosen;
  const doses = readDoses(typed);
  const steps = doses && curvesOf(knowledge, model, source, target, doses);
  const pumpOptions = knowledge.pumps.map(({ id, name }) => ({ value: id, title: name }));
  return (
    <Page title="Translate a recipe" subtitle={`${modelName(model)}, ${model.colourName}`} back={back}>
      <View className="w-full max-w-[760px] gap-4">
        <Field
          label={`Recipe, in ${doseUnit(source.kind)}`}
          hint="Doses with commas between them, such as 5, 4, 3, 2, 1."
          value={typed}
          onChangeText={setTyped}
          error={
            doses ? undefined : `Write up to ${MOST_DOSES} doses above 0 with commas between them, such as 5, 4, 3½, 2.`
          }
        />
        {steps ? (
          <RecipePicture model={model} steps={steps} from={source.kind} to={target.kind} />
        ) : doses ? (
          <Words role="alert" look="error">
            Nothing is known of one of these inflators yet: calibrate a balloon with it, or note its litres under
            Gauges.
          </Words>
        ) : null}
        <Labelled label="Written for">
          <PickChips
            label="Written for"
            options={pumpOptions}
            value={source.id}
            onChange={(id) => router.setParams({ from: id })}
          />
        </Labelled>
        <Labelled label="To be filled with">
          <PickChips
            label="To be filled with"
            options={pumpOptions}
            value={target.id}
            onChange={(id) => router.setParams({ to: id })}
          />
        </Labelled>
        <BalloonChoice models={knowledge.models} value={model.id} onChange={(id) => router.setParams({ model: id })} />
      </View>
    </Page>
  );
}

interface Choice {
  model: ShelfModel;
  source: PumpRecord;
  target: PumpRecord;
}

function choose({ models, pumps }: Knowledge, modelId?: string, from?: string, to?: string): Choice | null {
  const model = models.find(({ id }) => id === modelId) ?? models.find(({ nominalMm }) => nominalMm < 130) ?? models[0];
  const used = pumps.find(({ id }) => id === model?.calibrations[0]?.pumpId);
  const source = pumps.find(({ id }) => id === from) ?? used ?? pumps[0];
  const target = pumps.find(({ id }) => id === to) ?? pumps.find(({ id }) => id !== source?.id) ?? source;
  return model && source && target ? { model, source, target } : null;
}

function curvesOf(
  knowledge: Knowledge,
  model: ShelfModel,
  source: PumpRecord,
  target: PumpRecord,
  doses: readonly number[],
): RecipeStep[] | null {
  const from = curveWith(knowledge, model, source);
  const to = curveWith(knowledge, model, target);
  if (!from || !to) return null;
  return doses.map((dose) => {
    const translated = translateDose({ dose, from, to });
    return { dose, translated: translated.ok ? translated.value : null };
  });
}
