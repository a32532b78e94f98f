import type { FoilKind } from '@leggero/core';
import type { FoilBody } from '@leggero/core/foil';
import { useId } from 'react';
import { Defs, Ellipse, G, Line, LinearGradient, Rect, Stop } from 'react-native-svg';

import { shade } from '@/parts/shade';
import { Picture } from '@/ui/Picture';
import { usePalette } from '@/ui/theme';

interface FoilPictureProps {
  body: FoilBody;
  kind: FoilKind;
  colourHex: string;
  label: string;
}

const CREASES = 24;

/** A full foil from the front and from the side, to one scale; a round one with the creases of its seam. */
export function FoilPicture({ body, kind, colourHex, label }: FoilPictureProps) {
  const palette = usePalette();
  const id = useId().replace(/:/g, '');
  const { widthMm, heightMm, depthMm } = body;
  const gap = 0.18 * widthMm;
  const round = Math.abs(widthMm - heightMm) < 1;
  const fill = `url(#${id})`;
  return (
    <Picture label={label} height={200}>
      {(width, height) => {
        const scale = Math.min((width - 32) / (widthMm + depthMm + gap), (height - 28) / heightMm);
        const left = (width - (widthMm + depthMm + gap) * scale) / 2;
        const floor = height - 10;
        return (
          <>
            <Defs>
              <LinearGradient id={id} x1="0.15" y1="0" x2="0.8" y2="1">
                <Stop offset="0" stopColor={shade(colourHex, 0.55)} />
                <Stop offset="0.45" stopColor={shade(colourHex, -0.15)} />
                <Stop offset="0.6" stopColor={shade(colourHex, 0.3)} />
                <Stop offset="1" stopColor={shade(colourHex, -0.4)} />
              </LinearGradient>
            </Defs>
            <Line x1={8} x2={width - 8} y1={floor} y2={floor} stroke={palette.line} />
            <G transform={`translate(${left} ${floor - heightMm * scale}) scale(${scale})`}>
              {round ? (
                <Ellipse cx={widthMm / 2} cy={heightMm / 2} rx={widthMm / 2} ry={heightMm / 2} fill={fill} />
              ) : (
                <Rect width={widthMm} height={heightMm} rx={0.22 * Math.min(widthMm, heightMm)} fill={fill} />
              )}
              {round && kind === 'foil' ? <Creases radiusMm={widthMm / 2} colour={shade(colourHex, -0.45)} /> : null}
              <Ellipse
                cx={widthMm + gap + depthMm / 2}
                cy={heightMm / 2}
                rx={depthMm / 2}
                ry={heightMm / 2}
                fill={fill}
              />
            </G>
          </>
        );
      }}
    </Picture>
  );
}

/** The short folds that a flat disc throws at its seam. */
function Creases({ radiusMm, colour }: { radiusMm: number; colour: string }) {
  return (
    <G transform={`translate(${radiusMm} ${radiusMm})`} stroke={colour} strokeWidth={radiusMm * 0.012}>
      {Array.from({ length: CREASES }, (_, i) => {
        const angle = (2 * Math.PI * i) / CREASES;
        const from = (i % 2 === 0 ? 0.82 : 0.9) * radiusMm;
        return (
          <Line
            key={i}
            x1={from * Math.cos(angle)}
            y1={from * Math.sin(angle)}
            x2={radiusMm * Math.cos(angle)}
            y2={radiusMm * Math.sin(angle)}
          />
        );
      })}
    </G>
  );
}
