import type { ShelfModel } from '@leggero/contract';
import { hexOf, linearOf, linearOfOklab, oklabOf } from '@leggero/core';
import { useState } from 'react';
import { View } from 'react-native';

import { write } from '@/data/outbox';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';

import { PairPicture } from './PairPicture';
import type { PairView } from './viewPair';

/** One nudge, in Oklab: a little more than the eye just sees. */
const NUDGE = 0.025;
const NUDGES = [
  { title: 'Lighter', by: { l: NUDGE, a: 0, b: 0, strength: 1 } },
  { title: 'Darker', by: { l: -NUDGE, a: 0, b: 0, strength: 1 } },
  { title: 'Warmer', by: { l: 0, a: NUDGE / 2, b: NUDGE, strength: 1 } },
  { title: 'Cooler', by: { l: 0, a: -NUDGE / 2, b: -NUDGE, strength: 1 } },
  { title: 'Stronger', by: { l: 0, a: 0, b: 0, strength: 1.15 } },
  { title: 'Paler', by: { l: 0, a: 0, b: 0, strength: 1 / 1.15 } },
] as const;

function nudged(hex: string, { l, a, b, strength }: (typeof NUDGES)[number]['by']): string {
  const colour = oklabOf(linearOf(hex));
  return hexOf(linearOfOklab({ l: colour.l + l, a: strength * colour.a + a, b: strength * colour.b + b }));
}

interface SeenColourProps {
  pair: ShelfModel;
  view: PairView;
}

/** What the pair really looks like: the estimate, nudged until it matches the balloon in hand, and saved. */
export function SeenColour({ pair, view }: SeenColourProps) {
  const estimate = view.colour.colourHex;
  const kept = pair.seenHex ?? estimate;
  const [hex, setHex] = useState(kept);
  const save = (seenHex: string | null) => write({ change: 'model', id: pair.id, by: { seenHex } });
  const widthMm = view.stuffing?.target.widthMm ?? pair.nominalMm * 0.8;
  return (
    <Card title="What it really looks like">
      <Words look="quiet" className="mb-2">
        {pair.seenHex === null
          ? 'The estimate is shown. Hold a stuffed one beside the ' +
            'screen, nudge the colour until it matches, and save it.'
          : 'This is the colour you saved. It teaches the other estimates.'}
      </Words>
      <PairPicture
        parts={view.parts}
        colourHex={hex}
        widthMm={widthMm}
        label="The pair in the colour that is being matched"
      />
      <View className="mt-3 flex-row flex-wrap gap-2">
        {NUDGES.map(({ title, by }) => (
          <Button key={title} title={title} onPress={() => setHex(nudged(hex, by))} className="w-[48%]" />
        ))}
      </View>
      <View className="mt-3 flex-row gap-2">
        <Button
          title="Use the estimate"
          className="flex-1"
          onPress={() => {
            setHex(estimate);
            if (pair.seenHex !== null) save(null);
          }}
        />
        <Button
          title="Save this colour"
          look="primary"
          className="flex-1"
          disabled={hex === pair.seenHex}
          onPress={() => save(hex)}
        />
      </View>
    </Card>
  );
}
