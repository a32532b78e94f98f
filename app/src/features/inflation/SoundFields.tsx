import { View } from 'react-native';

import { canHear, canSay } from '@/device/speech';
import { Stepper } from '@/ui/Stepper';
import { SwitchRow } from '@/ui/SwitchRow';
import { Words } from '@/ui/Words';

import { useStationSound } from './stationSound';

/** What of a station is heard: a beat to count by, what to do, and what is called out. */
export function SoundFields() {
  const { beat, everyS, says, hears, set } = useStationSound();
  return (
    <View className="gap-3">
      <Words look="heading" level={2}>
        By ear, on this device
      </Words>
      <SwitchRow label="Count strokes by a beat" value={beat} onChange={(on) => set({ beat: on })} />
      {beat ? (
        <Stepper
          label="seconds a stroke"
          value={everyS}
          shown={everyS.toFixed(1)}
          {...{ step: 0.1, least: 0.4, most: 4 }}
          onChange={(to) => set({ everyS: Math.round(10 * to) / 10 })}
        />
      ) : null}
      {canSay() ? <SwitchRow label="Say what to do" value={says} onChange={(on) => set({ says: on })} /> : null}
      {canHear() ? (
        <SwitchRow
          label="Hear “done”, “popped”, “undo”"
          hint="Some browsers send what they hear to their maker."
          value={hears}
          onChange={(on) => set({ hears: on })}
        />
      ) : null}
    </View>
  );
}
