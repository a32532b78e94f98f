import type { BubbleWidths } from '@leggero/core/stuffing';
import { View } from 'react-native';
import { G, Line } from 'react-native-svg';

import { Balloon, type BalloonLook } from '@/parts/Balloon';
import { Picture } from '@/ui/Picture';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';

interface BubblePictureProps {
  widths: BubbleWidths;
  outer: BalloonLook & { nominalMm: number };
  inner: BalloonLook & { nominalMm: number };
  label: string;
  text: (mm: number) => string;
}

/** The bubble in its two steps, to one scale: the outer filled first, the inner empty in it; then the inner full. */
export function BubblePicture({ widths, outer, inner, label, text }: BubblePictureProps) {
  const palette = usePalette();
  const { outerFirstMm, innerMm, finalMm } = widths;
  const ball = (look: BalloonLook & { nominalMm: number }, mm: number) => (
    <Balloon {...look} nominalMm={Math.max(look.nominalMm, mm)} widthMm={mm} heightMm={mm} />
  );
  const emptyMm = Math.min(innerMm, outerFirstMm) * 0.22;
  const caption = (
    <View className="flex-row justify-between px-4 pb-2">
      <Words look="quiet">{`First ${text(outerFirstMm)}`}</Words>
      <Words look="quiet">{`Inner ${text(innerMm)}, outside ${text(finalMm)}`}</Words>
    </View>
  );
  return (
    <Picture label={label} height={220} caption={caption}>
      {(width, height) => {
        const scale = Math.min((width - 40) / (outerFirstMm + finalMm), (height - 34) / (finalMm * 1.12));
        const floor = height - 14;
        const place = (x: number, mm: number) => `translate(${x} ${floor - 0.62 * mm * scale}) scale(${scale})`;
        return (
          <>
            <Line x1={8} x2={width - 8} y1={floor} y2={floor} stroke={palette.line} />
            <G transform={place(16 + (outerFirstMm * scale) / 2, outerFirstMm)}>
              <G transform={`translate(0 ${0.42 * outerFirstMm - emptyMm / 2})`}>{ball(inner, emptyMm)}</G>
              {ball(outer, outerFirstMm)}
            </G>
            <G transform={place(width - 16 - (finalMm * scale) / 2, finalMm)}>
              <G transform={`translate(0 ${(finalMm - innerMm) / 2 - 0.01 * finalMm})`}>{ball(inner, innerMm)}</G>
              {ball(outer, finalMm)}
            </G>
          </>
        );
      }}
    </Picture>
  );
}
