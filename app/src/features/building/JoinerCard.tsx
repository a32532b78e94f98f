import type { PiecePart } from '@leggero/contract';
import type { RopeJoiner } from '@leggero/core/building';
import { View } from 'react-native';

import { LongPick } from '@/parts/piece/Fields';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { strungText } from '@/wording/rope';

interface JoinerCardProps {
  part: PiecePart;
  joiner: RopeJoiner;
  /** What is strung on it: the rope, each side. */
  each: string;
  basis: PieceBasis;
  change: (by: { joiner: PiecePart }) => void;
}

/** Which modelling balloon a rope is strung on, how many of it, and how far it is pulled. */
export function JoinerCard({ part, joiner, each, basis, change }: JoinerCardProps) {
  const { longs, lengths, knowledge } = basis;
  const model = longs.find(({ id }) => id === part.modelId);
  return (
    <Card title="Strung on">
      <View className="gap-3">
        <LongPick label="Modelling balloon" part={part} basis={basis} onChange={(joiner) => change({ joiner })} />
        <Words>
          {strungText(joiner, {
            ...{ name: model ? model.line : '260', text: lengths.text, each },
            mostPull: knowledge.trade.ropePull,
          })}
        </Words>
      </View>
    </Card>
  );
}
