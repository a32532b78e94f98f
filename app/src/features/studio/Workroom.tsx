import type { Studio } from '@leggero/contract';
import { View } from 'react-native';

import { write } from '@/data/outbox';
import { PlaceFields } from '@/parts/PlaceFields';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';

/** Where balloons are made: what the venue is compared with. */
export function Workroom({ studio }: { studio: Studio }) {
  const change = (by: Partial<Pick<Studio, 'workroomTempC' | 'workroomAltitudeM'>>) =>
    write({ change: 'studio', id: studio.id, by });
  return (
    <Card title="Workroom">
      <View className="gap-3">
        <PlaceFields
          place={{ tempC: studio.workroomTempC, altitudeM: studio.workroomAltitudeM }}
          temperature={{ label: 'Temperature, °C' }}
          altitude={{ label: 'Altitude, m' }}
          onChange={({ tempC, altitudeM }) =>
            change({
              ...(tempC === undefined ? {} : { workroomTempC: tempC }),
              ...(altitudeM === undefined ? {} : { workroomAltitudeM: altitudeM }),
            })
          }
        />
        <Words look="quiet">
          Targets for a warmer or higher venue are made smaller, so that they do not outgrow it.
        </Words>
      </View>
    </Card>
  );
}
