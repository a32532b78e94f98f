import { useState } from 'react';

import { useCommand } from '@/api/queries';
import { Field } from '@/ui/Field';

/** The studio's name, kept when the field is left. */
export function StudioName({ name }: { name: string }) {
  const send = useCommand();
  const [typed, setTyped] = useState(name);
  const wanted = typed.trim();
  const fits = wanted.length > 0 && wanted.length <= 80;
  return (
    <Field
      label="Name"
      value={typed}
      onChangeText={setTyped}
      onBlur={() => fits && wanted !== name && send({ name: 'changeStudio', body: { name: wanted } })}
      error={fits ? undefined : 'Give the studio a name of 1 to 80 characters.'}
    />
  );
}
