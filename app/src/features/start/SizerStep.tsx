import { MM_PER_INCH } from '@leggero/core';
import { useState } from 'react';

import { useLengths } from '@/data/lengths';
import { write } from '@/data/outbox';
import { newId } from '@/device/id';
import { HoleRow } from '@/parts/HoleRow';
import { Button } from '@/ui/Button';
import { Field, Labelled } from '@/ui/Field';
import { ToggleChips } from '@/ui/PickChips';
import { RowLink } from '@/ui/RowLink';
import { SIZER_TOOLS } from '@/wording/gaugeTools';
import { counted } from '@/wording/trade';

import type { StepProps } from './StartPage';
import { StepFrame } from './StepFrame';

/** Holes as sizers have them: half inches, or whole centimetres. */
const HOLES_MM = {
  in: Array.from({ length: 19 }, (_, i) => (3 + i / 2) * MM_PER_INCH),
  cm: Array.from({ length: 24 }, (_, i) => (8 + i) * 10),
};
/** Every second of them. */
const EVERY = { in: 'Every inch, 4 to 11', cm: 'Every 2 cm, 10 to 28' };
const EVERY_MM = {
  in: Array.from({ length: 8 }, (_, i) => (4 + i) * MM_PER_INCH),
  cm: Array.from({ length: 10 }, (_, i) => (10 + 2 * i) * 10),
};

/** The holes of the plate or box that is sized with, by taps; or a plan to make one. */
export function SizerStep({ place, goOn }: StepProps) {
  const lengths = useLengths();
  const unit = lengths.unit === 'in' ? 'in' : 'cm';
  const [name, setName] = useState('Sizer');
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const keyOf = (mm: number) => mm.toFixed(1);
  const holes = HOLES_MM[unit]
    .filter((mm) => chosen.includes(keyOf(mm)))
    .map((widthMm) => ({ id: keyOf(widthMm), label: lengths.bare(widthMm), widthMm }));
  const wrong = name.trim() === '' || name.trim().length > 80;
  const save = () => {
    const id = newId();
    write(
      { put: 'sizer', row: { id, name: name.trim(), keeper: '' } },
      ...holes.map((hole) => ({ put: 'hole' as const, row: { ...hole, id: newId(), sizerId: id } })),
    );
    goOn();
  };
  return (
    <StepFrame
      step="sizer"
      place={place}
      action={holes.length === 0 ? 'Save the holes' : `Save ${counted(holes.length, 'hole')}`}
      ready={holes.length > 0 && !wrong}
      onAct={save}
      onSkip={goOn}
    >
      {holes.length > 0 ? <HoleRow holes={holes} height={90} /> : null}
      <Labelled label={`Holes, ${unit === 'in' ? 'inches' : 'cm'} across`}>
        <ToggleChips
          label="Holes"
          options={HOLES_MM[unit].map((mm) => ({
            value: keyOf(mm),
            title: lengths.bare(mm),
            heard: lengths.text(mm),
          }))}
          values={chosen}
          least={0}
          most={HOLES_MM[unit].length}
          onChange={setChosen}
        />
      </Labelled>
      <Button title={EVERY[unit]} onPress={() => setChosen(EVERY_MM[unit].map(keyOf))} />
      <Field
        label="Name"
        value={name}
        onChangeText={setName}
        error={wrong ? 'Give the sizer a name of 1 to 80 characters.' : undefined}
      />
      <RowLink
        href={SIZER_TOOLS.make.href}
        title="None yet? Make one"
        note="Plate, jaws, rings or box, for printer and laser"
      />
    </StepFrame>
  );
}
