import { View } from 'react-native';

import { useModels } from '@/data/records';
import type { AskedWork } from '@/parts/piece/works';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { changeText, heldText } from '@/wording/swap';

import { BatchDots } from './BatchDots';
import { changesOf, type SizeChange } from './changes';
import { lookIn } from '@/parts/look';

interface SwapPreviewProps {
  title: string;
  before: AskedWork | null;
  after: AskedWork | null;
  basis: PieceBasis;
}

/** What a swap changes in one piece: balloons, targets, doses, and what to mind. */
export function SwapPreview({ title, before, after, basis }: SwapPreviewProps) {
  const models = useModels().data ?? [];
  if (!after || !before)
    return (
      <Card title={title}>
        <Words look="error">With that balloon it cannot be worked out as it is drawn.</Words>
      </Card>
    );
  const changes = changesOf(before, after, basis);
  const nameOf = (modelId: string | null) => (modelId ? lookIn(modelId, models).name : 'not chosen');
  return (
    <Card title={title}>
      <View role="list">
        {changes.map((change) => (
          <Change key={change.key} change={change} basis={basis} nameOf={nameOf} />
        ))}
        {changes.length === 0 ? <Words look="quiet">Only what it is drawn in changes.</Words> : null}
      </View>
    </Card>
  );
}

function Change({
  change,
  basis,
  nameOf,
}: {
  change: SizeChange;
  basis: PieceBasis;
  nameOf: (modelId: string | null) => string;
}) {
  const { key, count, before, after } = change;
  const dots = [...(before ? [{ key: 'before', made: before }] : []), { key: 'after', made: after }];
  const { text } = basis.lengths;
  const held = after.target && heldText(after.target, text);
  return (
    <View role="listitem" className="flex-row items-center gap-3 border-t border-line py-2">
      <View className="w-20 items-center">
        <BatchDots
          dots={dots.map(({ key: which, made }) => ({
            ...{ key: `${key} ${which}`, hex: made.colourHex },
            widthMm: Math.min(MOST_DRAWN_MM, made.widthMm),
          }))}
        />
      </View>
      <View className="flex-1">
        <Words look="strong">{nameOf(after.modelId)}</Words>
        <Words look="quiet">{changeText(change, text)}</Words>
        {held ? <Words look="error">{held}</Words> : null}
      </View>
      <Words look="quiet">{`${count} ×`}</Words>
    </View>
  );
}

const MOST_DRAWN_MM = 280;
