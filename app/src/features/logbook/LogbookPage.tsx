import type { ModelRecord } from '@leggero/contract';
import { router } from 'expo-router';
import { View } from 'react-native';

import { useLog, useTaken, type Log } from '@/data/logbook';
import { useEvents, usePieces, useShelf } from '@/data/records';
import { useAllAsBuilt, useAllRepairs } from '@/data/site';
import { useStockBook } from '@/data/stock';
import { useTrade } from '@/data/trade';
import { Button } from '@/ui/Button';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { RowLink } from '@/ui/RowLink';
import { Empty, Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { balloonName } from '@/views/modelView';
import { sizedText, steadyWord } from '@/wording/logbook';

import { HoldsCard } from './HoldsCard';
import { LearnedCard } from './LearnedCard';
import { LossesCard } from './LossesCard';
import { SizesStrip } from './SizesStrip';
import { StoodCard } from './StoodCard';
import { TakenCard } from './TakenCard';

/** What came out, and what it teaches: sizes over time, losses, paces, what builds took. */
export function LogbookPage() {
  const wide = useWide();
  const log = useLog();
  const models = useShelf().data;
  const events = useEvents().data;
  const pieces = usePieces().data;
  const built = useAllAsBuilt();
  const repairs = useAllRepairs();
  const book = useStockBook();
  const trade = useTrade();
  const taken = useTaken(trade.paceS.sized);
  if (!(log && models && book && taken && events && pieces && built && repairs))
    return (
      <Page title="Logbook">
        <Loading what="the logbook" />
      </Page>
    );
  const known = new Map(models.map((model) => [model.id, model]));
  const lost = models.some(({ id }) => book.of(id).seen.length > 0);
  const held = models.some(({ holdTests }) => holdTests.length > 0);
  const stood = built.length > 0 || repairs.length > 0;
  const nothing = log.checked.length === 0 && taken.length === 0 && !lost && !held && !stood;
  return (
    <Page title="Logbook" subtitle="What came out, and what it teaches">
      {nothing ? (
        <Empty
          sentence="Check a batch, or inflate with a station: what came out is kept here by itself."
          action={<Button title="Go to the shelf" look="primary" onPress={() => router.navigate('/shelf')} />}
        />
      ) : (
        <View className={wide ? 'flex-row items-start gap-5' : 'gap-3'}>
          <View className={wide ? 'flex-1 gap-3' : 'gap-3'}>
            <Sizes log={log} known={known} />
            <TakenCard taken={taken} />
            {wide ? <LearnedCard {...{ models, book, taken }} /> : null}
          </View>
          <View className={wide ? 'flex-1 gap-3' : 'gap-3'}>
            <StoodCard {...{ built, repairs, events, pieces, models }} />
            <LossesCard {...{ models, book }} causes={log.causes} />
            <HoldsCard models={models} />
            {wide ? null : <LearnedCard {...{ models, book, taken }} />}
          </View>
        </View>
      )}
    </Page>
  );
}

/** Balloons that were checked, each with its newest sizes. */
function Sizes({ log, known }: { log: Log; known: ReadonlyMap<string, ModelRecord> }) {
  const rows = log.checked.flatMap((id) => {
    const model = known.get(id);
    return model ? [{ model, view: log.sizesOf(id) }] : [];
  });
  if (rows.length === 0) return null;
  return (
    <View className="gap-2">
      <Words look="heading" level={2}>
        Sizes over time
      </Words>
      {rows.map(({ model, view }) => (
        <RowLink
          key={model.id}
          href={`/logbook/${model.id}`}
          title={balloonName(model)}
          note={
            view.sized.length === 0
              ? 'Answers at holes alone: what share was off'
              : `${sizedText(view.sized)}, ${steadyWord(view)}`
          }
        >
          {view.sized.length === 0 ? null : <SizesStrip view={view} />}
        </RowLink>
      ))}
    </View>
  );
}
