import type { ShelfModel } from '@leggero/contract';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { Aperture } from '@/parts/Aperture';
import { Card } from '@/ui/Card';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { figureOf, modelName } from '@/views/modelView';

import { effectLines } from './effectText';
import type { Effect } from './trial';
import type { Trials } from './useTrial';

interface EffectCardProps {
  title: string;
  /** Of one trial; null until it is known. */
  found: Trials;
  models: readonly ShelfModel[];
  /** Where it acts when it moves neither a target nor a piece. */
  otherwise: string;
}

/** What some numbers move: in words, and the targets that move furthest. */
export function EffectCard({ title, found, models, otherwise }: EffectCardProps) {
  const lengths = useLengths();
  const effect = Array.isArray(found) ? found[0] : undefined;
  return (
    <Card title={title}>
      <View role="status" className="gap-1">
        {found === 'failed' ? (
          <Words>What they move could not be worked out.</Words>
        ) : effect ? (
          <Moves effect={effect} otherwise={otherwise} />
        ) : (
          <Words look="quiet">Trying it on your shelf …</Words>
        )}
      </View>
      {effect && effect.furthest.length > 0 ? (
        <View className="mt-3 gap-2">
          {effect.furthest.map(({ modelId, tierName, fromMm, toMm }) => {
            const model = models.find(({ id }) => id === modelId);
            return model ? (
              <RowLink
                key={modelId}
                href={`/shelf/${modelId}`}
                title={`${modelName(model)}, ${model.colourName}`}
                note={`${tierName}: ${lengths.text(fromMm)} → ${lengths.text(toMm)}`}
              >
                <Aperture {...figureOf(model, null, toMm)} size={44} label={model.colourName} />
              </RowLink>
            ) : null;
          })}
        </View>
      ) : null}
    </Card>
  );
}

function Moves({ effect, otherwise }: { effect: Effect; otherwise: string }) {
  const lines = effectLines(effect, useLengths());
  if (lines.length === 0) return <Words>{`No target and no piece of yours. ${otherwise}`}</Words>;
  return (
    <>
      {lines.map((line) => (
        <Words key={line}>{`${line}.`}</Words>
      ))}
    </>
  );
}
