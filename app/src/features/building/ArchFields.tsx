import { ARCH_SHAPES, LAYER_COUNTS, MOST_LAYERS } from '@leggero/core';
import { View } from 'react-native';

import { CountField, MmField } from '@/parts/piece/Fields';
import type { PieceBasis } from '@/parts/piece/useBasis';
import type { ArchDesign } from '@/parts/piece/viewArch';
import { Labelled } from '@/ui/Field';
import { Segmented } from '@/ui/Segmented';
import { ARCH_OPEN_WORDS, ARCH_SHAPE_WORDS } from '@/wording/arch';

import { CountChoice, Unfitting, WidthField, WorkOut } from './LayerFields';

interface ArchFieldsProps {
  design: ArchDesign;
  basis: PieceBasis;
  wrong: (field: string) => string | undefined;
  change: (by: Partial<ArchDesign>) => void;
}

/** What an arch is asked for: its feet, and two of layers, height and size. */
export function ArchFields({ design, basis, wrong, change }: ArchFieldsProps) {
  const { shape, open, layers, widthMm, spanMm, highMm, standMm } = design;
  return (
    <View className="gap-4">
      <Labelled label="Stands">
        <Segmented
          label="Stands"
          options={ARCH_SHAPES.map((value) => ({ value, title: ARCH_SHAPE_WORDS[value] }))}
          value={shape}
          onChange={(value) => change({ shape: value })}
        />
      </Labelled>
      <CountChoice design={design} counts={LAYER_COUNTS} change={change} />
      <WorkOut words={ARCH_OPEN_WORDS} value={open} onChange={(value) => change({ open: value })} />
      <View className="flex-row flex-wrap gap-3">
        <MmField
          label="Feet apart"
          hint="From middle to middle."
          value={spanMm}
          basis={basis}
          error={wrong('spanMm')}
          onChange={(mm) => change({ spanMm: mm })}
        />
        {open === 'height' ? null : (
          <MmField
            label="Height"
            hint="To the middle at its top."
            value={highMm}
            basis={basis}
            error={wrong('highMm')}
            onChange={(mm) => change({ highMm: mm })}
          />
        )}
        {open === 'layers' ? null : (
          <CountField
            label="Layers"
            value={layers}
            most={MOST_LAYERS}
            of="layers"
            onChange={(many) => change({ layers: many })}
          />
        )}
        {open === 'size' ? null : <WidthField {...{ widthMm, basis, wrong, change }} />}
        <MmField
          label="Plates and bases"
          hint="Below its feet."
          value={standMm}
          basis={basis}
          onChange={(mm) => change({ standMm: mm })}
        />
      </View>
      <Unfitting error={wrong('layers')} />
    </View>
  );
}
