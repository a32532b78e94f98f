import type { PieceForm } from '@leggero/contract';
import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { chosenBox } from '@/ui/chosen';
import { Words } from '@/ui/Words';
import { rolledWords } from '@/wording/building';
import { counted } from '@/wording/trade';

import { ColourMap, Swatch } from './ColourMap';
import { paintedAt, type Colouring } from './colouring';

interface MapCardProps {
  design: Colouring;
  form: PieceForm;
  map: readonly (readonly number[])[];
  nameOf: (colour: number) => string;
  change: (by: Partial<Colouring>) => void;
}

/** The layers rolled out, to be painted balloon by balloon. */
export function MapCard({ design, form, map, nameOf, change }: MapCardProps) {
  const { colours, painted } = design;
  const [chosen, setBrush] = useState(0);
  const brush = Math.min(chosen, colours.length - 1);
  const shown = painted.filter(({ layer }) => layer < map.length);
  return (
    <Card title="Rolled out">
      <View className="gap-3">
        <Words look="quiet">{`${rolledWords(form).first} below. Choose a colour and tap balloons to paint them.`}</Words>
        <View role="radiogroup" aria-label="Paint with" className="flex-row flex-wrap gap-2">
          {colours.map((part, colour) => (
            <Pressable
              key={colour}
              role="radio"
              aria-checked={colour === brush}
              aria-label={`Paint with ${nameOf(colour)}`}
              onPress={() => setBrush(colour)}
              className={`min-h-[52px] min-w-[52px] items-center justify-center rounded-card border ${chosenBox(colour === brush)}`}
            >
              <Swatch hex={part.colourHex} size={34} />
            </Pressable>
          ))}
        </View>
        <ColourMap
          map={map}
          hexOf={(colour) => colours[colour]!.colourHex}
          nameOf={nameOf}
          brush={brush}
          onPaint={(layer, place) => change({ painted: paintedAt(design, { layer, place, colour: brush }) })}
        />
        {shown.length > 0 ? (
          <Button
            title={`Back to the pattern: ${counted(shown.length, 'balloon')} painted`}
            onPress={() => change({ painted: [] })}
          />
        ) : null}
      </View>
    </Card>
  );
}
