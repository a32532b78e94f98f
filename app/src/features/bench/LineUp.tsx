import type { ShelfModel } from '@leggero/contract';
import { Link } from 'expo-router';
import { Pressable, View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { figureOf, firstTarget, modelName, nominalInches, type ModelView } from '@/views/modelView';
import { Aperture } from '@/parts/Aperture';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { ORIGIN_WORDS } from '@/wording/trade';

const LARGEST_PX = 148;

interface LineUpProps {
  models: readonly ShelfModel[];
  views: ReadonlyMap<string, ModelView>;
}

/** The whole shelf to one scale, each balloon at its first target, with how well that is known. */
export function LineUp({ models, views }: LineUpProps) {
  const { text } = useLengths();
  const sorted = [...models].sort((a, b) => a.nominalMm - b.nominalMm);
  const largestMm = sorted.at(-1)?.nominalMm ?? 1;
  return (
    <Card title="The shelf, to one scale">
      <View className="flex-row flex-wrap items-end gap-x-3 gap-y-4">
        {sorted.map((model) => {
          const view = views.get(model.id);
          const first = view && firstTarget(view);
          if (!view || !first) return null;
          const { widthMm, origin } = first.target;
          return (
            <Link key={model.id} href={`/shelf/${model.id}`} asChild>
              <Pressable role="link" className="min-h-[44px] min-w-[56px] items-center">
                <Aperture
                  {...figureOf(model, view.curve, widthMm)}
                  target={first.target}
                  size={(LARGEST_PX * model.nominalMm) / largestMm}
                  label={`${modelName(model)}, ${model.colourName}, ${text(widthMm)}`}
                />
                <Words look="label">{`${nominalInches(model.nominalMm)} at ${text(widthMm)}`}</Words>
                <Words look="quiet">{ORIGIN_WORDS[origin]}</Words>
              </Pressable>
            </Link>
          );
        })}
      </View>
    </Card>
  );
}
