import { lossLaw, lossShareOf } from '@leggero/core/supply';
import { View } from 'react-native';

import { useModels, useStudio } from '@/data/records';
import { useStockBook } from '@/data/stock';
import { useTrade } from '@/data/trade';
import { Card } from '@/ui/Card';
import { Page } from '@/ui/Page';
import { Empty, Loading } from '@/ui/States';
import { useWide } from '@/ui/layout';
import { Words } from '@/ui/Words';
import { balloonName } from '@/views/modelView';
import { lossesByBatch } from '@/views/stock';
import { lawText, stockText } from '@/wording/stock';

import { BagForm } from './BagForm';
import { Happened } from './Happened';
import { Ledger } from './Ledger';
import { LostCard } from './LostCard';
import { Promises } from './Promises';

/** The stock of one balloon: what is there, bags, what was lost. */
export function StockPage({ modelId }: { modelId: string }) {
  const wide = useWide();
  const trade = useTrade();
  const models = useModels().data;
  const studio = useStudio().data;
  const book = useStockBook();
  const model = models?.find(({ id }) => id === modelId);
  if (!models || !studio || !book)
    return (
      <Page title=" " back={`/shelf/${modelId}`}>
        <Loading what="the stock" />
      </Page>
    );
  if (!model)
    return (
      <Page title="No such balloon" back="/shelf">
        <Empty sentence="No balloon is known at this address. It may have been deleted." />
      </Page>
    );
  const stock = book.of(modelId);
  const law = lossLaw({
    own: stock.lost,
    others: book.lostOfOthers(modelId),
    stuffed: model.outerId !== null,
    trade,
  });
  return (
    <Page title={`Stock: ${balloonName(model)}`} back={`/shelf/${modelId}`}>
      <View className={wide ? 'flex-row items-start gap-6' : 'gap-3'}>
        <View className={wide ? 'flex-1 gap-3' : 'gap-3'}>
          <Card>
            <View role="status" className="gap-1">
              <Words look="figure" className={`text-[56px] leading-[64px] ${stock.there < 0 ? 'text-out' : ''}`}>
                {stock.unknown ? '–' : String(stock.there)}
              </Words>
              <Words look={stock.there < 0 ? 'error' : 'quiet'}>{stockText(stock)}</Words>
            </View>
          </Card>
          <Promises modelId={modelId} />
          <Happened modelId={modelId} />
          <LostCard modelId={modelId} />
          <Words look="quiet">{lawText(lossShareOf(law), stock.lost)}</Words>
          {lossesByBatch(stock).map(({ batch, used, lost }) => (
            <Words key={batch} look="quiet">{`Batch ${batch}: ${lost} of ${used} lost.`}</Words>
          ))}
        </View>
        <View className={wide ? 'flex-1 gap-3' : 'gap-3'}>
          <BagForm model={model} last={stock.bags[0] ?? null} bags={stock.bags} currency={studio.currency} />
          <Ledger stock={stock} currency={studio.currency} />
        </View>
      </View>
    </Page>
  );
}
