import { CALIBRATION_FILE, type CalibrationRecord } from '@leggero/contract';
import { comparePreparations } from '@leggero/core/calibrating';
import { router } from 'expo-router';
import { Pressable, View } from 'react-native';

import { fileName, keepFile } from '@/device/download';
import { useLengths } from '@/data/lengths';
import { modelName } from '@/views/modelView';
import { useBatches } from '@/data/measured';
import { write } from '@/data/outbox';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { DeleteButton } from '@/ui/DeleteButton';
import { Words } from '@/ui/Words';
import { effectText } from '@/wording/calibration';
import { dayText } from '@/wording/day';
import { counted, preparation } from '@/wording/trade';

import type { ShownModel } from '@/parts/WithModel';

/**
 * The calibrations of a balloon: which one the targets rest on, what preparing it otherwise changes, and the one
 * shown as a file.
 */
export function CalibrationsCard({ model, view, pumps, knowledge }: ShownModel) {
  const { fine } = useLengths();
  const { calibration, fit, pump } = view;
  if (!calibration || !pump) return null;
  const outcomeOf = ({ id }: CalibrationRecord) => knowledge.shelf.outcomes.get(id)?.fit;
  const others = model.calibrations.filter(({ id }) => id !== calibration.id);
  const keep = () => {
    const { demo: _, ...plain } = calibration;
    const { demo: _m, calibrations: _c, holdTests: _h, uses: _u, targets: _t, checks: _k, ...ofModel } = model;
    const { demo: _p, ...ofPump } = pump;
    const file = {
      ...CALIBRATION_FILE,
      model: ofModel,
      pump: ofPump,
      calibration: plain,
    };
    keepFile(JSON.stringify(file, null, 2), {
      name: fileName(`${modelName(model)} ${model.colourName} calibration`, 'json'),
      type: 'application/json',
    });
  };
  return (
    <Card title="Calibrations">
      <View role="radiogroup" aria-label="Calibrations">
        {model.calibrations.map((each) => (
          <CalibrationRow
            key={each.id}
            calibration={each}
            pumpName={pumps.find(({ id }) => id === each.pumpId)?.name ?? 'Pump'}
            chosen={each.id === calibration.id}
          />
        ))}
      </View>
      {others.map((other) => {
        const second = outcomeOf(other);
        const alike = preparation(other) === preparation(calibration);
        if (!fit || !second || alike) return null;
        const sameInflator = other.pumpId === calibration.pumpId;
        const effect = comparePreparations({ first: fit, second, sameInflator });
        return (
          <Words key={other.id} look="quiet" className="mt-2">
            {`Beside this one, ${preparation(other)}: ${effectText(effect, fine)}`}
          </Words>
        );
      })}
      <View className="mt-3 flex-row flex-wrap gap-3">
        <Button title="Save as file" onPress={keep} />
        <DeleteButton
          what="this calibration"
          consequence="Its readings go with it, and cannot be brought back. Save it as a file first if in doubt."
          onDelete={() => {
            write({ remove: 'calibration', id: calibration.id });
            router.setParams({ calibration: '' });
          }}
        />
      </View>
    </Card>
  );
}

interface CalibrationRowProps {
  calibration: CalibrationRecord;
  pumpName: string;
  chosen: boolean;
}

function CalibrationRow({ calibration, pumpName, chosen }: CalibrationRowProps) {
  const day = dayText(calibration.startedAt);
  const batch = useBatches(calibration.modelId).find(({ id }) => id === calibration.bagId)?.batch;
  const how = batch ? `${preparation(calibration)}, batch ${batch}` : preparation(calibration);
  return (
    <Pressable
      role="radio"
      aria-checked={chosen}
      aria-label={`${pumpName}, ${how}, ${day}`}
      onPress={() => router.setParams({ calibration: calibration.id })}
      className={
        'min-h-[56px] flex-row items-center gap-3 border-b border-line px-2 py-1 active:bg-sunk ' +
        `${chosen ? 'bg-pine-wash' : ''}`
      }
    >
      <View className="flex-1">
        <Words look="strong">{pumpName}</Words>
        <Words look="quiet">{`${how} · ${counted(calibration.readings.length, 'reading')} · ${day}`}</Words>
      </View>
      {chosen ? (
        <Words look="label" className="text-pine">
          shown
        </Words>
      ) : null}
    </Pressable>
  );
}
