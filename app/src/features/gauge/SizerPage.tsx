import type { HoleRecord, SizerRecord } from '@leggero/contract';
import { parseLength } from '@leggero/core';
import { router } from 'expo-router';
import Trash from 'lucide-react-native/icons/trash';
import { useState } from 'react';
import { View } from 'react-native';

import { newId } from '@/api/id';
import { useLengths } from '@/api/lengths';
import { useCommand, useSizers } from '@/api/queries';
import { Button, IconButton } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { DeleteButton } from '@/ui/DeleteButton';
import { Field } from '@/ui/Field';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { Words } from '@/ui/Words';
import { LENGTH_PROBLEMS } from '@/wording/length';

import { SizerDrawing } from './SizerDrawing';
import { WithGauge } from './WithGauge';

/** A sizer to be looked at and changed; `new` makes one. */
export function SizerPage({ sizerId }: { sizerId: string }) {
  const { data } = useSizers();
  return (
    <WithGauge what="sizer" id={sizerId} gauges={data}>
      {(sizer) => <SizerForm sizer={sizer} />}
    </WithGauge>
  );
}

function SizerForm({ sizer }: { sizer: SizerRecord | undefined }) {
  const send = useCommand();
  const wide = useWide();
  const lengths = useLengths();
  const [name, setName] = useState(sizer?.name ?? '');
  const [holes, setHoles] = useState<HoleRecord[]>(sizer?.holes ?? []);
  const [typed, setTyped] = useState('');
  const [holeError, setHoleError] = useState<string>();
  const [nameError, setNameError] = useState<string>();

  const addHole = () => {
    const parsed = parseLength({ text: typed, unit: lengths.unit });
    if (!parsed.ok) return setHoleError(LENGTH_PROBLEMS[parsed.problem.code]);
    const widthMm = parsed.value;
    if (widthMm <= 0) return setHoleError('A hole is wider than zero.');
    if (widthMm > 1000) return setHoleError('No sizer has a hole of over a metre. Check the unit.');
    if (holes.some((hole) => Math.abs(hole.widthMm - widthMm) < 0.01))
      return setHoleError('This hole is there already.');
    const hole = { id: newId(), label: typed.trim().slice(0, 20), widthMm };
    setHoles([...holes, hole].sort((a, b) => a.widthMm - b.widthMm));
    setTyped('');
    setHoleError(undefined);
  };
  const save = () => {
    const body = { name: name.trim(), holes };
    if (body.name === '' || body.name.length > 80)
      return setNameError('Give the sizer a name of 1 to 80 characters.');
    if (sizer) send({ name: 'changeSizer', id: sizer.id, body });
    else send({ name: 'createSizer', body: { id: newId(), ...body } });
    router.navigate('/gauges');
  };
  const remove = () => {
    if (sizer) send({ name: 'deleteSizer', id: sizer.id });
    router.navigate('/gauges');
  };
  return (
    <Page
      title={sizer ? sizer.name : 'Add a sizer'}
      subtitle={sizer?.demo ? 'demo data' : undefined}
      back={wide ? undefined : '/gauges'}
      actions={
        <>
          {sizer ? (
            <DeleteButton
              what={sizer.name}
              consequence="Its holes go with it. Targets and past checks stay."
              onDelete={remove}
            />
          ) : null}
          <Button title="Save sizer" look="primary" tall className="flex-1" onPress={save} />
        </>
      }
    >
      <Field label="Name" value={name} onChangeText={setName} error={nameError} />
      {holes.length > 0 ? <SizerDrawing holes={holes} height={wide ? 150 : 90} /> : null}
      <View className="flex-row items-start gap-3">
        <View className="flex-1">
          <Field
            label="Hole to add"
            hint={lengths.unit === 'in' ? 'Such as 9 1/2, or 24 cm.' : 'Such as 24.1, or 9 1/2 in.'}
            value={typed}
            onChangeText={setTyped}
            onSubmitEditing={addHole}
            error={holeError}
          />
        </View>
        <Button title="Add hole" className="mt-[26px]" onPress={addHole} />
      </View>
      {holes.length > 0 ? (
        <Card title="Holes">
          <View role="list">
            {holes.map((hole) => (
              <View
                key={hole.id}
                role="listitem"
                className="min-h-[44px] flex-row items-center border-b border-line"
              >
                <Words look="strong" className="w-24">
                  {hole.label}
                </Words>
                <Words className="flex-1">{`${lengths.text(hole.widthMm)} across`}</Words>
                <IconButton
                  label={`Delete hole ${hole.label}`}
                  icon={Trash}
                  onPress={() => setHoles(holes.filter(({ id }) => id !== hole.id))}
                />
              </View>
            ))}
          </View>
        </Card>
      ) : null}
    </Page>
  );
}
