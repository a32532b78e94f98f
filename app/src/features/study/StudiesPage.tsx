import { studyCells } from '@leggero/contract';
import { sizingStudy } from '@leggero/core/eye';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { newId, nowUtc } from '@/device/id';
import { write } from '@/data/outbox';
import { usePeople, useStudies } from '@/data/records';
import { writesOfPeople } from '@/views/checks';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Field, Labelled } from '@/ui/Field';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { ToggleChips } from '@/ui/PickChips';
import { RowLink } from '@/ui/RowLink';
import { Failed, Loading } from '@/ui/States';
import { Stepper } from '@/ui/Stepper';
import { Words } from '@/ui/Words';
import { dayText } from '@/wording/day';

const FEWEST = 2;
const MOST_PEOPLE = 6;

/** Studies of the sizing itself: those done, and a new one. */
export function StudiesPage() {
  const { fine } = useLengths();
  const studies = useStudies();
  const wide = useWide();
  return (
    <Page
      title="Study the sizing"
      subtitle="How far the same balloon is read apart"
      back={wide ? undefined : '/gauges'}
    >
      {studies.data?.map((study) => {
        const result = sizingStudy(studyCells(study));
        const of = study.balloons * study.people.length * study.repeats;
        return (
          <RowLink
            key={study.id}
            href={`/gauges/studies/${study.id}`}
            title={study.subject}
            note={
              `${dayText(study.startedAt)} · ` +
              `${result.ok ? `sizing adds ${fine(result.value.sizing.sdMm)}` : `${study.widths.length} of ${of} widths`}`
            }
          />
        );
      })}
      {studies.error ? (
        <Failed sentence="The studies could not be read." onRetry={studies.refetch} />
      ) : studies.data ? (
        <NewStudy />
      ) : (
        <Loading what="the studies" />
      )}
    </Page>
  );
}

function NewStudy() {
  const wide = useWide();
  const people = usePeople().data ?? [];
  const [subject, setSubject] = useState('');
  const [names, setNames] = useState<string[]>([]);
  const [balloons, setBalloons] = useState(5);
  const [repeats, setRepeats] = useState(2);
  const [errors, setErrors] = useState<{ subject?: string; people?: string }>({});
  const distinct = [...new Set(people.map(({ name }) => name))];
  const start = () => {
    const named = subject.trim();
    if (named === '' || named.length > 80) {
      return setErrors({ subject: 'Say in 1 to 80 characters what is studied, such as the 9 hole.' });
    }
    if (names.length < FEWEST) return setErrors({ people: 'Two people or more take part.' });
    const id = newId();
    write(
      { put: 'study', row: { id, subject: named, balloons, repeats, startedAt: nowUtc() } },
      ...writesOfPeople(id, names, newId),
    );
    router.navigate(`/gauges/studies/${id}`);
  };
  return (
    <Card title="A new study">
      <View className="gap-3">
        <Words>
          Everyone sizes or measures the same few balloons, twice or more, without seeing the others’ figures.
        </Words>
        <Field
          label="What is studied"
          hint="A hole, a tape, a caliper: such as the 9 hole of the plate."
          value={subject}
          onChangeText={(text) => {
            setSubject(text);
            setErrors({});
          }}
          error={errors.subject}
        />
        <Labelled
          label="Who takes part"
          hint={distinct.length < FEWEST ? 'Add people under Test the eye.' : undefined}
          error={errors.people}
        >
          <ToggleChips
            label="Who takes part"
            options={distinct.map((name) => ({ value: name, title: name }))}
            values={names}
            least={0}
            most={MOST_PEOPLE}
            onChange={(next) => {
              setNames(next);
              setErrors({});
            }}
          />
        </Labelled>
        <View className={wide ? 'flex-row gap-6' : 'gap-3'}>
          <View className={wide ? 'flex-1' : ''}>
            <Stepper
              label="balloons"
              value={balloons}
              shown={String(balloons)}
              step={1}
              least={2}
              most={10}
              onChange={setBalloons}
            />
          </View>
          <View className={wide ? 'flex-1' : ''}>
            <Stepper
              label="times each"
              value={repeats}
              shown={String(repeats)}
              step={1}
              least={2}
              most={4}
              onChange={setRepeats}
            />
          </View>
        </View>
        <Button title="Start the study" look="primary" tall onPress={start} />
      </View>
    </Card>
  );
}
