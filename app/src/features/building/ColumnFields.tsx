import { LAYER_COUNTS, MOST_LAYERS } from '@leggero/core';
import { View } from 'react-native';

import { CountField, MmField } from '@/parts/piece/Fields';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { Labelled } from '@/ui/Field';
import { Segmented } from '@/ui/Segmented';
import { OPEN_WORDS } from '@/wording/building';

import type { ColumnDesign } from './colouring';
import { CountChoice, RoomFields, Unfitting, WidthField, WorkOut } from './LayerFields';
import { TopperFields } from './TopperFields';

interface ColumnFieldsProps {
  design: ColumnDesign;
  basis: PieceBasis;
  wrong: (field: string) => string | undefined;
  change: (by: Partial<ColumnDesign>) => void;
}

const HELD = [
  { value: 'pole', title: 'On a pole' },
  { value: 'line', title: 'On line' },
] as const;

/** What a column is asked for: two of height, layers and size; what stands below and above. */
export function ColumnFields({ design, basis, wrong, change }: ColumnFieldsProps) {
  const { open, layers, widthMm, heightMm, topper, heldBy, colours } = design;
  return (
    <View className="gap-4">
      <CountChoice design={design} counts={LAYER_COUNTS} change={change} />
      <WorkOut words={OPEN_WORDS} value={open} onChange={(value) => change({ open: value })} />
      <View className="flex-row flex-wrap gap-3">
        {open === 'height' ? null : (
          <MmField
            label="Height over all"
            value={heightMm}
            basis={basis}
            error={wrong('heightMm')}
            onChange={(mm) => change({ heightMm: mm })}
          />
        )}
        {open === 'layers' ? null : (
          <CountField
            label="Layers"
            value={layers}
            most={MOST_LAYERS}
            of="layers"
            error={wrong('layers')}
            onChange={(many) => change({ layers: many })}
          />
        )}
        {open === 'size' ? null : <WidthField {...{ widthMm, basis, wrong, change }} />}
      </View>
      {open === 'size' ? <Unfitting error={wrong('widthMm')} /> : null}
      <RoomFields room={design} basis={basis} error={wrong('standMm')} change={change} />
      <Labelled label="Held">
        <Segmented label="Held" options={HELD} value={heldBy} onChange={(value) => change({ heldBy: value })} />
      </Labelled>
      <TopperFields
        topper={topper}
        loose={colours[0]!}
        basis={basis}
        error={wrong('topper')}
        onChange={(to) => change({ topper: to })}
      />
    </View>
  );
}
