import type { PieceForm } from '@leggero/contract';
import { View } from 'react-native';

import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { bundleWord, layerRuns, LAYER_WORDS, rolledWords, tiedText, turningText } from '@/wording/building';
import type { TyingPlan } from '@leggero/core/building';

import { Bundle } from './ColourMap';

interface TyingCardProps {
  tying: TyingPlan;
  count: number;
  form: PieceForm;
  hexOf: (colour: number) => string;
  nameOf: (colour: number) => string;
}

/** Which colours are tied together and how often, and what each layer is made of and how it is turned. */
export function TyingCard({ tying, count, form, hexOf, nameOf }: TyingCardProps) {
  const { tied, least } = tying;
  const runs = layerRuns(tying);
  return (
    <Card title="Tie">
      <View className="gap-1">
        {tied.map(({ colours, count: many }, i) => (
          <View key={i} className="min-h-[48px] flex-row items-center gap-3">
            <Bundle colours={colours} hexOf={hexOf} />
            <View className="flex-1">
              <Words look="strong">{tiedText(colours, nameOf)}</Words>
              <Words look="quiet">{bundleWord(colours.length)}</Words>
            </View>
            <Words look="figure" className="text-[22px] leading-7">{`${many} ×`}</Words>
          </View>
        ))}
        {least ? null : <Words look="quiet">So many colours: there may be a way with fewer kinds than these.</Words>}
      </View>
      <View className="mt-3 gap-3 border-t border-line pt-3">
        <Words look="heading">{`${LAYER_WORDS[count]!.many}, ${rolledWords(form).from}`}</Words>
        {runs.map(({ from, to, parts, turning }) => (
          <View key={from} className="flex-row items-center gap-3">
            <Words look="label" className="w-16 tabular-nums">
              {from === to ? `${from}` : `${from} to ${to}`}
            </Words>
            <View className="flex-row">
              {parts.map((part, i) => (
                <Bundle key={i} colours={tied[part]!.colours} hexOf={hexOf} />
              ))}
            </View>
            <Words look="quiet" className="flex-1">
              {turning === null ? 'the first' : `turned ${turningText(turning)}`}
            </Words>
          </View>
        ))}
      </View>
    </Card>
  );
}
