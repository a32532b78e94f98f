import { studyCells, type StudyRecord } from '@leggero/contract';
import { MM_PER, type LengthUnit } from '@leggero/core';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';

/** The widths of a study, finer than any step: a row for each balloon, a column for each person. */
export function StudyTable({ study }: { study: StudyRecord }) {
  const { unit } = useLengths();
  if (study.widths.length === 0) return null;
  const cells = studyCells(study);
  const title = `Widths, ${unit === 'in' ? 'inches' : unit}`;
  return (
    <Card title={title}>
      <View role="table" aria-label={title}>
        <View role="row" className="flex-row border-b border-line py-1">
          <Words role="columnheader" look="quiet" className="w-[70px]">
            Balloon
          </Words>
          {study.people.map((name) => (
            <Words key={name} role="columnheader" look="label" className="flex-1 text-right" numberOfLines={1}>
              {name}
            </Words>
          ))}
        </View>
        {cells.map((row, balloon) => (
          <View key={balloon} role="row" className="flex-row border-b border-line py-2">
            <Words role="rowheader" look="strong" className="w-[70px]">
              {balloon + 1}
            </Words>
            {row.map((cell, person) => (
              <Words key={person} role="cell" className="flex-1 text-right tabular-nums">
                {cell.map((width) => (width === null ? '–' : finely(width, unit))).join('\n')}
              </Words>
            ))}
          </View>
        ))}
      </View>
    </Card>
  );
}

/** As a caliper shows it: a hundredth of an inch, or of a centimetre. */
function finely(widthMm: number, unit: LengthUnit): string {
  return (widthMm / MM_PER[unit]).toFixed(2);
}
