import type { ModelDetail, PumpRecord, SizerRecord, Studio, TierRecord } from '@leggero/contract';
import { router, useLocalSearchParams } from 'expo-router';
import type { ReactNode } from 'react';
import { View } from 'react-native';

import { useKnowledge } from '@/data/knowledge';
import type { Knowledge } from '@/views/knowledge';
import { asSold, modelName, viewModel, type ModelView, type Venue } from '@/views/modelView';
import { useModel, useModels, useSizers, useStudio, useTiers } from '@/data/records';
import { Button } from '@/ui/Button';
import { Page } from '@/ui/Page';
import { Empty, Failed, Loading } from '@/ui/States';

import { Aperture } from './Aperture';
import { useVenue } from './useVenue';

/** A model with all that its pages need. */
export interface ShownModel {
  model: ModelDetail;
  view: ModelView;
  studio: Studio;
  tiers: TierRecord[];
  pumps: PumpRecord[];
  sizers: SizerRecord[];
  knowledge: Knowledge;
  /** Where it is shown, as the address says. */
  venue: Venue | null;
}

interface WithModelProps {
  modelId: string;
  /** How long the piece stands, where the page asks; the studio's usual otherwise. */
  daysStanding?: number | undefined;
  children: (shown: ShownModel) => ReactNode;
}

/**
 * Fetches a model and its surroundings, and shows the page once they are there. The calibration and the venue stand
 * in the address.
 */
export function WithModel({ modelId, daysStanding, children }: WithModelProps) {
  const { calibration: calibrationId } = useLocalSearchParams<{ calibration?: string }>();
  const { venue } = useVenue();
  const found = useModel(modelId);
  const studio = useStudio().data;
  const tiers = useTiers().data;
  const sizers = useSizers().data;
  const knowledge = useKnowledge();
  const model = found.data;
  const view =
    model && tiers && studio && knowledge
      ? viewModel({ model, knowledge, tiers, studio, daysStanding, venue, calibrationId, follow: true })
      : null;

  if (model && view && tiers && studio && knowledge && sizers) {
    const { pumps } = knowledge;
    return <>{children({ model, view, studio, tiers, pumps, sizers, knowledge, venue })}</>;
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
  if (found.error) {
    return (
      <Page title=" " back="/shelf">
        <Failed sentence="This balloon could not be read." onRetry={found.refetch} />
      </Page>
    );
  }
  return <Coming modelId={modelId} />;
}

/** What is known of a balloon before its readings have come: what it is, and how it looks. */
function Coming({ modelId }: { modelId: string }) {
  const model = useModels().data?.find(({ id }) => id === modelId);
  if (!model) {
    return (
      <Page title=" " back="/shelf">
        <Loading what="the balloon" />
      </Page>
    );
  }
  return (
    <Page title={modelName(model)} subtitle={model.colourName} back="/shelf">
      <View className="items-center pt-4">
        <Aperture {...asSold(model)} size={180} label={model.colourName} />
      </View>
      <Loading what="its readings" />
    </Page>
  );
}
