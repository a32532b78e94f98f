import { beatsOf } from '@leggero/core/inflation';
import Metronome from 'lucide-react-native/icons/metronome';
import { useEffect, useState } from 'react';
import { View } from 'react-native';

import { soundTicks } from '@/device/beat';
import { Button } from '@/ui/Button';
import { useKeys } from '@/ui/useKeys';
import { Words } from '@/ui/Words';
import { beatText, countText } from '@/wording/inflation';

import { useStationSound } from './stationSound';

interface BeatCountProps {
  /** Strokes or seconds. */
  dose: number;
  timed: boolean;
  hearsKeys: boolean;
}

/** Counts a dose by a beat: a few ahead, then each stroke, or the seconds. */
export function BeatCount({ dose, timed, hearsKeys }: BeatCountProps) {
  const everyS = useStationSound((sound) => sound.everyS);
  const [counting, setCounting] = useState(false);
  const [at, setAt] = useState(0);
  const beats = beatsOf({ dose, timed, everyS });
  const begin = () => {
    setAt(0);
    setCounting(true);
  };
  useKeys(hearsKeys ? { b: () => (counting ? setCounting(false) : begin()) } : {});
  useEffect(() => {
    if (!counting) return undefined;
    const told = beatsOf({ dose, timed, everyS });
    const ticks = told.map(({ atS, kind }, i) => {
      return { atS, high: kind === 'end' || (kind === 'count' && told[i - 1]?.kind === 'ahead') };
    });
    return soundTicks(ticks, (i) => (i === told.length - 1 ? setCounting(false) : setAt(i)));
  }, [counting, dose, timed, everyS]);
  if (beats.length === 0) return null;
  if (!counting) return <Button title={countText(dose, timed)} icon={Metronome} tall onPress={begin} />;
  return (
    <View className="min-h-[56px] flex-row items-center gap-3 rounded-card bg-pine-wash pl-4 pr-1">
      <Words look="figure" className="flex-1 text-[34px] leading-10" aria-live="off">
        {beatText(beats[at] ?? beats[0]!, timed)}
      </Words>
      <Button title="Stop" onPress={() => setCounting(false)} />
    </View>
  );
}
