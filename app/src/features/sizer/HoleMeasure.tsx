import { holeAt, holeWidthAt, type HoleRecord, type SizerRecord } from '@leggero/contract';
import { holesProblem, parseLength, WIDEST_HOLE_MM, type HoleWay } from '@leggero/core';
import { useState } from 'react';
import { View } from 'react-native';

import { newId, nowUtc } from '@/device/id';
import { useLengths } from '@/data/lengths';
import { write } from '@/data/outbox';
import { useTrade } from '@/data/trade';
import { Button } from '@/ui/Button';
import { Field } from '@/ui/Field';
import { Words } from '@/ui/Words';
import { LENGTH_PROBLEMS } from '@/wording/length';
import { offText } from '@/wording/holeOff';
import { holesProblemText } from '@/wording/sizer';

interface HoleMeasureProps {
  sizer: SizerRecord;
  hole: HoleRecord;
  way: HoleWay;
  /** With the id of the measurement. */
  onKept: (id: string) => void;
  onSkip: () => void;
  onBack?: (() => void) | undefined;
}

interface Typed {
  across: string;
  down: string;
}

/** One hole's width in two directions; what cannot be stays in its field with the reason. */
export function HoleMeasure({ sizer, hole, way, onKept, onSkip, onBack }: HoleMeasureProps) {
  const trade = useTrade();
  const lengths = useLengths();
  const [typed, setTyped] = useState<Typed>({ across: '', down: '' });
  const [errors, setErrors] = useState<Partial<Typed>>({});
  const before = holeAt(hole, { trade });

  const read = (text: string): { mm: number } | { error: string } => {
    const parsed = parseLength({ text, unit: lengths.unit });
    if (!parsed.ok) return { error: LENGTH_PROBLEMS[parsed.problem.code] };
    if (!(parsed.value > 0 && parsed.value <= WIDEST_HOLE_MM))
      return { error: holesProblemText('bad-hole', hole.label, '') };
    return { mm: parsed.value };
  };
  const keep = () => {
    const across = read(typed.across);
    if ('error' in across) return setErrors({ across: across.error });
    const down = typed.down.trim() === '' ? null : read(typed.down);
    if (down && 'error' in down) return setErrors({ down: down.error });
    const body = {
      id: newId(),
      holeId: hole.id,
      acrossMm: across.mm,
      downMm: down?.mm ?? null,
      way,
      takenAt: nowUtc(),
    };
    // The row as it would be: a slip of the finger shows as a hole out of its place.
    const row = sizer.holes.map((each) => ({
      label: each.label,
      widthMm:
        each.id === hole.id ? holeWidthAt({ ...each, measurements: [...each.measurements, body] }) : holeWidthAt(each),
    }));
    const wrong = holesProblem(row);
    if (wrong) {
      return setErrors({ across: holesProblemText(wrong.code, row[wrong.index]!.label, wrong.other) });
    }
    write({ put: 'holeMeasurement', row: body });
    onKept(body.id);
  };
  const type = (field: keyof Typed) => (text: string) => {
    setTyped({ ...typed, [field]: text });
    setErrors({});
  };
  return (
    <View className="gap-3">
      <View className="flex-row items-baseline gap-3">
        <Words look="quiet">The hole labelled</Words>
        <Words look="figure" className="text-[44px] leading-[52px]">
          {hole.label}
        </Words>
      </View>
      <Words look="label">
        {before.origin === 'rule'
          ? `Its label claims ${lengths.exact(hole.widthMm)}.`
          : `Last measured ${lengths.text(before.widthMm)}, ${lengths.exact(before.widthMm)}: ${offText(before, lengths.fine)}.`}
      </Words>
      <View className="flex-row items-start gap-3">
        <View className="flex-1">
          <Field
            label="Across"
            hint="Such as 8 15/16 or 22.61 cm."
            value={typed.across}
            onChangeText={type('across')}
            error={errors.across}
            autoFocus
          />
        </View>
        <View className="flex-1">
          <Field
            label="Square to it"
            hint="Shows an oval hole; may stay empty."
            value={typed.down}
            onChangeText={type('down')}
            onSubmitEditing={keep}
            error={errors.down}
          />
        </View>
      </View>
      <View className="flex-row gap-3">
        {onBack ? <Button title="Back" tall onPress={onBack} /> : null}
        <Button title="Skip" tall onPress={onSkip} />
        <Button title="Keep and go on" look="primary" tall className="flex-1" onPress={keep} />
      </View>
    </View>
  );
}
