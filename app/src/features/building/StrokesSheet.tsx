import { MOST_STEPS } from '@leggero/contract';
import { predictWidth } from '@leggero/core';
import { useState } from 'react';
import { View } from 'react-native';

import { modelOf } from '@/parts/piece/material';
import type { PieceBasis } from '@/parts/piece/useBasis';
import type { HoopDesign } from '@/parts/piece/viewHoop';
import { Button } from '@/ui/Button';
import { Field, Labelled } from '@/ui/Field';
import { PickChips } from '@/ui/PickChips';
import { Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { modelName } from '@/views/modelView';
import { curveWith, readDoses } from '@/views/recipe';
import { doseUnit } from '@/wording/trade';

interface StrokesSheetProps {
  open: boolean;
  onClose: () => void;
  part: HoopDesign['colours'][number];
  basis: PieceBasis;
  /** Widths from the centre outwards, mm. */
  onWidths: (widthsMm: number[]) => void;
}

const FIRST = '5, 4, 3, 2, 1';

/** A crescent that was written in strokes of some pump: the widths that those give with one's own balloon. */
export function StrokesSheet({ open, onClose, part, basis, onWidths }: StrokesSheetProps) {
  const { knowledge, lengths } = basis;
  const { pumps } = knowledge;
  const [typed, setTyped] = useState(FIRST);
  const [pumpId, setPumpId] = useState<string | null>(null);
  const model = modelOf(part, basis);
  const pump = pumps.find(({ id }) => id === pumpId) ?? pumps[0];
  const doses = readDoses(typed);
  const usable = doses !== null && doses.length <= MOST_STEPS + 1;
  const curve = model && pump ? curveWith(knowledge, model, pump) : null;
  const widths = usable && curve ? doses.map((dose) => predictWidth({ fit: curve, dose })) : null;
  const known = widths?.flatMap((width) => (width.ok ? [width.value.widthMm] : [])) ?? [];
  const all = widths !== null && known.length === widths.length;
  return (
    <Sheet title="Written in strokes" open={open} onClose={onClose}>
      <View className="gap-4">
        <Field
          label={`From the centre outwards, in ${doseUnit(pump?.kind ?? 'hand')}`}
          hint="With commas between them, such as 5, 4, 3, 2, 1."
          value={typed}
          onChangeText={setTyped}
          error={usable ? undefined : `Up to ${MOST_STEPS + 1} doses above 0 with commas between them.`}
        />
        <Labelled label="Written for">
          <PickChips
            label="Written for"
            options={pumps.map(({ id, name }) => ({ value: id, title: name }))}
            value={pump?.id ?? ''}
            onChange={setPumpId}
          />
        </Labelled>
        {!model ? (
          <Words look="error" role="alert">
            Choose the balloon of its first colour: strokes are widths of that.
          </Words>
        ) : !curve ? (
          <Words look="error" role="alert">
            Nothing is known of this pump yet: calibrate a balloon with it, or note its litres under Gauges.
          </Words>
        ) : null}
        {model && all ? (
          <Words role="status">{`With ${modelName(model)}: ${known.map(lengths.text).join(', ')}.`}</Words>
        ) : null}
        {model && widths && !all ? (
          <Words look="error" role="alert">
            One of them hardly fills this balloon, or more than fills it.
          </Words>
        ) : null}
        <Button
          title="Use these sizes"
          look="primary"
          disabled={!all}
          onPress={() => {
            onWidths(known);
            onClose();
          }}
        />
      </View>
    </Sheet>
  );
}
