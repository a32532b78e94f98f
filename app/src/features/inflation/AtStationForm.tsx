import { MOST_STATION } from '@leggero/contract';
import { useState } from 'react';

import { usePeople } from '@/data/records';
import { Cautions } from '@/parts/Cautions';
import { Button } from '@/ui/Button';
import { Field, Labelled } from '@/ui/Field';
import { Page } from '@/ui/Page';
import { PickChips } from '@/ui/PickChips';
import { Segmented } from '@/ui/Segmented';
import { Words } from '@/ui/Words';
import { stationsOf, type ShownRun } from '@/views/inflation';
import { counted } from '@/wording/trade';

interface AtStationFormProps {
  title: string;
  back: string;
  run: ShownRun;
  onKeep: (at: { station: string; two: string | undefined; hands: string | undefined }) => void;
}

/** Whose hands they are is not said. */
const NOBODY = '';
const USUAL = ['Table 1', 'Table 2', 'Table 3'];

/** Which station this device stands at, and how many are filled at once there. */
export function AtStationForm({ title, back, run, onKeep }: AtStationFormProps) {
  const names = [...new Set([...stationsOf(run), ...USUAL])];
  const [station, setStation] = useState(names[0]!);
  const [atOnce, setAtOnce] = useState<'1' | '2'>('1');
  const people = usePeople().data ?? [];
  const [hands, setHands] = useState(NOBODY);
  const named = station.trim();
  const problem = named === '' ? 'Give it a name.' : named.length > MOST_STATION ? 'A shorter name.' : undefined;
  return (
    <Page
      title={title}
      subtitle={`${counted(run.progress.left, 'balloon')} left`}
      back={back}
      actions={
        <Button
          title="Begin here"
          look="primary"
          tall
          className="flex-1"
          disabled={problem !== undefined}
          onPress={() =>
            onKeep({
              station: named,
              two: atOnce === '2' ? '1' : undefined,
              hands: hands === NOBODY ? undefined : hands,
            })
          }
        />
      }
    >
      <Words>
        Lean the phone where you see it from the sizer. Each station has its own batches, and sees all counts.
      </Words>
      <Labelled label="This station">
        <PickChips
          label="This station"
          options={names.map((value) => ({ value, title: value }))}
          value={named}
          onChange={setStation}
        />
      </Labelled>
      <Field label="Its name" value={station} error={problem} onChangeText={setStation} />
      <Labelled label="Filled at once">
        <Segmented
          label="Filled at once"
          options={[
            { value: '1', title: 'One' },
            { value: '2', title: 'Two, a pair' },
          ]}
          value={atOnce}
          onChange={setAtOnce}
        />
      </Labelled>
      {people.length > 1 ? (
        <Labelled label="Whose hands" hint="Only they, and the owner, see how they compare.">
          <PickChips
            label="Whose hands"
            options={[
              { value: NOBODY, title: 'Not said' },
              ...people.map(({ id, name }) => ({ value: id, title: name })),
            ]}
            value={hands}
            onChange={setHands}
          />
        </Labelled>
      ) : null}
      <Cautions names={['burst', 'latex', 'choking']} />
    </Page>
  );
}
