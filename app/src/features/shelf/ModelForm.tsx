import { modelFieldsSchema, MODEL_DEFAULTS, type ModelCreate, type ModelDetail } from '@leggero/contract';
import { DECORS, FINISHES, isWidthKind, MODEL_KINDS } from '@leggero/core';
import { zodResolver } from '@hookform/resolvers/zod';
import { router } from 'expo-router';
import { Controller, useForm, useWatch } from 'react-hook-form';

import { newId } from '@/device/id';
import { modelName } from '@/views/modelView';
import { write } from '@/data/outbox';
import { Button } from '@/ui/Button';
import { ColourChoice } from '@/parts/ColourChoice';
import { COLOURS } from '@/parts/colours';
import { DeleteButton } from '@/ui/DeleteButton';
import { Labelled } from '@/ui/Field';
import { FormChoice, FormField } from '@/ui/FormField';
import { Page } from '@/ui/Page';
import { PickChips } from '@/ui/PickChips';
import { DECOR_WORDS, FINISH_WORDS, KIND_WORDS } from '@/wording/trade';

import { firstSize, KindFields } from './KindFields';

/** A new balloon, or the details of one that is there. */
export function ModelForm({ model }: { model?: ModelDetail }) {
  const { control, handleSubmit, setValue } = useForm<ModelCreate>({
    resolver: zodResolver(modelFieldsSchema),
    defaultValues: model ?? {
      id: newId(),
      line: '',
      kind: 'round',
      ...MODEL_DEFAULTS,
      ...firstSize('round'),
      finish: 'matte',
      colourName: COLOURS[0]!.name,
      colourHex: COLOURS[0]!.hex,
    },
  });
  const [kind, nominalMm, lengthMm] = useWatch({ control, name: ['kind', 'nominalMm', 'lengthMm'] });
  const setSize = (size: ReturnType<typeof firstSize>) => {
    setValue('nominalMm', size.nominalMm);
    setValue('lengthMm', size.lengthMm);
  };
  const paired = model !== undefined && model.outerId !== null;
  const save = handleSubmit((values) => {
    if (values.kind === 'modelling' && values.lengthMm === null) return;
    const { id, outerId: _, innerId: __, ...change } = values;
    if (model) write({ change: 'model', id, by: change });
    else write({ put: 'model', row: values });
    router.replace(`/shelf/${id}`);
  });
  const remove = () => {
    if (model) write({ remove: 'model', id: model.id });
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
              consequence="Its readings, kept targets, checks and pairs go with it, and cannot be brought back."
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
        label={paired ? 'Name of the pair' : 'Maker’s line'}
        hint={paired ? undefined : 'As on the bag.'}
        wrong="Give it a name of 1 to 80 characters."
      />
      {paired ? null : (
        <>
          <Controller
            control={control}
            name="kind"
            render={({ field }) => (
              <Labelled label="Kind">
                <PickChips
                  label="Kind"
                  options={KINDS}
                  value={field.value}
                  onChange={(next) => {
                    // Kinds measured alike keep their size.
                    if (!(isWidthKind(next) && isWidthKind(field.value))) setSize(firstSize(next));
                    field.onChange(next);
                  }}
                />
              </Labelled>
            )}
          />
          <KindFields key={kind} kind={kind} size={{ nominalMm, lengthMm }} onChange={setSize} />
          <FormChoice control={control} name="finish" label="Finish" values={FINISHES} words={FINISH_WORDS} />
          {isWidthKind(kind) ? (
            <FormChoice control={control} name="decor" label="On it or in it" values={DECORS} words={DECOR_WORDS} />
          ) : null}
          <Controller
            control={control}
            name="colourHex"
            render={({ field }) => (
              <Labelled label="Colour it is shown in">
                <ColourChoice value={field.value} onChange={field.onChange} />
              </Labelled>
            )}
          />
          {/* Afterwards its ledger has it. */}
          {model ? null : (
            <FormField
              holds="figure"
              control={control}
              name="stock"
              label="In stock, if counted"
              wrong="Give a whole number from 0, or leave it empty."
            />
          )}
        </>
      )}
      <FormField
        control={control}
        name="colourName"
        label="Colour name"
        wrong="Give the colour a name of 1 to 40 characters."
      />
    </Page>
  );
}

const KINDS = MODEL_KINDS.map((value) => ({ value, title: KIND_WORDS[value] }));
