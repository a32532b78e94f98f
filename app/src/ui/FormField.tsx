import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form';

import { Field, Labelled } from './Field';
import { Segmented } from './Segmented';

interface FormPart<Values extends FieldValues> {
  control: Control<Values>;
  name: FieldPath<Values>;
  label: string;
  hint?: string | undefined;
}

/** A text field of a form, with what to say when its value cannot be used. */
export function FormField<Values extends FieldValues>({
  control,
  name,
  label,
  hint,
  wrong,
}: FormPart<Values> & { wrong: string }) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Field
          label={label}
          hint={hint}
          value={field.value as string}
          onChangeText={field.onChange}
          onBlur={field.onBlur}
          error={fieldState.error ? wrong : undefined}
        />
      )}
    />
  );
}

/** A figure that may be known, or left empty: null then. */
export function FormNumber<Values extends FieldValues>({
  control,
  name,
  label,
  hint,
  wrong,
}: FormPart<Values> & { wrong: string }) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Field
          label={label}
          hint={hint}
          inputMode="decimal"
          defaultValue={field.value === null ? '' : String(field.value)}
          onChangeText={(text) => field.onChange(text.trim() === '' ? null : Number(text.replace(',', '.')))}
          onBlur={field.onBlur}
          error={fieldState.error ? wrong : undefined}
        />
      )}
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
