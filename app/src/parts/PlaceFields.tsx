import type { Place } from '@leggero/core';
import { View } from 'react-native';

import { NumberField } from '@/ui/NumberField';
import { ALTITUDE, TEMPERATURE } from '@/wording/conditions';

type Asked = { label: string; hint?: string };

interface PlaceFieldsProps {
  place: Place;
  temperature: Asked;
  altitude: Asked;
  onChange: (by: Partial<Place>) => void;
}

/** How warm and how high a place is, side by side. */
export function PlaceFields({ place, temperature, altitude, onChange }: PlaceFieldsProps) {
  return (
    <View className="flex-row gap-3">
      <View className="flex-1">
        <NumberField
          {...temperature}
          value={place.tempC}
          range={TEMPERATURE}
          onChange={(tempC) => onChange({ tempC })}
        />
      </View>
      <View className="flex-1">
        <NumberField
          {...altitude}
          value={place.altitudeM}
          range={ALTITUDE}
          onChange={(altitudeM) => onChange({ altitudeM })}
        />
      </View>
    </View>
  );
}
