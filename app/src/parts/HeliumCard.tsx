import { standardPressureKPa, type Place } from '@leggero/core';
import { helium } from '@leggero/core/helium';
import { useState } from 'react';
import { View } from 'react-native';

import { useTrade } from '@/data/trade';
import type { Lengths } from '@/views/lengths';
import { TEMPERATURE } from '@/wording/conditions';
import { ballastText, heliumProblemText, liftText } from '@/wording/helium';

import { Card } from '@/ui/Card';
import { Cautions } from './Cautions';
import { NumberField } from '@/ui/NumberField';
import { Words } from '@/ui/Words';

interface HeliumCardProps {
  title: string;
  volumeL: number;
  /** What the empty balloon is taken to weigh, g. */
  massG: number;
  /** Where it floats. */
  place: Place;
  lengths: Lengths;
}

/** What a balloon of helium lifts, and what holds it: an estimate, with the caution that goes with the gas. */
export function HeliumCard({ title, volumeL, massG, place, lengths }: HeliumCardProps) {
  const trade = useTrade();
  const [weighed, setWeighed] = useState<number | null>(null);
  const [tempC, setTempC] = useState(place.tempC);
  const pressure = standardPressureKPa({ altitudeM: place.altitudeM });
  const balloonMassG = weighed ?? Math.round(10 * massG) / 10;
  const lift = helium({
    volumeL,
    balloonMassG,
    tempC,
    pressureKPa: pressure.ok ? pressure.value : 101.325,
    trade,
  });
  return (
    <Card title={title}>
      <View className="gap-3">
        <View className="flex-row gap-3">
          <View className="flex-1">
            <NumberField
              label="Balloon’s mass, g"
              hint={weighed === null ? 'Estimated: weigh it.' : 'As weighed.'}
              value={balloonMassG}
              range={MASSES}
              onChange={setWeighed}
            />
          </View>
          <View className="flex-1">
            <NumberField
              label="Where it floats, °C"
              hint="Warm air lifts less."
              value={tempC}
              range={TEMPERATURE}
              onChange={setTempC}
            />
          </View>
        </View>
        {lift.ok ? (
          <View className="gap-1" role="status">
            <Words>{liftText(lift.value)}</Words>
            <Words look="strong">{ballastText(lift.value)}</Words>
            <Words look="quiet">An estimate for still air indoors, and pure helium.</Words>
          </View>
        ) : (
          <Words look="error" role="alert">
            {heliumProblemText(lift.problem, lengths.text)}
          </Words>
        )}
        <Cautions names={['helium']} />
      </View>
    </Card>
  );
}

const MASSES = { least: 0, most: 5000, error: 'Give grams from 0 to 5000.' };
