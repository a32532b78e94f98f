import { pumpFieldsSchema, type PumpCreate, type PumpRecord } from '@leggero/contract';
import { zodResolver } from '@hookform/resolvers/zod';
import { DOSE_SCALES, INFLATOR_KINDS, type InflatorKind } from '@leggero/core';
import { router } from 'expo-router';
import { useForm, useWatch } from 'react-hook-form';

import { newId } from '@/device/id';
import { write } from '@/data/outbox';
import { usePumps } from '@/data/records';
import { Button } from '@/ui/Button';
import { DeleteButton } from '@/ui/DeleteButton';
import { FormChoice, FormField } from '@/ui/FormField';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { RowLink } from '@/ui/RowLink';
import { PUMP_TOOLS } from '@/wording/oneGauge';
import { INFLATOR_WORDS } from '@/wording/trade';

import { WithGauge } from '@/parts/WithGauge';

const KIND_TITLES: Record<InflatorKind, string> = {
  hand: INFLATOR_WORDS.hand.title,
  timed: INFLATOR_WORDS.timed.title,
  twin: INFLATOR_WORDS.twin.title,
};
const KIND_HINTS: Record<InflatorKind, string> = {
  hand: 'Whole and half strokes.',
  timed: 'Tenths of a second; the start is measured and allowed for.',
  twin: 'Tenths of a second; readings from both nozzles show how unequal they are.',
};

/** A pump to be looked at and changed; `new` makes one. */
export function PumpPage({ pumpId }: { pumpId: string }) {
  const { data } = usePumps();
  return (
    <WithGauge what="pump" id={pumpId} gauges={data}>
      {(pump) => <PumpForm pump={pump} />}
    </WithGauge>
  );
}

function PumpForm({ pump }: { pump: PumpRecord | undefined }) {
  const wide = useWide();
  const { control, handleSubmit } = useForm<PumpCreate>({
    resolver: zodResolver(pumpFieldsSchema),
    defaultValues: pump ?? { id: newId(), name: '', kind: 'hand', doseVolumeL: null, mostKPa: null },
  });
  const kind = useWatch({ control, name: 'kind' });
  const save = handleSubmit((values) => {
    const { id, ...change } = values;
    if (pump) write({ change: 'pump', id, by: change });
    else write({ put: 'pump', row: values });
    router.navigate('/gauges');
  });
  const remove = () => {
    if (pump) write({ remove: 'pump', id: pump.id });
    router.navigate('/gauges');
  };
  return (
    <Page
      title={pump ? pump.name : 'Add a pump or inflator'}
      subtitle={pump?.demo ? 'demo data' : undefined}
      back={wide ? undefined : '/gauges'}
      actions={
        <>
          {pump ? (
            <DeleteButton
              what={pump.name}
              consequence="A pump that a calibration was made with is kept by the records; any other goes for good."
              onDelete={remove}
            />
          ) : null}
          <Button
            title={`Save ${kind === 'hand' ? 'pump' : 'inflator'}`}
            look="primary"
            tall
            className="flex-1"
            onPress={() => void save()}
          />
        </>
      }
    >
      <FormField control={control} name="name" label="Name" wrong="Give the pump a name of 1 to 80 characters." />
      <FormChoice
        control={control}
        name="kind"
        label="Dosed in"
        hint={KIND_HINTS[kind]}
        values={INFLATOR_KINDS}
        words={KIND_TITLES}
      />
      <FormField
        holds="figure"
        control={control}
        name="doseVolumeL"
        label={`Litres a ${DOSE_SCALES[kind].unit}, if known`}
        hint="Each calibration measures it; a known figure helps to notice a change of pump."
        wrong="Give litres above 0 and up to 20, such as 0.18, or leave it empty."
      />
      <FormField
        holds="figure"
        control={control}
        name="mostKPa"
        label="Most pressure, kPa, if known"
        hint="As the maker says: whether it starts small stuffed balloons follows from it."
        wrong="Give kPa above 0 and up to 1000, such as 12, or leave it empty."
      />
      {pump ? (
        <RowLink
          href={PUMP_TOOLS.translate.hrefOf(pump.id)}
          title={PUMP_TOOLS.translate.title}
          note="A recipe written for it, as widths and for another"
        />
      ) : null}
    </Page>
  );
}
