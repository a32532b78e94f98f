import type { Studio } from '@leggero/contract';
import { useState } from 'react';

import { write } from '@/data/outbox';
import { Field } from '@/ui/Field';
import { isCurrency } from '@/wording/money';

/** What the studio's money is; what is no currency stays in the field and changes nothing. */
export function Currency({ studio }: { studio: Studio }) {
  const [typed, setTyped] = useState<string | null>(null);
  const wrong = typed !== null && !isCurrency(typed.trim().toUpperCase());
  return (
    <Field
      label="Money"
      hint="Prices of bags, hours and events. Bags that were paid in other money are not added up."
      autoCapitalize="characters"
      value={typed ?? studio.currency}
      error={wrong ? 'Three letters, as EUR, GBP or USD.' : undefined}
      onChangeText={(text) => {
        setTyped(text);
        const currency = text.trim().toUpperCase();
        if (isCurrency(currency)) write({ change: 'studio', id: studio.id, by: { currency } });
      }}
      onBlur={() => wrong || setTyped(null)}
    />
  );
}
