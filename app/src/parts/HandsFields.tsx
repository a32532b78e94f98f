import { MOST_HANDS, type WorkPlan } from '@leggero/contract';

import { Segmented } from '@/ui/Segmented';
import { Stepper } from '@/ui/Stepper';

interface HandsFieldsProps {
  plan: Pick<WorkPlan, 'people' | 'stations' | 'sized'>;
  change: (by: Partial<WorkPlan>) => void;
}

/** Who works at an event: with a sizer or by eye, how many, and at how many stations. */
export function HandsFields({ plan: { people, stations, sized }, change }: HandsFieldsProps) {
  return (
    <>
      <Segmented
        label="How it is inflated"
        options={[
          { value: 'sized', title: 'With a sizer' },
          { value: 'eye', title: 'By eye' },
        ]}
        value={sized ? 'sized' : 'eye'}
        onChange={(how) => change({ sized: how === 'sized' })}
      />
      <Stepper
        label="people"
        value={people}
        shown={String(people)}
        {...{ step: 1, least: 0, most: MOST_HANDS }}
        onChange={(to) => change({ people: to })}
      />
      <Stepper
        label="stations to inflate at"
        value={stations}
        shown={String(stations)}
        {...{ step: 1, least: 0, most: MOST_HANDS }}
        onChange={(to) => change({ stations: to })}
      />
    </>
  );
}
