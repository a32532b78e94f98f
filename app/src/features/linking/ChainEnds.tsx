import { MM_PER } from '@leggero/core';
import type { DesignOf, SizedPart } from '@leggero/contract';
import { View } from 'react-native';

import { Card } from '@/ui/Card';
import { SwitchRow } from '@/ui/SwitchRow';

import { MmField, PartPick } from '@/parts/piece/Fields';
import type { PieceBasis } from '@/parts/piece/useBasis';

interface FinisherProps {
  finisher: SizedPart | null;
  fallback: SizedPart;
  basis: PieceBasis;
  onChange: (finisher: SizedPart | null) => void;
}

/** A small plain balloon is 4 in where it ends a chain. */
const FINISHER_MM = 4 * MM_PER.in;

/** The plain balloon that ends a hanging chain, so that no tail shows. */
function Finisher({ finisher, fallback, basis, onChange }: FinisherProps) {
  return (
    <Card title="At its end">
      <View className="gap-3">
        <SwitchRow
          label="A plain balloon, so that no tail shows"
          value={finisher !== null}
          onChange={(on) => onChange(on ? { ...fallback, modelId: null, widthMm: FINISHER_MM } : null)}
        />
        {finisher ? (
          <>
            <PartPick label="Finishing balloon" part={finisher} basis={basis} onChange={onChange} />
            <MmField
              label="Finishing width"
              width
              value={finisher.widthMm}
              basis={basis}
              onChange={(widthMm) => onChange({ ...finisher, widthMm })}
            />
          </>
        ) : null}
      </View>
    </Card>
  );
}

/** Necks are trimmed, tails stay: without a tail there is nothing to tie to. */
export function NeckNote({ trimmed, onChange }: { trimmed: boolean; onChange: (trimmed: boolean) => void }) {
  return (
    <SwitchRow
      label="Trim the necks"
      hint={
        trimmed
          ? 'Cut above the knot once it is tied; leave the tails to tie to.'
          : 'Necks stay on and show between the bodies.'
      }
      value={trimmed}
      onChange={onChange}
    />
  );
}

interface ChainEndsProps {
  design: Pick<DesignOf<'chain'>, 'repeat' | 'finisher' | 'trimmed'>;
  basis: PieceBasis;
  change: (to: Partial<Pick<DesignOf<'chain'>, 'finisher' | 'trimmed'>>) => void;
}

/** How each chain of a piece ends, and whether its necks stay on. */
export function ChainEnds({ design: { repeat, finisher, trimmed }, basis, change }: ChainEndsProps) {
  return (
    <>
      <Finisher finisher={finisher} fallback={repeat[0]!} basis={basis} onChange={(to) => change({ finisher: to })} />
      <NeckNote trimmed={trimmed} onChange={(to) => change({ trimmed: to })} />
    </>
  );
}
