import type { ModelRecord } from '@leggero/contract';
import { router } from 'expo-router';
import { View } from 'react-native';

import { useLog, type Log } from '@/data/logbook';
import { useBags } from '@/data/measured';
import { useModels, useSizers } from '@/data/records';
import { PastChecks } from '@/parts/check/PastChecks';
import { Button } from '@/ui/Button';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { RowLink } from '@/ui/RowLink';
import { Empty, Loading } from '@/ui/States';
import { SIZE_COLUMNS, sizeLines } from '@/views/logFiles';
import { balloonName } from '@/views/modelView';
import { batchOfBags } from '@/views/stock';

import { keepCsv } from '@/parts/keepCsv';
import { HandsCard } from './HandsCard';
import { MovedCard } from './MovedCard';
import { SharesCard } from './SharesCard';
import { SizesCard } from './SizesCard';
import { StationsCard } from './StationsCard';

/** The log of one balloon: its sizes on a control chart, what moved them, and the checks that they are from. */
export function BalloonLogPage({ modelId }: { modelId: string }) {
  const log = useLog();
  const models = useModels().data;
  const bags = useBags().data;
  if (!log || !models || !bags)
    return (
      <Page title="Logbook" back="/logbook">
        <Loading what="the sizes" />
      </Page>
    );
  const model = models.find(({ id }) => id === modelId);
  if (!model)
    return (
      <Page title="Not on the shelf" back="/logbook">
        <Empty
          sentence="No balloon is known at this address. It may have been taken off the shelf."
          action={<Button title="Go to the logbook" look="primary" onPress={() => router.replace('/logbook')} />}
        />
      </Page>
    );
  return <Shown {...{ log, model }} batches={batchOfBags(bags.filter((bag) => bag.modelId === modelId))} />;
}

interface ShownProps {
  log: Log;
  model: ModelRecord;
  batches: ReadonlyMap<string, string>;
}

function Shown({ log, model, batches }: ShownProps) {
  const wide = useWide();
  const sizers = useSizers().data ?? [];
  const view = log.sizesOf(model.id);
  const checks = log.checksOf(model.id);
  const file = () =>
    keepCsv(
      'sizes.csv',
      SIZE_COLUMNS,
      sizeLines(model, view.sized, (bagId) => batches.get(bagId) ?? ''),
    );
  return (
    <Page title={balloonName(model)} subtitle="Sizes over time" back="/logbook">
      <View className={wide ? 'flex-row items-start gap-5' : 'gap-3'}>
        <View className={wide ? 'flex-[3] gap-3' : 'gap-3'}>
          <SizesCard view={view} />
          <SharesCard {...{ checks, sizers }} />
        </View>
        <View className={wide ? 'flex-[2] gap-3' : 'gap-3'}>
          <MovedCard {...{ view, batches }} modelId={model.id} />
          <StationsCard view={view} />
          <HandsCard view={view} />
          <PastChecks title="The checks they are from" {...{ checks, sizers }} />
          <RowLink href={`/shelf/${model.id}/hold`} title="How it holds" note="Left standing and measured again" />
          <RowLink href={`/shelf/compare?a=${model.id}`} title="Beside another" note="Brand against brand" />
          {view.sized.length > 0 ? <Button title="Save sizes as CSV" look="plain" onPress={file} /> : null}
        </View>
      </View>
    </Page>
  );
}
