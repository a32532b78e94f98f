import { modelCreateSchema, type ModelCreate, type ModelDetail } from '@leggero/contract';
import { BALLOON_KINDS, FINISHES, NOMINAL_SIZES_MM } from '@leggero/core';
import { zodResolver } from '@hookform/resolvers/zod';
import { router } from 'expo-router';
import { Controller, useForm } from 'react-hook-form';
import { Pressable, View } from 'react-native';

import { newId } from '@/api/id';
import { modelName, nominalInches } from '@/api/modelView';
import { useCommand } from '@/api/queries';
import { Button } from '@/ui/Button';
import { DeleteButton } from '@/ui/DeleteButton';
import { Field, Labelled } from '@/ui/Field';
import { Page } from '@/ui/Page';
import { Segmented } from '@/ui/Segmented';
import { Words } from '@/ui/Words';
import { FINISH_WORDS, KIND_WORDS } from '@/wording/trade';

import { ColourChoice } from './ColourChoice';
import { COLOURS } from './colours';

const optionsOf = <V extends string>(values: readonly V[], words: Record<V, string>) =>
  values.map((value) => ({ value, title: words[value] }));

/** A new balloon, or the details of one that is there. */
export function ModelForm({ model }: { model?: ModelDetail }) {
  const send = useCommand();
  const { control, handleSubmit } = useForm<ModelCreate>({
    resolver: zodResolver(modelCreateSchema),
    defaultValues: model ?? {
      id: newId(),
      line: '',
      kind: 'round',
      nominalMm: NOMINAL_SIZES_MM[5]!,
      finish: 'matte',
      colourName: COLOURS[0]!.name,
      colourHex: COLOURS[0]!.hex,
    },
  });
  const save = handleSubmit((values) => {
    const { id, ...change } = values;
    if (model) send({ name: 'changeModel', id, body: change });
    else send({ name: 'createModel', body: values });
    router.replace(`/shelf/${id}`);
  });
  const remove = () => {
    if (model) send({ name: 'deleteModel', id: model.id });
    router.replace('/shelf');
  };
  return (
    <Page
      title={model ? 'Change details' : 'Add a balloon'}
      back={model ? `/shelf/${model.id}` : '/shelf'}
      actions={
        <>
          {model ? (
            <DeleteButton
              what={modelName(model)}
              consequence="Its readings, kept targets and checks go with it, and cannot be brought back."
              onDelete={remove}
            />
          ) : null}
          <Button
            title={model ? 'Save details' : 'Put it on the shelf'}
            look="primary"
            tall
            className="flex-1"
            onPress={() => void save()}
          />
        </>
      }
    >
      <Controller
        control={control}
        name="line"
        render={({ field, fieldState }) => (
          <Field
            label="Maker’s line"
            hint="As on the bag."
            value={field.value}
            onChangeText={field.onChange}
            onBlur={field.onBlur}
            error={fieldState.error ? 'Give the line a name of 1 to 80 characters.' : undefined}
          />
        )}
      />
      <Controller
        control={control}
        name="nominalMm"
        render={({ field }) => (
          <Labelled label="Nominal size, inches">
            <View role="radiogroup" aria-label="Nominal size" className="flex-row flex-wrap gap-2">
              {NOMINAL_SIZES_MM.map((mm) => (
                <SizeChip
                  key={mm}
                  mm={mm}
                  chosen={Math.abs(mm - field.value) < 0.01}
                  onChoose={field.onChange}
                />
              ))}
            </View>
          </Labelled>
        )}
      />
      <Controller
        control={control}
        name="kind"
        render={({ field }) => (
          <Labelled label="Kind">
            <Segmented
              label="Kind"
              options={optionsOf(BALLOON_KINDS, KIND_WORDS)}
              value={field.value}
              onChange={field.onChange}
            />
          </Labelled>
        )}
      />
      <Controller
        control={control}
        name="finish"
        render={({ field }) => (
          <Labelled label="Finish">
            <Segmented
              label="Finish"
              options={optionsOf(FINISHES, FINISH_WORDS)}
              value={field.value}
              onChange={field.onChange}
            />
          </Labelled>
        )}
      />
      <Controller
        control={control}
        name="colourHex"
        render={({ field }) => (
          <Labelled label="Colour it is shown in">
            <ColourChoice value={field.value} onChange={field.onChange} />
          </Labelled>
        )}
      />
      <Controller
        control={control}
        name="colourName"
        render={({ field, fieldState }) => (
          <Field
            label="Colour name"
            value={field.value}
            onChangeText={field.onChange}
            onBlur={field.onBlur}
            error={fieldState.error ? 'Give the colour a name of 1 to 40 characters.' : undefined}
          />
        )}
      />
    </Page>
  );
}

function SizeChip({ mm, chosen, onChoose }: { mm: number; chosen: boolean; onChoose: (mm: number) => void }) {
  return (
    <Pressable
      role="radio"
      aria-checked={chosen}
      aria-label={`${nominalInches(mm)} in`}
      onPress={() => onChoose(mm)}
      className={`min-h-[44px] min-w-[52px] items-center justify-center rounded-card border ${chosen ? 'border-pine bg-pine-wash' : 'border-line bg-surface'}`}
    >
      <Words look="strong" className={chosen ? 'text-pine' : ''}>
        {nominalInches(mm)}
      </Words>
    </Pressable>
  );
}
