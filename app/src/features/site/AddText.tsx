import { useState, type ReactNode } from 'react';
import { View } from 'react-native';

import { Button } from '@/ui/Button';
import { Field } from '@/ui/Field';

interface AddTextProps {
  label: string;
  /** Characters. */
  most: number;
  /** On the button. */
  title: string;
  look?: 'primary' | 'secondary';
  onAdd: (text: string) => void;
  /** What is said of it, between the text and the button. */
  children?: ReactNode;
}

/** A line that is written and added; what is too long stays, with the reason below. */
export function AddText({ label, most, title, look = 'secondary', onAdd, children }: AddTextProps) {
  const [text, setText] = useState('');
  const trimmed = text.trim();
  const possible = trimmed !== '' && trimmed.length <= most;
  const add = () => {
    if (!possible) return;
    onAdd(trimmed);
    setText('');
  };
  return (
    <View className="gap-3">
      <Field
        label={label}
        value={text}
        onChangeText={setText}
        onSubmitEditing={add}
        error={trimmed.length > most ? `At most ${most} characters.` : undefined}
      />
      {children}
      <Button title={title} look={look} tall={look === 'primary'} disabled={!possible} onPress={add} />
    </View>
  );
}
