import type { Write } from '@leggero/contract';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';

import { newId, nowUtc } from '@/device/id';
import { BatchPick } from '@/parts/BatchPick';
import type { ShownModel } from '@/parts/WithModel';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Field';
import { PickChips } from '@/ui/PickChips';
import { SwitchRow } from '@/ui/SwitchRow';
import { Words } from '@/ui/Words';
import { preparation } from '@/wording/trade';

const AS_IT_COMES = { preStretched: false, roundedOff: false, bagId: null };

/** How the next reading's calibration is chosen: the one there is, or a new one with another pump or preparation. */
export interface CalibrationStart {
  /** A new calibration will be started with these; null while the present one goes on. */
  fresh: { pumpId: string | null; preStretched: boolean; roundedOff: boolean; bagId: string | null } | null;
  setFresh: (fresh: CalibrationStart['fresh']) => void;
  /** The calibration to add to, and what makes it where there is none yet. */
  ensure: () => { calibrationId: string; writes: Write[] };
}

/** Keeps the choice of calibration for the reading page. */
export function useCalibrationStart({ model, view, pumps }: ShownModel): CalibrationStart {
  const present = view.calibration;
  const [asked, setFresh] = useState<CalibrationStart['fresh']>(null);
  const fresh = asked ?? (present ? null : { ...AS_IT_COMES, pumpId: pumps[0]?.id ?? null });
  return {
    fresh,
    setFresh,
    ensure() {
      if (!fresh && present) return { calibrationId: present.id, writes: [] };
      const calibrationId = newId();
      const known = fresh?.pumpId ?? pumps[0]?.id;
      const pumpId = known ?? newId();
      const row = {
        id: calibrationId,
        modelId: model.id,
        pumpId,
        preStretched: fresh?.preStretched ?? false,
        roundedOff: fresh?.roundedOff ?? false,
        bagId: fresh?.bagId ?? null,
        startedAt: nowUtc(),
      };
      setFresh(null);
      router.setParams({ calibration: calibrationId });
      return { calibrationId, writes: [...(known ? [] : [handPump(pumpId)]), { put: 'calibration', row }] };
    },
  };
}

/** Someone who has deleted all pumps still has one in hand. */
function handPump(id: string): Write {
  return { put: 'pump', row: { id, name: 'Hand pump', kind: 'hand', doseVolumeL: null } };
}

/** With which pump, and prepared how. */
export function PumpChoice({ model, view, pumps, start }: ShownModel & { start: CalibrationStart }) {
  const { fresh, setFresh } = start;
  if (!fresh) {
    const { calibration } = view;
    const pump = pumps.find(({ id }) => id === calibration?.pumpId);
    return (
      <View className="flex-row items-center gap-2">
        <Words look="quiet" className="flex-1">
          {`${pump?.name ?? 'Pump'} · ${calibration ? preparation(calibration) : ''}`}
        </Words>
        <Button
          title="Start another"
          look="plain"
          onPress={() => setFresh({ ...AS_IT_COMES, pumpId: pump?.id ?? null })}
        />
      </View>
    );
  }
  return (
    <View className="gap-3">
      {pumps.length > 1 ? (
        <Labelled label="Pump">
          <PickChips
            label="Pump"
            options={pumps.map(({ id, name }) => ({ value: id, title: name }))}
            value={fresh.pumpId}
            onChange={(pumpId) => setFresh({ ...fresh, pumpId })}
          />
        </Labelled>
      ) : null}
      <BatchPick
        modelId={model.id}
        hint="Batches differ in stretch: readings of one are kept apart."
        value={fresh.bagId}
        onChange={(bagId) => setFresh({ ...fresh, bagId })}
      />
      <SwitchRow
        label="Pre-stretched"
        value={fresh.preStretched}
        onChange={(preStretched) => setFresh({ ...fresh, preStretched })}
      />
      <SwitchRow
        label="Rounded off"
        value={fresh.roundedOff}
        onChange={(roundedOff) => setFresh({ ...fresh, roundedOff })}
      />
    </View>
  );
}
