import { Defs, RadialGradient, Stop } from 'react-native-svg';

import { shade } from '../shade';

/** Light and shade of a ball, one for each colour, under `id` and the colour's place. */
export function BallShades({ id, colours }: { id: string; colours: readonly string[] }) {
  return (
    <Defs>
      {colours.map((hex, i) => (
        <RadialGradient key={hex} id={`${id}${i}`} cx="0.36" cy="0.3" r="0.85" fx="0.36" fy="0.3">
          <Stop offset="0" stopColor={shade(hex, 0.38)} />
          <Stop offset="0.4" stopColor={hex} />
          <Stop offset="1" stopColor={shade(hex, -0.4)} />
        </RadialGradient>
      ))}
    </Defs>
  );
}
