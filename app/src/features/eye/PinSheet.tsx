import type { PersonRecord } from '@leggero/contract';
import { useState } from 'react';

import { ApiError } from '@/data/client';
import { useSetSession } from '@/data/records';
import { Button } from '@/ui/Button';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';

interface PinSheetProps {
  person: PersonRecord;
  open: boolean;
  onClose: () => void;
  /** Once it is open. */
  onOpened?: () => void;
}

/** Opens someone's history with their PIN. */
export function PinSheet({ person, open, onClose, onOpened }: PinSheetProps) {
  const session = useSetSession();
  const [pin, setPin] = useState('');
  const [error, setError] = useState<string>();
  const unlock = async () => {
    try {
      await session.open(person.id, pin);
      setPin('');
      onClose();
      onOpened?.();
    } catch (problem) {
      setError(pinError(problem));
    }
  };
  return (
    <Sheet title={`${person.name}’s PIN`} open={open} onClose={onClose}>
      <Field
        label="PIN"
        secureTextEntry
        autoComplete="off"
        value={pin}
        onChangeText={(text) => {
          setPin(text);
          setError(undefined);
        }}
        onSubmitEditing={() => void unlock()}
        error={error}
      />
      <Button title="Open" look="primary" tall onPress={() => void unlock()} />
    </Sheet>
  );
}

/** Why a PIN did not open, and what to do. */
export function pinError(problem: unknown): string {
  if (!(problem instanceof ApiError)) throw problem;
  if (problem.status === 403 || problem.status === 429) return problem.message;
  return 'The records cannot be reached just now. Try again.';
}
