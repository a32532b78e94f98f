import { View } from 'react-native';

import type { TaperLayer } from '@/parts/piece/viewTaper';
import type { Lengths } from '@/views/lengths';
import { nominalInches } from '@/views/modelView';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';

import { Swatch } from './ColourMap';

interface LayersCardProps {
  layers: readonly TaperLayer[];
  lengths: Lengths;
  hexOf: (layer: number) => string;
}

/** Every layer's size from the top down, as it stands, and from which nominal it is made. */
export function LayersCard({ layers, lengths, hexOf }: LayersCardProps) {
  return (
    <Card title="Layers, as they stand">
      <View>
        {layers
          .map(({ widthMm, nominalMm }, layer) => (
            <View key={layer} className="min-h-[40px] flex-row items-center gap-3 border-t border-line">
              <Words look="quiet" className="w-6 tabular-nums">
                {layer + 1}
              </Words>
              <Swatch hex={hexOf(layer)} size={24} />
              <Words look="figure" className="w-20 text-[20px] leading-6">
                {lengths.bare(widthMm)}
              </Words>
              <Words look={nominalMm === null ? 'error' : 'quiet'} className="flex-1">
                {nominalMm === null ? 'no size on the shelf suits' : `from ${nominalInches(nominalMm)} in balloons`}
              </Words>
            </View>
          ))
          .reverse()}
      </View>
    </Card>
  );
}
