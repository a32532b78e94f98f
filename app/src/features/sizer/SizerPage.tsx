import { holeWidthAt, type HoleRecord, type SizerRecord } from '@leggero/contract';
import { parseLength, SAME_WIDTH_MM, WIDEST_HOLE_MM } from '@leggero/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';

import { newId } from '@/device/id';
import { useLengths } from '@/data/lengths';
import { write } from '@/data/outbox';
import { useSizers } from '@/data/records';
import { WithGauge } from '@/parts/WithGauge';
import { writesOfHoles } from '@/views/gauges';
import { Button } from '@/ui/Button';
import { DeleteButton } from '@/ui/DeleteButton';
import { Field } from '@/ui/Field';
import { HoleRow } from '@/parts/HoleRow';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { RowLink } from '@/ui/RowLink';
import { LENGTH_PROBLEMS } from '@/wording/length';
import { ONE_SIZER_TOOLS } from '@/wording/oneGauge';
import { counted } from '@/wording/trade';

import { HoleTable } from './HoleTable';

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
  const wide = useWide();
  const lengths = useLengths();
  const [name, setName] = useState(sizer?.name ?? '');
  const [keeper, setKeeper] = useState(sizer?.keeper ?? '');
  const [holes, setHoles] = useState<HoleRecord[]>(sizer?.holes ?? []);
  const [typed, setTyped] = useState('');
  const [holeError, setHoleError] = useState<string>();
  const [nameError, setNameError] = useState<string>();

  const addHole = () => {
    const parsed = parseLength({ text: typed, unit: lengths.unit });
    if (!parsed.ok) return setHoleError(LENGTH_PROBLEMS[parsed.problem.code]);
    const widthMm = parsed.value;
    if (widthMm <= 0) return setHoleError('A hole is wider than zero.');
    if (widthMm > WIDEST_HOLE_MM) return setHoleError('No sizer has a hole of over a metre. Check the unit.');
    if (holes.some((hole) => Math.abs(hole.widthMm - widthMm) < SAME_WIDTH_MM))
      return setHoleError('This hole is there already.');
    const hole = { id: newId(), label: typed.trim().slice(0, 20), widthMm, measurements: [] };
    setHoles([...holes, hole].sort((a, b) => a.widthMm - b.widthMm));
    setTyped('');
    setHoleError(undefined);
  };
  const save = () => {
    const labels = holes.map(({ id, label, widthMm }) => ({ id, label, widthMm }));
    const by = { name: name.trim(), keeper: keeper.trim().slice(0, 80) };
    if (by.name === '' || by.name.length > 80) return setNameError('Give the sizer a name of 1 to 80 characters.');
    const id = sizer?.id ?? newId();
    write(
      sizer ? { change: 'sizer', id, by } : { put: 'sizer', row: { id, ...by } },
      ...writesOfHoles(id, { before: sizer?.holes ?? [], wanted: labels }),
    );
    router.navigate('/gauges');
  };
  const remove = () => {
    if (sizer) write({ remove: 'sizer', id: sizer.id });
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
              consequence="Its holes and what was measured of them go with it. Targets, readings and past checks stay."
              onDelete={remove}
            />
          ) : null}
          <Button title="Save sizer" look="primary" tall className="flex-1" onPress={save} />
        </>
      }
    >
      {holes.length > 0 ? <HoleRow holes={holes.map(drawnHole)} height={wide ? 150 : 90} /> : null}
      {sizer && sizer.holes.length > 0 ? (
        <View className={wide ? 'flex-row gap-3' : 'gap-2'}>
          <View className={wide ? 'flex-1' : ''}>
            <RowLink
              href={ONE_SIZER_TOOLS.check.hrefOf(sizer.id)}
              title={ONE_SIZER_TOOLS.check.title}
              note={
                `${counted(sizer.holes.filter(({ measurements }) => measurements.length > 0).length, 'hole')} of ` +
                `${sizer.holes.length} measured so far`
              }
            />
          </View>
          <View className={wide ? 'flex-1' : ''}>
            <RowLink
              href={ONE_SIZER_TOOLS.squeeze.hrefOf(sizer.id)}
              title={ONE_SIZER_TOOLS.squeeze.title}
              note={
                sizer.sizings.length === 0
                  ? 'How much wider a soft balloon is than its hole'
                  : `${counted(sizer.sizings.length, 'balloon')} measured after sizing`
              }
            />
          </View>
        </View>
      ) : null}
      {holes.length > 0 ? (
        <HoleTable holes={holes} onDelete={(id) => setHoles(holes.filter((hole) => hole.id !== id))} />
      ) : null}
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
      <View className={wide ? 'flex-row gap-4' : 'gap-3'}>
        <View className={wide ? 'flex-1' : ''}>
          <Field label="Name" value={name} onChangeText={setName} error={nameError} />
        </View>
        <View className={wide ? 'flex-1' : ''}>
          <Field label="Whose it is" hint="Empty for the studio’s own." value={keeper} onChangeText={setKeeper} />
        </View>
      </View>
    </Page>
  );
}

/** A hole as it is drawn: both directions of its last measurement. */
function drawnHole(hole: HoleRecord) {
  const last = hole.measurements.at(-1);
  const { id, label } = hole;
  return last
    ? { id, label, widthMm: last.acrossMm, downMm: last.downMm ?? last.acrossMm }
    : { id, label, widthMm: holeWidthAt(hole) };
}
