import { isWidthKind } from '@leggero/core';
import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';

import { useModel } from '@/data/records';
import { FoilPage, ModellingPage, ModelPage } from '@/chunks';
import { Page } from '@/ui/Page';
import { Loading } from '@/ui/States';

export default function Model() {
  const { modelId } = useLocalSearchParams<{ modelId: string }>();
  return <ShelfItem key={modelId} modelId={modelId} />;
}

/** The page of what lies on the shelf, by its kind. */
function ShelfItem({ modelId }: { modelId: string }) {
  const model = useModel(modelId).data;
  if (!model || isWidthKind(model.kind)) return <ModelPage modelId={modelId} />;
  const waiting = (
    <Page title=" " back="/shelf">
      <Loading what="the balloon" />
    </Page>
  );
  return (
    <Suspense fallback={waiting}>
      {model.kind === 'modelling' ? <ModellingPage model={model} /> : <FoilPage model={model} />}
    </Suspense>
  );
}
