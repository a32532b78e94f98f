import type { ModelDetail, ReadingRecord } from '@leggero/contract';
import { shapeOf, type InflatorKind } from '@leggero/core';
import Trash from 'lucide-react-native/icons/trash';
import { useState } from 'react';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { useTrade } from '@/data/trade';
import type { ModelView } from '@/views/modelView';
import { useRemoval } from '@/data/useRemoval';
import { Button, IconButton } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { UndoLine } from '@/ui/UndoLine';
import { Words } from '@/ui/Words';
import { dosed, doseText, doseUnit, NOZZLE_WORDS, OUTCOME_WORDS, SHAPE_WORDS } from '@/wording/trade';

const COLUMNS = ['Dose', 'Across', 'Shape', 'Felt'] as const;
const DOSE_TITLES = { strokes: 'Strokes', seconds: 'Seconds' } as const;
/** Longer lists open on request. */
const SHORT = 12;

/** The readings behind the curve, in the order taken; each can be deleted, and the last deletion undone. */
export function ReadingsCard({ model, view }: { model: ModelDetail; view: ModelView }) {
  const { removed: deleted, remove, restore } = useRemoval('reading');
  const [all, setAll] = useState(false);
  const readings = view.calibration?.readings ?? [];
  const shown = all ? readings : readings.slice(0, SHORT);
  const outliers = new Set(view.fit?.outliers.map(({ index }) => readings[index]?.id));
  if (readings.length === 0 && !deleted) return null;
  const kind = view.curve?.inflator ?? 'hand';
  return (
    <Card title={model.demo ? 'Readings (demo data)' : 'Readings'}>
      <View role="table" aria-label="Readings">
        <View role="row" className="flex-row items-center border-b border-line pb-1">
          {COLUMNS.map((column) => (
            <Words key={column} role="columnheader" look="quiet" className="flex-1">
              {column === 'Dose' ? DOSE_TITLES[doseUnit(kind)] : column}
            </Words>
          ))}
          <View role="columnheader" aria-label="Delete" className="w-11" />
        </View>
        {shown.map((reading) => (
          <ReadingRow
            key={reading.id}
            reading={reading}
            kind={kind}
            setAside={outliers.has(reading.id)}
            onDelete={() => remove(reading)}
          />
        ))}
      </View>
      {shown.length < readings.length ? (
        <Button title={`Show all ${readings.length}`} look="plain" onPress={() => setAll(true)} />
      ) : null}
      {deleted ? <UndoLine sentence={`Reading of ${dosed(deleted.dose, kind)} deleted.`} onUndo={restore} /> : null}
    </Card>
  );
}

interface ReadingRowProps {
  reading: ReadingRecord;
  kind: InflatorKind;
  setAside: boolean;
  onDelete: () => void;
}

function ReadingRow({ reading, kind, setAside, onDelete }: ReadingRowProps) {
  const trade = useTrade();
  const lengths = useLengths();
  const { dose, widthMm, stopsMm, passesMm, heightMm, nozzle, outcome } = reading;
  const shape = widthMm !== null && heightMm !== null ? shapeOf({ widthMm, heightMm, trade }) : reading.shape;
  const cells = [
    `${doseText(dose, kind)}${nozzle ? ` ${NOZZLE_WORDS[nozzle].toLowerCase()}` : ''}`,
    widthMm !== null
      ? lengths.text(widthMm)
      : stopsMm !== null && passesMm !== null
        ? `${lengths.bare(stopsMm)} to ${lengths.text(passesMm)}`
        : '–',
    shape ? SHAPE_WORDS[shape].toLowerCase() : '–',
    setAside ? 'set aside' : OUTCOME_WORDS[outcome].toLowerCase(),
  ];
  return (
    <View role="row" className="min-h-[44px] flex-row items-center border-b border-line">
      {cells.map((cell, i) => (
        <Words key={COLUMNS[i]} role="cell" className={`flex-1 tabular-nums ${i === 3 && setAside ? 'text-edge' : ''}`}>
          {cell}
        </Words>
      ))}
      <View role="cell">
        <IconButton label={`Delete reading of ${dosed(dose, kind)}`} icon={Trash} onPress={onDelete} />
      </View>
    </View>
  );
}
