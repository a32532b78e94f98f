import type { Studio } from '@leggero/contract';
import { View } from 'react-native';

import { useCommand } from '@/api/queries';
import { Card } from '@/ui/Card';
import { NumberField } from '@/ui/NumberField';
import { Words } from '@/ui/Words';
import { ALTITUDE, TEMPERATURE } from '@/wording/conditions';

/** Where balloons are made: what the venue is compared with. */
export function Workroom({ studio }: { studio: Studio }) {
  const send = useCommand();
  const change = (body: Partial<Pick<Studio, 'workroomTempC' | 'workroomAltitudeM'>>) =>
    send({ name: 'changeStudio', body });
  return (
    <Card title="Workroom">
      <View className="gap-3">
        <View className="flex-row gap-3">
          <View className="flex-1">
            <NumberField
              label="Temperature, °C"
              value={studio.workroomTempC}
              range={TEMPERATURE}
              onChange={(workroomTempC) => change({ workroomTempC })}
            />
          </View>
          <View className="flex-1">
            <NumberField
              label="Altitude, m"
              value={studio.workroomAltitudeM}
              range={ALTITUDE}
              onChange={(workroomAltitudeM) => change({ workroomAltitudeM })}
            />
          </View>
        </View>
        <Words look="quiet">
          Targets for a warmer or higher venue are made smaller, so that they do not outgrow it.
        </Words>
      </View>
    </Card>
  );
}
