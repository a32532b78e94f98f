import type { ModelDetail, PumpRecord, SizerRecord, Studio, TierRecord } from '@leggero/contract';
import { router } from 'expo-router';
import { useMemo, type ReactNode } from 'react';

import { viewModel, type ModelView } from '@/api/modelView';
import { useModel, usePumps, useSizers, useStudio, useTiers } from '@/api/queries';
import { Button } from '@/ui/Button';
import { Page } from '@/ui/Page';
import { Empty, Failed, Loading } from '@/ui/States';

/** A model with all that its pages need. */
export interface ShownModel {
  model: ModelDetail;
  view: ModelView;
  studio: Studio;
  tiers: TierRecord[];
  pumps: PumpRecord[];
  sizers: SizerRecord[];
}

interface WithModelProps {
  modelId: string;
  /** How long the piece stands, where the page asks; the studio's usual otherwise. */
  daysStanding?: number | undefined;
  children: (shown: ShownModel) => ReactNode;
}

/** Fetches a model and its surroundings, and shows the page once they are there. */
export function WithModel({ modelId, daysStanding, children }: WithModelProps) {
  const found = useModel(modelId);
  const studio = useStudio().data;
  const tiers = useTiers().data;
  const pumps = usePumps().data;
  const sizers = useSizers().data;
  const model = found.data;
  const view = useMemo(() => {
    if (!model || !tiers || !studio || !pumps) return null;
    const pump = pumps.find(({ id }) => id === model.calibrations[0]?.pumpId);
    const days = daysStanding === undefined ? {} : { daysStanding };
    return viewModel({ model, tiers, studio, strokeVolumeL: pump?.strokeVolumeL, ...days });
  }, [model, tiers, studio, pumps, daysStanding]);

  if (model && view && tiers && studio && pumps && sizers) {
    return <>{children({ model, view, studio, tiers, pumps, sizers })}</>;
  }
  if (found.error?.status === 404) {
    const toShelf = () => router.replace('/shelf');
    return (
      <Page title="Not on the shelf" back="/shelf">
        <Empty
          sentence="No balloon is known at this address. It may have been taken off the shelf."
          action={<Button title="Go to the shelf" look="primary" onPress={toShelf} />}
        />
      </Page>
    );
  }
  return (
    <Page title=" " back="/shelf">
      {found.error ? (
        <Failed sentence="This balloon could not be read." onRetry={found.refetch} />
      ) : (
        <Loading what="the balloon" />
      )}
    </Page>
  );
}
