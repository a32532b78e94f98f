import type { ClosedDesign } from '@leggero/contract';
import { View } from 'react-native';

import { BalloonPick } from '@/parts/BalloonPick';
import { Card } from '@/ui/Card';
import { SwitchRow } from '@/ui/SwitchRow';
import { Words } from '@/ui/Words';
import { handleProblemText } from '@/wording/linking';

import { MmField } from '@/parts/piece/Fields';
import type { PieceBasis } from '@/parts/piece/useBasis';
import type { ClosedView } from '@/parts/piece/viewClosed';

interface HandleCardProps {
  handle: ClosedDesign['handle'];
  made: ClosedView['handle'];
  basis: PieceBasis;
  onChange: (handle: ClosedDesign['handle']) => void;
}

const GREEN = '#5f8f3e';
const RISE_MM = 280;

/** A basket's handle: one modelling balloon from point to point, and where to twist it. */
export function HandleCard({ handle, made, basis, onChange }: HandleCardProps) {
  const { longs, lengths } = basis;
  const first = longs[0];
  const part = first
    ? { modelId: first.id, colourHex: first.colourHex, finish: first.finish }
    : { modelId: null, colourHex: GREEN, finish: 'matte' as const };
  return (
    <Card title="Handle">
      <View className="gap-3">
        <SwitchRow
          label="With a handle"
          value={handle !== null}
          onChange={(on) => onChange(on ? { riseMm: RISE_MM, part } : null)}
        />
        {handle ? (
          <>
            <MmField
              label="Above the opening"
              value={handle.riseMm}
              basis={basis}
              error={made && !made.ok ? handleProblemText(made.problem, lengths.text) : undefined}
              onChange={(riseMm) => onChange({ ...handle, riseMm })}
            />
            <BalloonPick
              label="Modelling balloon"
              none="A 260"
              models={longs}
              value={longs.find(({ id }) => id === handle.part.modelId)}
              onChange={(id) => {
                const model = longs.find((each) => each.id === id);
                onChange({
                  ...handle,
                  part: model
                    ? { modelId: id, colourHex: model.colourHex, finish: model.finish }
                    : { ...handle.part, modelId: null },
                });
              }}
            />
            {made?.ok ? (
              <Words look="quiet">
                {`Fill ${lengths.text(made.value.bodyMm)}, leave ${lengths.text(made.value.tailMm)} of tail; the ` +
                  `arch itself is ${lengths.text(made.value.archMm)}. Twist ` +
                  `${lengths.text(made.value.twistsAtMm[0])} and ${lengths.text(made.value.twistsAtMm[1])} from ` +
                  'the knot.'}
              </Words>
            ) : null}
          </>
        ) : null}
      </View>
    </Card>
  );
}
