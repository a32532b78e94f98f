import { Pressable, View } from 'react-native';
import Svg, { Circle, G } from 'react-native-svg';

import { shade } from '@/parts/shade';
import { Words } from '@/ui/Words';

interface ColourMapProps {
  map: readonly (readonly number[])[];
  hexOf: (colour: number) => string;
  nameOf: (colour: number) => string;
  /** The colour that a tap gives. */
  brush: number;
  onPaint: (layer: number, place: number) => void;
}

/** Height of a row, px: a thumb finds a balloon. */
const ROW_PX = 38;

/** The layers rolled out flat, the foot below: every other one half a step further on. A tap paints a balloon. */
export function ColourMap({ map, hexOf, nameOf, brush, onPaint }: ColourMapProps) {
  const count = map[0]?.length ?? 0;
  return (
    <View role="group" aria-label="Colours, layer by layer" className="gap-[2px]">
      {map
        .map((row, layer) => (
          <View key={layer} role="group" aria-label={`Layer ${layer + 1}`} className="flex-row items-center">
            <Words look="quiet" className="w-7 text-[12px] tabular-nums" aria-hidden>
              {layer + 1}
            </Words>
            <View style={{ flex: 2 * (count + 0.5), flexDirection: 'row' }}>
              {layer % 2 === 1 ? <View style={{ flex: 0.5 }} /> : null}
              {row.map((colour, place) => (
                <Pressable
                  key={place}
                  role="button"
                  aria-label={`Layer ${layer + 1}, place ${place + 1}: ${nameOf(colour)}; paint ${nameOf(brush)}`}
                  onPress={() => onPaint(layer, place)}
                  style={{ flex: 1, height: ROW_PX }}
                  className="items-center justify-center rounded-card active:bg-sunk"
                >
                  <Swatch hex={hexOf(colour)} size={ROW_PX - 4} />
                </Pressable>
              ))}
              {layer % 2 === 0 ? <View style={{ flex: 0.5 }} /> : null}
            </View>
          </View>
        ))
        .reverse()}
    </View>
  );
}

/** A balloon as a spot of its colour. */
export function Swatch({ hex, size }: { hex: string; size: number }) {
  return (
    <Svg width={size} height={size} viewBox="-10 -10 20 20" aria-hidden>
      <Circle r={9.2} fill={hex} stroke={shade(hex, -0.3)} strokeWidth={0.7} />
      <Circle cx={-3} cy={-3.4} r={2.2} fill={shade(hex, 0.4)} />
    </Svg>
  );
}

/** What is tied together, as it lies on the bench: two or three that touch. */
export function Bundle({ colours, hexOf }: { colours: readonly number[]; hexOf: (colour: number) => string }) {
  const places =
    colours.length === 3
      ? [
          [-9, 5],
          [9, 5],
          [0, -10],
        ]
      : [
          [-9.4, 0],
          [9.4, 0],
        ];
  return (
    <Svg width={52} height={44} viewBox="-26 -22 52 44" aria-hidden>
      {colours.map((colour, i) => {
        const [x = 0, y = 0] = places[i] ?? [];
        const hex = hexOf(colour);
        return (
          <G key={i}>
            <Circle cx={x} cy={y} r={9} fill={hex} stroke={shade(hex, -0.3)} strokeWidth={0.8} />
            <Circle cx={x - 3} cy={y - 3.2} r={2} fill={shade(hex, 0.4)} />
          </G>
        );
      })}
    </Svg>
  );
}
