import type { PiecePart } from '@leggero/contract';
import { MM_PER_INCH } from '@leggero/core';
import { mostInSpray } from '@leggero/core/building';
import { View } from 'react-native';

import { CountField, LongPick, MmField, PartPick } from '@/parts/piece/Fields';
import { longOf } from '@/parts/piece/material';
import type { KeptTopper } from '@/parts/piece/toppers';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { Labelled } from '@/ui/Field';
import { Segmented } from '@/ui/Segmented';

interface TopperFieldsProps {
  topper: KeptTopper;
  /** How a new one looks until its balloon is chosen. */
  loose: PiecePart;
  basis: PieceBasis;
  error: string | undefined;
  onChange: (topper: KeptTopper) => void;
}

const TOPPERS = [
  { value: 'none', title: 'None' },
  { value: 'balloon', title: 'Balloon' },
  { value: 'figure', title: 'Figure' },
  { value: 'spray', title: 'Spray' },
] as const;

/** On an 11 in column a topper of 30 in does not look lost (common practice). */
const TOPPER_MM = 30 * MM_PER_INCH;

function topperOf(kind: (typeof TOPPERS)[number]['value'], part: PiecePart, { knowledge }: PieceBasis): KeptTopper {
  const loose = { ...part, modelId: null };
  switch (kind) {
    case 'none':
      return null;
    case 'balloon':
      return { kind, part: { ...loose, widthMm: TOPPER_MM } };
    case 'figure':
      return { kind, heightMm: TOPPER_MM };
    case 'spray':
      return { kind, part: loose, count: mostInSpray(longOf(undefined), knowledge.trade), heightMm: TOPPER_MM };
  }
}

/** How many of a modelling balloon twist together at their middles. */
const mostOf = ({ modelId }: PiecePart, { longs, knowledge }: PieceBasis) =>
  mostInSpray(longOf(longs.find(({ id }) => id === modelId)), knowledge.trade);

/** What stands on top of a piece: nothing, a balloon, a figure, or a spray of modelling balloons. */
export function TopperFields({ topper, loose, basis, error, onChange }: TopperFieldsProps) {
  return (
    <>
      <Labelled label="On top">
        <Segmented
          label="On top"
          options={TOPPERS}
          value={topper?.kind ?? 'none'}
          onChange={(kind) => onChange(topperOf(kind, loose, basis))}
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
      {topper?.kind === 'spray' ? (
        <View className="gap-3">
          <LongPick
            label="Modelling balloons"
            part={topper.part}
            basis={basis}
            onChange={(part) => {
              onChange({ ...topper, part, count: mostOf(part, basis) });
            }}
          />
          <View className="flex-row flex-wrap gap-3">
            <CountField
              label="How many"
              of="modelling balloons"
              value={topper.count}
              most={mostOf(topper.part, basis)}
              onChange={(count) => onChange({ ...topper, count })}
            />
            <MmField
              label="Height of the spray"
              value={topper.heightMm}
              basis={basis}
              error={error}
              onChange={(mm) => onChange({ ...topper, heightMm: mm })}
            />
          </View>
        </View>
      ) : null}
    </>
  );
}
