import { BOW_OPEN, COLUMN_OPEN, MOST_LAYERS } from '@leggero/core';
import { View } from 'react-native';

import { MmField } from '@/parts/piece/Fields';
import type { PieceBasis } from '@/parts/piece/useBasis';
import type { BowDesign, RopeDesign } from '@/parts/piece/viewRope';
import { Labelled } from '@/ui/Field';
import { NumberField } from '@/ui/NumberField';
import { Segmented } from '@/ui/Segmented';
import { Words } from '@/ui/Words';
import { BOW_OPEN_WORDS, ROPE_OPEN_WORDS } from '@/wording/rope';

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
      <Labelled label="Work out">
        <Segmented
          label="Work out"
          options={COLUMN_OPEN.map((value) => ({ value, title: ROPE_OPEN_WORDS[value] }))}
          value={open}
          onChange={(value) => change({ open: value })}
        />
      </Labelled>
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
          <Duplets
            label="Duplets"
            value={layers}
            error={wrong('layers')}
            least={1}
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
      <Labelled label="Work out">
        <Segmented
          label="Work out"
          options={BOW_OPEN.map((value) => ({ value, title: BOW_OPEN_WORDS[value] }))}
          value={open}
          onChange={(value) => change({ open: value })}
        />
      </Labelled>
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
          <Duplets label="Duplets in a loop" value={loop} least={1} onChange={(to) => change({ loop: to })} />
        )}
        {open === 'size' ? null : <WidthField {...{ widthMm, basis, wrong, change }} />}
        <Duplets
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

function WidthField({
  widthMm,
  basis,
  wrong,
  change,
}: Pick<FieldsProps<RopeDesign>, 'basis' | 'wrong'> & {
  widthMm: number;
  change: (by: { widthMm: number }) => void;
}) {
  return (
    <MmField
      label="Width of its balloons"
      value={widthMm}
      width
      basis={basis}
      error={wrong('widthMm')}
      onChange={(mm) => change({ widthMm: mm })}
    />
  );
}

interface DupletsProps {
  label: string;
  value: number;
  error?: string | undefined;
  least: number;
  onChange: (count: number) => void;
}

function Duplets({ label, value, error, least, onChange }: DupletsProps) {
  return (
    <View className="min-w-[130px] flex-1">
      <NumberField
        label={label}
        value={value}
        range={{ least, most: MOST_LAYERS, error: error ?? `${least} to ${MOST_LAYERS} duplets.` }}
        onChange={(next) => onChange(Math.round(next))}
      />
    </View>
  );
}

/** What is wrong with what is worked out, where no field of it is. */
function Unfitting({ error }: { error: string | undefined }) {
  return error === undefined ? null : (
    <Words look="error" role="alert">
      {error}
    </Words>
  );
}
