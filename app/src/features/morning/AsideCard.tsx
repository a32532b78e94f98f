import { useState } from 'react';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { write } from '@/data/outbox';
import { startOfHold } from '@/parts/startOfHold';
import { KeepWidth } from '@/parts/check/KeepWidth';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { balloonName } from '@/views/modelView';
import type { MadeBatch } from '@/views/setAside';
import { batchMark } from '@/wording/batchMark';

/** One of a batch is measured at its knot and set aside. */
export function AsideCard({ made, wraps }: { made: readonly MadeBatch[]; wraps: 1 | 2 }) {
  const { text } = useLengths();
  const [open, setOpen] = useState<string | null>(null);
  return (
    <Card title="Set one aside">
      <View role="list" className="gap-2">
        {made.map((batch) => (
          <View key={batch.id} role="listitem" className="gap-2">
            <View className="flex-row items-center gap-3">
              <View className="flex-1">
                <Words look="strong">{`Batch ${batchMark(batch.place)}: ${balloonName(batch.model)}`}</Words>
                <Words look="quiet">{`filled to ${text(batch.fillMm)}`}</Words>
              </View>
              {open === batch.id ? null : (
                <Button title={`Measure one of ${batchMark(batch.place)}`} onPress={() => setOpen(batch.id)} />
              )}
            </View>
            {open === batch.id ? <Measure {...{ batch, wraps }} onKept={() => setOpen(null)} /> : null}
          </View>
        ))}
      </View>
    </Card>
  );
}

function Measure({ batch: { model, fillMm }, wraps, onKept }: { batch: MadeBatch; wraps: 1 | 2; onKept: () => void }) {
  return (
    <KeepWidth
      label="Width at the knot"
      fromMm={fillMm}
      least={0.5 * fillMm}
      most={1.3 * fillMm}
      title="Set it aside"
      onKeep={(widthMm) => {
        write(...startOfHold({ modelId: model.id, wraps, stuffed: model.outerId !== null }, widthMm));
        onKept();
      }}
    />
  );
}
