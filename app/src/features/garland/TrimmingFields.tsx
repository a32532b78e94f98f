import { MOST_DECORATORS, TRIMMINGS, type TrimmingKind } from '@leggero/contract';
import { MM_PER_INCH } from '@leggero/core';
import { View } from 'react-native';

import type { Trimming } from '@/parts/piece/decorators';
import { CountField, MmField } from '@/parts/piece/Fields';
import type { GarlandDesign } from '@/parts/piece/garlandPlan';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { Words } from '@/ui/Words';
import { TRIMMING_WORDS, trimmingsText } from '@/wording/decorators';

interface TrimmingFieldsProps {
  trimmings: GarlandDesign['trimmings'];
  /** Those that a hollow was found for; null before it was packed. */
  put: readonly Trimming[] | null;
  basis: PieceBasis;
  change: (by: Partial<GarlandDesign>) => void;
}

/** How wide each is as a rule, mm (from memory). */
const FIRST_MM: Record<TrimmingKind, number> = {
  flower: 4 * MM_PER_INCH,
  leaf: 8 * MM_PER_INCH,
  sign: 12 * MM_PER_INCH,
};

/** Flowers, leaves and signs in a garland: how many of each, and how wide. */
export function TrimmingFields({ trimmings, put, basis, change }: TrimmingFieldsProps) {
  const of = (kind: TrimmingKind) => trimmings.find((each) => each.kind === kind);
  const ofKind = (kind: TrimmingKind, by: Partial<GarlandDesign['trimmings'][number]>) => {
    const next = { kind, count: 0, wideMm: FIRST_MM[kind], ...of(kind), ...by };
    const others = trimmings.filter((each) => each.kind !== kind);
    change({ trimmings: next.count > 0 ? [...others, next] : others });
  };
  return (
    <View className="gap-3">
      {TRIMMINGS.map((kind) => {
        const own = of(kind);
        return (
          <View key={kind} className="flex-row items-end gap-3">
            <CountField
              label={TRIMMING_WORDS[kind].many}
              of={TRIMMING_WORDS[kind].many.toLowerCase()}
              least={0}
              most={MOST_DECORATORS}
              value={own?.count ?? 0}
              onChange={(count) => ofKind(kind, { count })}
            />
            {own ? (
              <MmField
                label={`Width of ${TRIMMING_WORDS[kind].many.toLowerCase()}`}
                value={own.wideMm}
                width
                basis={basis}
                onChange={(wideMm) => ofKind(kind, { wideMm })}
              />
            ) : null}
          </View>
        );
      })}
      {put && trimmings.length > 0 ? <Words role="status">{trimmingsText(trimmings, put)}</Words> : null}
    </View>
  );
}
