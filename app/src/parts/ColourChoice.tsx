import { Pressable, View } from 'react-native';
import Svg from 'react-native-svg';

import { Balloon } from './Balloon';

import { COLOURS } from './colours';

interface ColourChoiceProps {
  value: string;
  onChange: (hex: string) => void;
}

/** Small balloons to choose a colour from. */
export function ColourChoice({ value, onChange }: ColourChoiceProps) {
  return (
    <View role="radiogroup" aria-label="Colour" className="flex-row flex-wrap gap-2">
      {COLOURS.map(({ name, hex }) => {
        const chosen = hex === value;
        return (
          <Pressable
            key={hex}
            role="radio"
            aria-checked={chosen}
            aria-label={name}
            onPress={() => onChange(hex)}
            className={
              'h-[52px] w-[52px] items-center justify-center rounded-card border-2 ' +
              `${chosen ? 'border-pine bg-pine-wash' : 'border-transparent'}`
            }
          >
            <Svg width={38} height={42} viewBox="-58 -58 116 130" aria-hidden>
              <Balloon widthMm={100} heightMm={104} nominalMm={110} colourHex={hex} finish="matte" />
            </Svg>
          </Pressable>
        );
      })}
    </View>
  );
}
