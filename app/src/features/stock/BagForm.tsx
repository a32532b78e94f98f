import { MOST_BAGS, MOST_BATCH, MOST_COUNTED, MOST_SHOP, type BagRecord, type ModelRecord } from '@leggero/contract';
import { useState } from 'react';
import { View } from 'react-native';

import { write } from '@/data/outbox';
import { newId, nowUtc } from '@/device/id';
import { MoneyField } from '@/parts/MoneyField';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Field } from '@/ui/Field';
import { NumberField } from '@/ui/NumberField';
import { Words } from '@/ui/Words';
import { sameBagText } from '@/wording/stock';

interface BagFormProps {
  model: ModelRecord;
  /** The newest: the next is likely as it is. */
  last: BagRecord | null;
  bags: readonly BagRecord[];
  currency: string;
}

const COUNT = { least: 1, most: MOST_COUNTED, error: 'One balloon or more, please.' };
const BAGS = { least: 1, most: MOST_BAGS, error: 'From 1 to 1,000 bags.' };
const USUAL_COUNT = 50;
const DAY_MS = 86_400_000;

/** Bags that came in: how many of how many, from where, at which price. */
export function BagForm({ model, last, bags, currency }: BagFormProps) {
  const [count, setCount] = useState(last?.count ?? USUAL_COUNT);
  const [many, setMany] = useState(1);
  const [priceMinor, setPrice] = useState(last?.currency === currency ? last.priceMinor : null);
  const [batch, setBatch] = useState('');
  const [shop, setShop] = useState(last?.shop ?? '');
  const [now] = useState(Date.now);
  const twice = bags.find(
    (bag) => bag.batch === batch.trim() && bag.count === count && now - Date.parse(bag.boughtAt) < DAY_MS,
  );
  const long = (text: string, most: number) => (text.trim().length > most ? `At most ${most} characters.` : undefined);
  const wrong = long(batch, MOST_BATCH) ?? long(shop, MOST_SHOP);
  const keep = () => {
    if (wrong) return;
    write({
      put: 'bag',
      row: {
        ...{ id: newId(), modelId: model.id, count: Math.round(count), bags: Math.round(many) },
        ...{ batch: batch.trim(), shop: shop.trim(), priceMinor, currency, boughtAt: nowUtc() },
      },
    });
    setMany(1);
    setBatch('');
  };
  return (
    <Card title="Bags that came in">
      <View className="gap-3">
        <View className="flex-row gap-3">
          <View className="flex-1">
            <NumberField label="Bags" value={many} range={BAGS} onChange={setMany} />
          </View>
          <View className="flex-1">
            <NumberField label="Balloons in each" value={count} range={COUNT} onChange={setCount} />
          </View>
        </View>
        <MoneyField label="Price of a bag" value={priceMinor} currency={currency} onChange={setPrice} />
        <Field
          label="Batch"
          hint="As it is printed on the bag: batches differ in shade and stretch."
          value={batch}
          error={long(batch, MOST_BATCH)}
          onChangeText={setBatch}
        />
        <Field label="From which shop" value={shop} error={long(shop, MOST_SHOP)} onChangeText={setShop} />
        {twice ? (
          <Words look="label" className="text-edge">
            {sameBagText(twice)}
          </Words>
        ) : null}
        <Button title="Put them on the shelf" look="primary" tall onPress={keep} />
      </View>
    </Card>
  );
}
