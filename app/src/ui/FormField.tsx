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
  /** What to say when the value cannot be used. */
  wrong: string;
  /** Words, or a figure that may be left empty: null then. */
  holds?: 'words' | 'figure';
}

/** A text field of a form. */
export function FormField<Values extends FieldValues>({
  control,
  name,
  wrong,
  holds = 'words',
  ...labelled
}: FormFieldProps<Values>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field: { value, onChange, onBlur }, fieldState }) => {
        const typing: TextInputProps =
          holds === 'words'
            ? { value: value as string, onChangeText: onChange }
            : {
                inputMode: 'decimal',
                // What was typed stays in the field, also when it is no number.
                defaultValue: value === null ? '' : String(value),
                onChangeText: (text) => onChange(text.trim() === '' ? null : readNumber(text)),
              };
        return <Field {...labelled} {...typing} onBlur={onBlur} error={fieldState.error ? wrong : undefined} />;
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
