import type { Studio } from '@leggero/contract';
import { useState } from 'react';

import { write } from '@/data/outbox';
import { Field } from '@/ui/Field';

/** The studio's name, kept when the field is left. */
export function StudioName({ id, name }: Pick<Studio, 'id' | 'name'>) {
  const [typed, setTyped] = useState(name);
  const wanted = typed.trim();
  const fits = wanted.length > 0 && wanted.length <= 80;
  return (
    <Field
      label="Name"
      value={typed}
      onChangeText={setTyped}
      onBlur={() => fits && wanted !== name && write({ change: 'studio', id, by: { name: wanted } })}
      error={fits ? undefined : 'Give the studio a name of 1 to 80 characters.'}
    />
  );
}
