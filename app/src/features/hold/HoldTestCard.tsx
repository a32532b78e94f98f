import type { HoldTestRecord } from '@leggero/contract';
import { holdTestProblem } from '@leggero/core';
import { useState } from 'react';
import { View } from 'react-native';

import { newId } from '@/device/id';
import { useLengths } from '@/data/lengths';
import { write } from '@/data/outbox';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { DeleteButton } from '@/ui/DeleteButton';
import { LengthEntry } from '@/parts/LengthEntry';
import { NumberField } from '@/ui/NumberField';
import { Words } from '@/ui/Words';
import { counted } from '@/wording/trade';

import { closingText } from './closing';

const HOURS = { least: 0.1, most: 8760, error: 'Hours above 0 and up to a year (8760) are possible.' };
const HOUR_MS = 3_600_000;

/** One balloon: its widths so far, and the next one. */
export function HoldTestCard({ test }: { test: HoldTestRecord }) {
  const lengths = useLengths();
  const [open, setOpen] = useState(false);
  const last = test.readings.at(-1);
  const [widthMm, setWidthMm] = useState(last?.widthMm ?? 0);
  const [hours, setHours] = useState(hoursSince(test.startedAt));
  const reading = { id: newId(), holdTestId: test.id, hours, widthMm };
  const there = test.readings.some((each) => each.hours === hours);
  const problem = holdTestProblem({ ...test, readings: [...test.readings, reading] });
  const add = () => {
    write({ put: 'holdReading', row: reading });
    setOpen(false);
  };
  const first = test.readings[0]?.widthMm ?? 0;
  return (
    <Card title={closingText(test)}>
      <View role="list" className="gap-1">
        {test.readings.map((each) => (
          <Words key={each.id} role="listitem">
            {each.hours === 0
              ? `${lengths.text(each.widthMm)} at the knot`
              : `${lengths.text(each.widthMm)} after ${counted(each.hours, 'hour')}, ` +
                `${((100 * each.widthMm) / first).toFixed(1)} %`}
          </Words>
        ))}
      </View>
      {open ? (
        <View className="mt-3 gap-3">
          <NumberField label="Hours since the knot" value={hours} range={HOURS} onChange={setHours} />
          <LengthEntry
            label="Width now"
            value={widthMm}
            least={0.4 * first}
            most={1.1 * first}
            lengths={lengths}
            error={
              problem?.problem.code === 'grew'
                ? 'A balloon does not grow by standing: measure again.'
                : there
                  ? 'There is a width for this hour already.'
                  : undefined
            }
            onChange={setWidthMm}
          />
        </View>
      ) : null}
      <View className="mt-3 flex-row gap-3">
        <Button
          title={open ? 'Keep this width' : 'Measure it again'}
          look={open ? 'primary' : 'secondary'}
          tall
          className="flex-1"
          disabled={open && (problem !== null || there)}
          onPress={open ? add : () => setOpen(true)}
        />
        <DeleteButton
          what="this hold test"
          consequence="Its widths go with it, and cannot be brought back."
          onDelete={() => write({ remove: 'holdTest', id: test.id })}
        />
      </View>
    </Card>
  );
}

/** Whole hours since the knot, at least one. */
function hoursSince(startedAt: string): number {
  return Math.min(HOURS.most, Math.max(1, Math.round((Date.now() - Date.parse(startedAt)) / HOUR_MS)));
}
