import { readNumber } from '@leggero/core';
import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import type { TextInputProps } from 'react-native';

import { Field, Labelled } from './Field';
import { Segmented } from './Segmented';

interface FormPart<Values extends FieldValues> {
  control: Control<Values>;
  name: FieldPath<Values>;
  label: string;
  hint?: string | undefined;
}

interface FormFieldProps<Values extends FieldValues> extends FormPart<Values> {
  /** What to say when the value cannot be used; what its schema says where nothing else is. */
  wrong?: string;
  /** Words, words or a figure that may be left empty: null then. */
  holds?: 'words' | 'words or nothing' | 'figure';
  /** How it is typed: what a browser fills in, which keys a phone shows. */
  typing?: TextInputProps;
}

/** A text field of a form. */
export function FormField<Values extends FieldValues>({
  control,
  name,
  wrong,
  holds = 'words',
  typing,
  ...labelled
}: FormFieldProps<Values>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field: { value, onChange, onBlur }, fieldState }) => {
        const holding: TextInputProps =
          holds !== 'figure'
            ? {
                value: (value as string | null) ?? '',
                onChangeText: (text) => onChange(text === '' && holds === 'words or nothing' ? null : text),
              }
            : {
                inputMode: 'decimal',
                // What was typed stays in the field, also when it is no number.
                defaultValue: value === null ? '' : String(value),
                onChangeText: (text) => onChange(text.trim() === '' ? null : readNumber(text)),
              };
        const { error } = fieldState;
        return (
          <Field {...labelled} {...typing} {...holding} onBlur={onBlur} error={error && (wrong ?? error.message)} />
        );
      }}
    />
  );
}

/** One of a few, as a field of a form. */
export function FormChoice<Values extends FieldValues, Value extends string>({
  control,
  name,
  label,
  hint,
  values,
  words,
}: FormPart<Values> & { values: readonly Value[]; words: Readonly<Record<Value, string>> }) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <Labelled label={label} hint={hint}>
          <Segmented
            label={label}
            options={values.map((value) => ({ value, title: words[value] }))}
            value={field.value as Value}
            onChange={field.onChange}
          />
        </Labelled>
      )}
    />
  );
}
