import type { ClosedDesign } from '@leggero/contract';
import { View } from 'react-native';

import { Card } from '@/ui/Card';

import { PartPick } from '@/parts/piece/Fields';
import type { PieceSize } from '@/parts/piece/sizes';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { partOf } from '@/parts/piece/viewClosed';

interface PartsCardProps {
  design: ClosedDesign;
  sizes: readonly PieceSize[];
  basis: PieceBasis;
  change: (by: Partial<ClosedDesign>) => void;
}

/** Which balloon each size is made of: one for all, or one of its own. */
export function PartsCard({ design, sizes, basis, change }: PartsCardProps) {
  return (
    <Card title="Made of">
      <View className="gap-3">
        <PartPick label="Usual balloon" part={design.usual} basis={basis} onChange={(usual) => change({ usual })} />
        {sizes.map(({ key, title }) => (
          <PartPick
            key={key}
            label={title}
            part={partOf(design, key)}
            basis={basis}
            onChange={(part) => change({ parts: { ...design.parts, [key]: part } })}
          />
        ))}
      </View>
    </Card>
  );
}
