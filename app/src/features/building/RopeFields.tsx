import { MOST_LAYERS } from '@leggero/core';
import { View } from 'react-native';

import { CountField, MmField } from '@/parts/piece/Fields';
import type { PieceBasis } from '@/parts/piece/useBasis';
import type { BowDesign, RopeDesign } from '@/parts/piece/viewRope';
import { BOW_OPEN_WORDS, ROPE_OPEN_WORDS } from '@/wording/rope';

import { Unfitting, WidthField, WorkOut } from './LayerFields';

interface FieldsProps<Design> {
  design: Design;
  basis: PieceBasis;
  wrong: (field: string) => string | undefined;
  change: (by: Partial<Design>) => void;
}

/** What a rope is asked for: two of length, duplets and size. */
export function RopeFields({ design, basis, wrong, change }: FieldsProps<RopeDesign>) {
  const { open, layers, widthMm, heightMm } = design;
  return (
    <View className="gap-4">
      <WorkOut words={ROPE_OPEN_WORDS} value={open} onChange={(value) => change({ open: value })} />
      <View className="flex-row flex-wrap gap-3">
        {open === 'height' ? null : (
          <MmField
            label="Length"
            value={heightMm}
            basis={basis}
            error={wrong('heightMm')}
            onChange={(mm) => change({ heightMm: mm })}
          />
        )}
        {open === 'layers' ? null : (
          <CountField
            most={MOST_LAYERS}
            of="duplets"
            label="Duplets"
            value={layers}
            error={wrong('layers')}
            onChange={(to) => change({ layers: to })}
          />
        )}
        {open === 'size' ? null : <WidthField {...{ widthMm, basis, wrong, change }} />}
      </View>
      {open === 'size' ? <Unfitting error={wrong('widthMm')} /> : null}
    </View>
  );
}

/** What a bow is asked for: two of width, duplets of a loop and size; its tails, and where it hangs. */
export function BowFields({ design, basis, wrong, change }: FieldsProps<BowDesign>) {
  const { open, loop, tail, widthMm, acrossMm, knotMm } = design;
  return (
    <View className="gap-4">
      <WorkOut words={BOW_OPEN_WORDS} value={open} onChange={(value) => change({ open: value })} />
      <View className="flex-row flex-wrap gap-3">
        {open === 'across' ? null : (
          <MmField
            label="Over both loops"
            value={acrossMm}
            basis={basis}
            error={wrong('acrossMm')}
            onChange={(mm) => change({ acrossMm: mm })}
          />
        )}
        {open === 'loop' ? null : (
          <CountField
            most={MOST_LAYERS}
            of="duplets"
            label="Duplets in a loop"
            value={loop}
            onChange={(to) => change({ loop: to })}
          />
        )}
        {open === 'size' ? null : <WidthField {...{ widthMm, basis, wrong, change }} />}
        <CountField
          most={MOST_LAYERS}
          of="duplets"
          label="Duplets in a tail"
          value={tail}
          error={wrong('tail')}
          least={0}
          onChange={(to) => change({ tail: to })}
        />
        <MmField label="Knot above the floor" value={knotMm} basis={basis} onChange={(mm) => change({ knotMm: mm })} />
      </View>
      {open === 'loop' ? null : <Unfitting error={wrong('loop')} />}
      {open === 'size' ? <Unfitting error={wrong('widthMm')} /> : null}
    </View>
  );
}
