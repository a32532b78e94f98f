import type { ModelRecord } from '@leggero/contract';
import { memo } from 'react';
import { View } from 'react-native';
import Svg, { Ellipse, Path, Rect } from 'react-native-svg';

import { useLengths } from '@/data/lengths';
import { modelName } from '@/views/modelView';
import { shade } from '@/parts/Balloon';
import { counted, KIND_WORDS } from '@/wording/trade';

import { RowFrame } from './RowFrame';

interface OtherRowProps {
  model: ModelRecord;
  chosen: boolean;
}

/** A modelling balloon or a foil in the list: no target width, but its size and how many there are. */
export const OtherRow = memo(function OtherRow({ model, chosen }: OtherRowProps) {
  const { text } = useLengths();
  const { id, kind, nominalMm, lengthMm, colourName, stock } = model;
  const size =
    kind === 'modelling' && lengthMm !== null
      ? `${text(nominalMm)} across, ${text(lengthMm)} long`
      : `${text(nominalMm)} ${kind === 'foil' ? 'flat' : 'across'}`;
  return (
    <RowFrame
      modelId={id}
      chosen={chosen}
      picture={<SmallPicture model={model} />}
      name={modelName(model)}
      lines={[
        `${colourName} · ${KIND_WORDS[kind].toLowerCase()}`,
        stock === null ? size : `${size} · ${counted(stock, 'piece')}`,
      ]}
    />
  );
});

/** A coiled tube, or a foil that shines. */
function SmallPicture({ model: { kind, colourHex, lengthMm, colourName } }: { model: ModelRecord }) {
  const dark = shade(colourHex, -0.35);
  return (
    <View role="img" aria-label={colourName} style={{ width: 56, height: 62 }}>
      <Svg width={56} height={62} viewBox="0 0 56 62" aria-hidden>
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
