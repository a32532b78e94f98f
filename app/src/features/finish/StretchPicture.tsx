import type { ShelfModel } from '@leggero/contract';
import type { TwoBubbles } from '@leggero/core/finish';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { G } from 'react-native-svg';

import { figureOf } from '@/api/modelView';
import { Balloon } from '@/ui/Balloon';
import { Words } from '@/ui/Words';
import { percent } from '@/wording/trade';

const FRACTIONS = [0.5, 0.62, 0.75, 0.88, 1];

/** One balloon from slack to tight, to one scale, in the colour and shine it then has. */
export function StretchPicture({ model }: { model: ShelfModel }) {
  const [width, setWidth] = useState(0);
  const { nominalMm } = model;
  const total = FRACTIONS.reduce((sum, fraction) => sum + fraction, 0) + 0.08 * (FRACTIONS.length - 1);
  const scale = width / (total * nominalMm);
  const height = nominalMm * scale * 1.16 + 8;
  const lefts = FRACTIONS.map((_, i) =>
    FRACTIONS.slice(0, i).reduce((sum, fraction) => sum + fraction + 0.08, 0),
  );
  return (
    <View
      role="img"
      aria-label={`${model.colourName} at ${FRACTIONS.map(percent).join(', ')} of nominal: ${model.finish}, deeper when slack, paler when tight`}
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
    >
      {width === 0 ? null : (
        <>
          <Svg width={width} height={height} aria-hidden>
            {FRACTIONS.map((fraction, i) => (
              <G
                key={fraction}
                transform={`translate(${(lefts[i]! + fraction / 2) * nominalMm * scale} ${height - 0.62 * fraction * nominalMm * scale - 4}) scale(${scale})`}
              >
                <Balloon {...figureOf(model, null, fraction * nominalMm)} />
              </G>
            ))}
          </Svg>
          <View className="flex-row" aria-hidden>
            {FRACTIONS.map((fraction) => (
              <Words key={fraction} look="quiet" className="text-center" style={{ flex: fraction + 0.08 }}>
                {percent(fraction)}
              </Words>
            ))}
          </View>
        </>
      )}
    </View>
  );
}

interface TwoPictureProps {
  model: ShelfModel;
  two: TwoBubbles;
  label: string;
}

/** The balloon whole, and twisted into two, to one scale; as tight as each then is. */
export function TwoPicture({ model, two, label }: TwoPictureProps) {
  const [width, setWidth] = useState(0);
  const { firstMm, secondMm, wholeMm, stretchGain } = two;
  const height = 130;
  const scale = Math.min(
    (width - 30) / (wholeMm + firstMm + secondMm + 0.2 * wholeMm),
    (height - 10) / (1.2 * wholeMm),
  );
  const tight = model.nominalMm * (firstMm / (wholeMm * stretchGain));
  const look = figureOf(model, null, wholeMm);
  const at = (mm: number) => `translate(${mm * scale + 10} ${height / 2}) scale(${scale})`;
  const start = wholeMm * 1.2;
  return (
    <View role="img" aria-label={label} onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      {width === 0 ? null : (
        <Svg width={width} height={height} aria-hidden>
          <G transform={at(wholeMm / 2)}>
            <Balloon {...look} widthMm={wholeMm} heightMm={wholeMm} />
          </G>
          <G transform={at(start + firstMm / 2)}>
            <Balloon {...look} widthMm={firstMm} heightMm={firstMm} nominalMm={tight} />
          </G>
          <G transform={at(start + firstMm + secondMm / 2)}>
            <Balloon
              {...look}
              widthMm={secondMm}
              heightMm={secondMm}
              nominalMm={model.nominalMm * (secondMm / (wholeMm * stretchGain))}
            />
          </G>
        </Svg>
      )}
    </View>
  );
}
