import { COLUMN_OPEN, LAYER_COUNTS } from '@leggero/core';
import { View } from 'react-native';

import { MmField } from '@/parts/piece/Fields';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { Labelled } from '@/ui/Field';
import { NumberField } from '@/ui/NumberField';
import { Segmented } from '@/ui/Segmented';
import { Words } from '@/ui/Words';
import { OPEN_WORDS } from '@/wording/building';

import type { ColumnDesign } from './colouring';
import { CountChoice, RoomFields } from './LayerFields';
import { TopperFields } from './TopperFields';

interface ColumnFieldsProps {
  design: ColumnDesign;
  basis: PieceBasis;
  wrong: (field: string) => string | undefined;
  change: (by: Partial<ColumnDesign>) => void;
}

const MOST_LAYERS_SHOWN = 200;
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
      <Labelled label="Work out">
        <Segmented
          label="Work out"
          options={COLUMN_OPEN.map((value) => ({ value, title: OPEN_WORDS[value] }))}
          value={open}
          onChange={(value) => change({ open: value })}
        />
      </Labelled>
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
          <View className="min-w-[130px] flex-1">
            <NumberField
              label="Layers"
              value={layers}
              range={{
                least: 1,
                most: MOST_LAYERS_SHOWN,
                error: wrong('layers') ?? `1 to ${MOST_LAYERS_SHOWN} layers.`,
              }}
              onChange={(next) => change({ layers: Math.round(next) })}
            />
          </View>
        )}
        {open === 'size' ? null : (
          <MmField
            label="Width of its balloons"
            value={widthMm}
            width
            basis={basis}
            error={wrong('widthMm')}
            onChange={(mm) => change({ widthMm: mm })}
          />
        )}
      </View>
      {open === 'size' && wrong('widthMm') ? (
        <Words look="error" role="alert">
          {wrong('widthMm')}
        </Words>
      ) : null}
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
