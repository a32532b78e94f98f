import { modelCreateSchema, type ModelCreate, type ModelDetail } from '@leggero/contract';
import { BALLOON_KINDS, FINISHES, MM_PER_INCH, NOMINAL_SIZES_MM } from '@leggero/core';
import { zodResolver } from '@hookform/resolvers/zod';
import { router } from 'expo-router';
import { Controller, useForm } from 'react-hook-form';

import { newId } from '@/api/id';
import { modelName, nominalInches } from '@/api/modelView';
import { useCommand } from '@/api/queries';
import { Button } from '@/ui/Button';
import { DeleteButton } from '@/ui/DeleteButton';
import { Labelled } from '@/ui/Field';
import { FormChoice, FormField } from '@/ui/FormField';
import { Page } from '@/ui/Page';
import { PickChips } from '@/ui/PickChips';
import { FINISH_WORDS, KIND_WORDS } from '@/wording/trade';

import { ColourChoice } from './ColourChoice';
import { COLOURS } from './colours';

const SIZES = NOMINAL_SIZES_MM.map((mm) => {
  const inches = nominalInches(mm);
  return { value: inches, title: inches, heard: `${inches} in` };
});

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
      <FormField
        control={control}
        name="line"
        label="Maker’s line"
        hint="As on the bag."
        wrong="Give the line a name of 1 to 80 characters."
      />
      <Controller
        control={control}
        name="nominalMm"
        render={({ field }) => (
          <Labelled label="Nominal size, inches">
            <PickChips
              label="Nominal size"
              options={SIZES}
              value={nominalInches(field.value)}
              onChange={(inches) => field.onChange(Number(inches) * MM_PER_INCH)}
            />
          </Labelled>
        )}
      />
      <FormChoice control={control} name="kind" label="Kind" values={BALLOON_KINDS} words={KIND_WORDS} />
      <FormChoice control={control} name="finish" label="Finish" values={FINISHES} words={FINISH_WORDS} />
      <Controller
        control={control}
        name="colourHex"
        render={({ field }) => (
          <Labelled label="Colour it is shown in">
            <ColourChoice value={field.value} onChange={field.onChange} />
          </Labelled>
        )}
      />
      <FormField
        control={control}
        name="colourName"
        label="Colour name"
        wrong="Give the colour a name of 1 to 40 characters."
      />
    </Page>
  );
}
