import { MOST_IN_ROW, MOST_KINDS, MOST_SIZES } from '@leggero/contract';
import { MOST_IN_CLUSTER } from '@leggero/core';
import Plus from 'lucide-react-native/icons/plus';
import { View } from 'react-native';

import { CountField, MmField, PartPick, Removable } from '@/parts/piece/Fields';
import type { PieceBasis } from '@/parts/piece/useBasis';
import type { GarlandDesign } from '@/parts/piece/garlandPlan';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';

interface KindCardsProps {
  design: GarlandDesign;
  basis: PieceBasis;
  wrong: (field: string) => string | undefined;
  change: (by: Partial<GarlandDesign>) => void;
}

type Kind = GarlandDesign['kinds'][number];
type Balloon = Kind['balloons'][number];

/** The kinds of cluster along a garland: which balloons each has, and how many of it follow each other. */
export function KindCards({ design: { kinds }, basis, wrong, change }: KindCardsProps) {
  const put = (at: number, by: Partial<Kind>) =>
    change({ kinds: kinds.map((kind, i) => (i === at ? { ...kind, ...by } : kind)) });
  return (
    <>
      {kinds.map((kind, i) => (
        <KindCard
          key={i}
          title={`Cluster ${i + 1}`}
          kind={kind}
          basis={basis}
          wrong={(field) => wrong(`kinds.${i}${field}`)}
          onChange={(by) => put(i, by)}
          onRemove={kinds.length > 1 ? () => change({ kinds: kinds.filter((_, at) => at !== i) }) : null}
        />
      ))}
      {kinds.length < MOST_KINDS ? (
        <Button
          title="Another kind of cluster"
          icon={Plus}
          onPress={() => change({ kinds: [...kinds, kinds.at(-1)!] })}
        />
      ) : null}
    </>
  );
}

interface KindCardProps {
  title: string;
  kind: Kind;
  basis: PieceBasis;
  wrong: (field: string) => string | undefined;
  onChange: (by: Partial<Kind>) => void;
  onRemove: (() => void) | null;
}

function KindCard({ title, kind: { balloons, inRow }, basis, wrong, onChange, onRemove }: KindCardProps) {
  const put = (at: number, by: Partial<Balloon>) =>
    onChange({ balloons: balloons.map((balloon, i) => (i === at ? { ...balloon, ...by } : balloon)) });
  const named = (label: string, i: number) =>
    `${label}${balloons.length > 1 ? ` ${i + 1}` : ''} of ${title.toLowerCase()}`;
  return (
    <Card title={title}>
      <View className="gap-3">
        {balloons.map((balloon, i) => (
          <View key={i} className="gap-2">
            <Removable
              label={`Take ${named('balloon', i)} out`}
              onRemove={balloons.length > 1 ? () => onChange({ balloons: balloons.filter((_, at) => at !== i) }) : null}
            >
              <PartPick label={named('Balloon', i)} part={balloon} basis={basis} onChange={(part) => put(i, part)} />
            </Removable>
            <View className="flex-row items-end gap-3">
              <CountField
                label={named('Count', i)}
                of="balloons"
                least={0}
                most={MOST_IN_CLUSTER}
                value={balloon.count}
                error={wrong(`.${i}.count`)}
                onChange={(count) => put(i, { count })}
              />
              <MmField
                label={named('Width', i)}
                value={balloon.widthMm}
                width
                basis={basis}
                error={wrong(`.${i}.widthMm`)}
                onChange={(widthMm) => put(i, { widthMm })}
              />
            </View>
          </View>
        ))}
        {wrong('') ? (
          <Words look="error" role="alert">
            {wrong('')}
          </Words>
        ) : null}
        {balloons.length < MOST_SIZES ? (
          <Button
            title="Another size in it"
            icon={Plus}
            onPress={() => onChange({ balloons: [...balloons, balloons.at(-1)!] })}
          />
        ) : null}
        <CountField
          label={`In a row of ${title.toLowerCase()}`}
          of="clusters"
          most={MOST_IN_ROW}
          value={inRow}
          onChange={(many) => onChange({ inRow: many })}
        />
        {onRemove ? <Button title={`Take ${title.toLowerCase()} out`} onPress={onRemove} /> : null}
      </View>
    </Card>
  );
}
