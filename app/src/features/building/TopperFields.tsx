import type { PiecePart } from '@leggero/contract';
import { MM_PER_INCH } from '@leggero/core';
import { View } from 'react-native';

import { MmField, PartPick } from '@/parts/piece/Fields';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { Labelled } from '@/ui/Field';
import { Segmented } from '@/ui/Segmented';

import type { ColumnDesign } from './colouring';

type Topper = ColumnDesign['topper'];

interface TopperFieldsProps {
  topper: Topper;
  /** How a new one looks until its balloon is chosen. */
  loose: PiecePart;
  basis: PieceBasis;
  error: string | undefined;
  onChange: (topper: Topper) => void;
}

const TOPPERS = [
  { value: 'none', title: 'None' },
  { value: 'balloon', title: 'Balloon' },
  { value: 'figure', title: 'Figure' },
] as const;

/** On an 11 in column a topper of 30 in does not look lost (common practice). */
const TOPPER_MM = 30 * MM_PER_INCH;

function topperOf(kind: (typeof TOPPERS)[number]['value'], part: PiecePart): Topper {
  if (kind === 'none') return null;
  return kind === 'figure'
    ? { kind, heightMm: TOPPER_MM }
    : { kind, part: { ...part, modelId: null, widthMm: TOPPER_MM } };
}

/** What stands on top of a piece: nothing, a balloon, or a figure. */
export function TopperFields({ topper, loose, basis, error, onChange }: TopperFieldsProps) {
  return (
    <>
      <Labelled label="On top">
        <Segmented
          label="On top"
          options={TOPPERS}
          value={topper?.kind ?? 'none'}
          onChange={(kind) => onChange(topperOf(kind, loose))}
        />
      </Labelled>
      {topper?.kind === 'balloon' ? (
        <View className="flex-row flex-wrap items-end gap-3">
          <View className="min-w-[200px] flex-[2]">
            <PartPick
              label="Topper"
              part={topper.part}
              basis={basis}
              onChange={(part) => onChange({ ...topper, part })}
            />
          </View>
          <MmField
            label="Width of the topper"
            value={topper.part.widthMm}
            width
            basis={basis}
            error={error}
            onChange={(mm) => onChange({ ...topper, part: { ...topper.part, widthMm: mm } })}
          />
        </View>
      ) : null}
      {topper?.kind === 'figure' ? (
        <MmField
          label="Height of the figure"
          value={topper.heightMm}
          basis={basis}
          error={error}
          onChange={(mm) => onChange({ kind: 'figure', heightMm: mm })}
        />
      ) : null}
    </>
  );
}
