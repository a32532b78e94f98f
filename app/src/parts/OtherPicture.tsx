import type { ModelRecord } from '@leggero/contract';
import { View } from 'react-native';
import Svg, { Ellipse, Path, Rect } from 'react-native-svg';

import { shade } from './shade';

/** What has no target width: a coiled tube, or a foil that shines. */
export function OtherPicture({ model, width = 56 }: { model: ModelRecord; width?: number }) {
  const { kind, colourHex, lengthMm, colourName } = model;
  const height = (62 / 56) * width;
  const dark = shade(colourHex, -0.35);
  return (
    <View role="img" aria-label={colourName} style={{ width, height }}>
      <Svg width={width} height={height} viewBox="0 0 56 62" aria-hidden>
        {kind === 'modelling' ? (
          <>
            <Path d={TUBE} fill="none" stroke={dark} strokeWidth={10} strokeLinecap="round" />
            <Path d={TUBE} fill="none" stroke={colourHex} strokeWidth={8} strokeLinecap="round" />
          </>
        ) : kind === 'foil' && lengthMm !== null ? (
          <Rect x={10} y={6} width={36} height={50} rx={9} fill={colourHex} stroke={dark} strokeWidth={1.5} />
        ) : (
          <Ellipse cx={28} cy={31} rx={24} ry={24} fill={colourHex} stroke={dark} strokeWidth={1.5} />
        )}
        {kind === 'modelling' ? null : (
          <Path
            d="M16 30Q20 17 33 13"
            fill="none"
            stroke="#ffffff"
            strokeWidth={5}
            strokeLinecap="round"
            opacity={0.8}
          />
        )}
      </Svg>
    </View>
  );
}

const TUBE = 'M8 50C14 8 26 8 28 31S44 54 48 12';
