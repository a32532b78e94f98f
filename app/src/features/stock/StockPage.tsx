import { LOSS_WORKS, type LossWork } from '@leggero/core';
import { lossLaw, lossShareOf } from '@leggero/core/supply';
import { useState } from 'react';
import { View } from 'react-native';

import { useEvents, useModels, useStudio } from '@/data/records';
import { write } from '@/data/outbox';
import { useBatches } from '@/data/measured';
import { useStockBook } from '@/data/stock';
import { useTrade } from '@/data/trade';
import { newId, nowUtc } from '@/device/id';
import { useEventNeeds } from '@/parts/useEventNeeds';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Labelled } from '@/ui/Field';
import { Page } from '@/ui/Page';
import { PickChips } from '@/ui/PickChips';
import { Segmented } from '@/ui/Segmented';
import { Empty, Loading } from '@/ui/States';
import { useWide } from '@/ui/layout';
import { Words } from '@/ui/Words';
import { balloonName } from '@/views/modelView';
import { lossesByBatch } from '@/views/stock';
import { takenOf } from '@/views/supply';
import { CHANGE_WORDS, lawText, stockText } from '@/wording/stock';
import { promisesText } from '@/wording/supply';

import { BagForm } from './BagForm';
import { CountField } from './CountField';
import { Ledger } from './Ledger';

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
          <Lost modelId={modelId} />
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

/** Which events take it, with their spares. */
function Promises({ modelId }: { modelId: string }) {
  const trade = useTrade();
  const models = useModels().data;
  const book = useStockBook();
  const open = useEventNeeds(null);
  if (!open || open === 'failed' || !models || !book) return null;
  const promises = open.needs.flatMap(({ event, needs, sure }) => {
    const need = needs.find(({ balloon }) => balloon === modelId);
    const name = open.events.find(({ id }) => id === event)?.name;
    const out = book.of(modelId).outFor.get(event) ?? 0;
    const count = need ? takenOf(need, sure, { models, book, trade }).take - out : 0;
    return name && count > 0 ? [{ name, count }] : [];
  });
  return promises.length > 0 ? <Words>{promisesText(promises)}</Words> : null;
}

const CHANGES = ['counted', 'out', 'back', 'spoiled'] as const;

/** Balloons that were counted, went out, came back or were spoiled. */
function Happened({ modelId }: { modelId: string }) {
  const [change, setChange] = useState<(typeof CHANGES)[number]>('counted');
  const [count, setCount] = useState<number | null>(null);
  const [eventId, setEvent] = useState<string | null>(null);
  const events = useEvents().data ?? [];
  const moves = change === 'out' || change === 'back';
  const keep = () => {
    if (count === null) return;
    const row = { id: newId(), modelId, eventId: moves ? eventId : null, change, count, at: nowUtc() };
    write({ put: 'stockEntry', row });
    setCount(null);
  };
  return (
    <Card title="What happened">
      <View className="gap-3">
        <Segmented
          label="What happened"
          options={CHANGES.map((value) => ({ value, title: CHANGE_WORDS[value].short }))}
          value={change}
          onChange={setChange}
        />
        <CountField label={CHANGE_WORDS[change].asked} value={count} onChange={setCount} />
        {moves && events.length > 0 ? (
          <Labelled label="For which event">
            <PickChips
              label="For which event"
              options={[{ value: ANY, title: 'None' }, ...events.map(({ id, name }) => ({ value: id, title: name }))]}
              value={eventId ?? ANY}
              onChange={(id) => setEvent(id === ANY ? null : id)}
            />
          </Labelled>
        ) : null}
        <Button title="Write it down" look="primary" tall disabled={count === null} onPress={keep} />
      </View>
    </Card>
  );
}

const ANY = 'any';
const WORK_TITLES: Record<LossWork, string> = { inflate: 'In filling', build: 'In building' };

/** So many went through some work, and so many of them were lost. */
function Lost({ modelId }: { modelId: string }) {
  const batches = useBatches(modelId);
  const [bagId, setBag] = useState<string | null>(null);
  const [work, setWork] = useState<LossWork>('inflate');
  const [used, setUsed] = useState<number | null>(null);
  const [lost, setLost] = useState<number | null>(null);
  const tooMany = used !== null && lost !== null && lost > used;
  const ready = used !== null && used > 0 && lost !== null && !tooMany;
  const keep = () => {
    if (!ready) return;
    write({ put: 'loss', row: { id: newId(), modelId, bagId, work, used, lost, at: nowUtc() } });
    setUsed(null);
    setLost(null);
  };
  return (
    <Card title="Losses">
      <View className="gap-3">
        <Labelled label="Where">
          <Segmented
            label="Where"
            options={LOSS_WORKS.map((value) => ({ value, title: WORK_TITLES[value] }))}
            value={work}
            onChange={setWork}
          />
        </Labelled>
        {batches.length > 0 ? (
          <Labelled label="Of which batch">
            <PickChips
              label="Of which batch"
              options={[{ value: ANY, title: 'Any' }, ...batches.map(({ id, batch }) => ({ value: id, title: batch }))]}
              value={bagId ?? ANY}
              onChange={(id) => setBag(id === ANY ? null : id)}
            />
          </Labelled>
        ) : null}
        <View className="flex-row gap-3">
          <View className="flex-1">
            <CountField label="Used" value={used} onChange={setUsed} />
          </View>
          <View className="flex-1">
            <CountField
              label="Lost"
              value={lost}
              error={tooMany ? 'No more are lost than were used.' : undefined}
              onChange={setLost}
            />
          </View>
        </View>
        <Button title="Add losses" disabled={!ready} onPress={keep} />
      </View>
    </Card>
  );
}
