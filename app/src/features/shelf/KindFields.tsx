import type { ModelCreate } from '@leggero/contract';
import { isWidthKind, MM_PER_INCH, modellingCode, type ModelKind } from '@leggero/core';
import { readModellingCode } from '@leggero/core/modelling';
import { useState } from 'react';

import { useLengths } from '@/data/lengths';
import { nominalInches } from '@/views/modelView';
import { Field, Labelled } from '@/ui/Field';
import { NOMINAL_OPTIONS } from '@/parts/nominalOptions';
import { LengthField } from '@/parts/LengthField';
import { PickChips } from '@/ui/PickChips';
import { codeProblemText, codeText } from '@/wording/modelling';

/** The size of a model, as its kind is measured. */
export type Size = Pick<ModelCreate, 'nominalMm' | 'lengthMm'>;

interface KindFieldsProps {
  kind: ModelKind;
  size: Size;
  /** Told of every size; a modelling balloon whose code cannot be read has no length. */
  onChange: (size: Size) => void;
}

/** The size each kind begins with. */
export function firstSize(kind: ModelKind): Size {
  if (isWidthKind(kind)) return { nominalMm: 11 * MM_PER_INCH, lengthMm: null };
  if (kind === 'modelling') return { nominalMm: 2 * MM_PER_INCH, lengthMm: 60 * MM_PER_INCH };
  return { nominalMm: (kind === 'foil' ? 18 : 15) * MM_PER_INCH, lengthMm: null };
}

/** A nominal size, a modelling code or the flat size of a foil. */
export function KindFields({ kind, size, onChange }: KindFieldsProps) {
  const lengths = useLengths();
  if (isWidthKind(kind)) {
    return (
      <Labelled label="Nominal size, inches">
        <PickChips
          label="Nominal size"
          options={NOMINAL_OPTIONS}
          value={nominalInches(size.nominalMm)}
          onChange={(inches) => onChange({ nominalMm: Number(inches) * MM_PER_INCH, lengthMm: null })}
        />
      </Labelled>
    );
  }
  if (kind === 'modelling') return <CodeField size={size} onChange={onChange} />;
  const width = (
    <LengthField
      label={kind === 'foil' ? 'Flat width' : 'Across when full'}
      hint={kind === 'foil' ? 'Lying empty on the table.' : 'As sold, such as 15.'}
      value={size.nominalMm}
      lengths={lengths}
      onChange={(mm) => mm !== null && onChange({ ...size, nominalMm: mm })}
    />
  );
  if (kind === 'stretch-foil') return width;
  return (
    <>
      {width}
      <LengthField
        label="Flat height"
        hint="Of a figure or a letter. Leave it empty for a round one."
        value={size.lengthMm}
        lengths={lengths}
        onChange={(mm) => onChange({ ...size, lengthMm: mm })}
      />
    </>
  );
}

function CodeField({ size, onChange }: Omit<KindFieldsProps, 'kind'>) {
  const { nominalMm, lengthMm } = size;
  const first = modellingCode({ widthMm: nominalMm, lengthMm: lengthMm ?? 0 });
  const [typed, setTyped] = useState(first);
  const { long: text } = useLengths();
  const read = readModellingCode(typed);
  return (
    <Field
      label="Code on the bag"
      hint={read.ok ? codeText(read.value, text) : undefined}
      inputMode="numeric"
      value={typed}
      onChangeText={(code) => {
        setTyped(code);
        const result = readModellingCode(code);
        // What cannot be read has no length: it is not to be saved in place of what was meant.
        onChange(
          result.ok
            ? { nominalMm: result.value.widthMm, lengthMm: result.value.lengthMm }
            : { ...size, lengthMm: null },
        );
      }}
      error={read.ok ? undefined : codeProblemText(read.problem)}
    />
  );
}
