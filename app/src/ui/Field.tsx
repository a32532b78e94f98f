import type { ReactNode } from 'react';
import { TextInput, View, type TextInputProps } from 'react-native';

import { usePalette } from './theme';
import { Words } from './Words';

interface LabelledProps {
  label: string;
  hint?: string | undefined;
  error?: string | undefined;
  children: ReactNode;
}

/** A control with its name above and, where something is wrong, the reason right below. */
export function Labelled({ label, hint, error, children }: LabelledProps) {
  return (
    <View className="gap-1">
      <Words look="label">{label}</Words>
      {children}
      {error ? (
        <Words look="error" role="alert">
          {error}
        </Words>
      ) : hint ? (
        <Words look="quiet">{hint}</Words>
      ) : null}
    </View>
  );
}

type FieldProps = Omit<LabelledProps, 'children'> & Omit<TextInputProps, 'className'>;

/** A text field. */
export function Field({ label, hint, error, ...input }: FieldProps) {
  const palette = usePalette();
  return (
    <Labelled label={label} hint={hint} error={error}>
      <TextInput
        aria-label={label}
        aria-invalid={error !== undefined}
        placeholderTextColor={palette.quiet}
        {...input}
        className={
          'min-h-[48px] rounded-card border bg-surface px-3 font-body text-[16px] text-ink ' +
          `${error ? 'border-out' : 'border-line'}`
        }
      />
    </Labelled>
  );
}
