import { INFLATOR_KINDS, type InflatorKind } from '@leggero/core';
import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { write } from '@/data/outbox';
import { newId } from '@/device/id';
import { useWalk } from '@/parts/useFirstSteps';
import { chosenBox } from '@/ui/chosen';
import { Words } from '@/ui/Words';

import { capital, INFLATOR_WORDS } from '@/wording/trade';

import type { StepProps } from './StartPage';
import { StepFrame } from './StepFrame';

const nameOf = (kind: InflatorKind) => capital(INFLATOR_WORDS[kind].means);
const NOTES: Record<InflatorKind, string> = {
  hand: 'Doses are counted in strokes, whole and half.',
  timed: 'Doses are seconds, in tenths.',
  twin: 'Doses are seconds; the nozzles are read one against the other.',
};

/** What is filled with: the pump a studio begins with becomes this one; one that was measured by stays as it is. */
export function PumpStep({ way: { pumps, fresh }, place, goOn }: StepProps) {
  const [kind, setKind] = useState<InflatorKind>(pumps[0]?.kind ?? 'hand');
  const walk = useWalk((state) => state.walk);
  const use = () => {
    const by = { name: nameOf(kind), kind };
    const there = pumps.some((pump) => pump.kind === kind);
    if (!there && fresh) write({ change: 'pump', id: fresh.id, by });
    else if (!there) write({ put: 'pump', row: { id: newId(), ...by, doseVolumeL: null } });
    walk('pump');
    goOn();
  };
  return (
    <StepFrame step="pump" place={place} action="Use this one" ready onAct={use} onSkip={goOn}>
      <View role="radiogroup" aria-label="Filled with" className="gap-2">
        {INFLATOR_KINDS.map((each) => (
          <Tile key={each} kind={each} chosen={each === kind} onPress={() => setKind(each)} />
        ))}
      </View>
      <Words look="quiet">How much one gives need not be known: the first readings measure it.</Words>
    </StepFrame>
  );
}

function Tile({ kind, chosen, onPress }: { kind: InflatorKind; chosen: boolean; onPress: () => void }) {
  return (
    <Pressable
      role="radio"
      aria-checked={chosen}
      aria-label={`${nameOf(kind)}: ${NOTES[kind]}`}
      onPress={onPress}
      className={'min-h-[72px] justify-center rounded-card border px-4 py-2 ' + chosenBox(chosen)}
    >
      <Words look="strong" className={chosen ? 'text-pine' : ''}>
        {nameOf(kind)}
      </Words>
      <Words look="quiet">{NOTES[kind]}</Words>
    </Pressable>
  );
}
