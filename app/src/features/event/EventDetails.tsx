import type { EventRecord, Studio } from '@leggero/contract';
import { View } from 'react-native';

import type { Lengths } from '@/views/lengths';
import { LengthField } from '@/parts/LengthField';
import { PlaceFields } from '@/parts/PlaceFields';
import { ZoneField } from '@/parts/ZoneField';
import { WrapsChoice } from '@/parts/WrapsChoice';
import { Card } from '@/ui/Card';
import { Field } from '@/ui/Field';
import { MomentField } from '@/ui/MomentField';
import { NumberField } from '@/ui/NumberField';
import { SwitchRow } from '@/ui/SwitchRow';
import { Words } from '@/ui/Words';
import { HOURS, TEMPERATURE } from '@/wording/conditions';
import { openingProblem } from '@/wording/events';

interface EventDetailsProps {
  event: EventRecord;
  studio: Studio;
  lengths: Lengths;
  now: number;
  change: (by: Partial<EventRecord>) => void;
}

const DAYS = { least: 0, most: 365, error: 'Days from 0 to 365 are possible.' };
const MOST = { name: 80, client: 80, place: 120, notes: 2000 } as const;

/** All that is said of an event; each is kept as it is typed. */
export function EventDetails({ event, studio, lengths, now, change }: EventDetailsProps) {
  const { name, client, place, notes, opensAt, timeZone, daysStanding, hoursBefore, wraps, outdoors } = event;
  const long = (text: string, most: number) => (text.trim().length > most ? `At most ${most} characters.` : undefined);
  const size = (label: string, field: 'ceilingMm' | 'doorHighMm' | 'doorWideMm' | 'liftHighMm' | 'liftWideMm') => (
    <View className="min-w-[140px] flex-1">
      <LengthField
        label={label}
        long
        lengths={lengths}
        value={event[field]}
        onChange={(mm) => change({ [field]: mm === 0 ? null : mm })}
      />
    </View>
  );
  return (
    <>
      <Card title="What and for whom">
        <View className="gap-3">
          <Field
            label="Name of the event"
            value={name}
            onChangeText={(text) => change({ name: text })}
            error={name.trim() === '' ? 'A name of 1 to 80 characters.' : long(name, MOST.name)}
          />
          <Field
            label="Client"
            value={client}
            onChangeText={(text) => change({ client: text })}
            error={long(client, MOST.client)}
          />
          <Field
            label="Place"
            value={place}
            onChangeText={(text) => change({ place: text })}
            error={long(place, MOST.place)}
          />
          <MomentField
            label="Opens"
            value={opensAt}
            error={openingProblem(event, now)}
            timeZone={timeZone}
            onChange={(moment) => change({ opensAt: moment })}
          />
          <ZoneField value={timeZone} onChange={(zone) => change({ timeZone: zone })} />
          <NumberField
            label="Stands, days"
            value={daysStanding}
            range={DAYS}
            onChange={(days) => change({ daysStanding: Math.round(days) })}
          />
        </View>
      </Card>
      <Card title="Where it is made and shown">
        <View className="gap-3">
          <NumberField
            label="Workroom, °C"
            hint={event.workroomTempC === null ? 'As the studio’s workroom.' : undefined}
            value={event.workroomTempC ?? studio.workroomTempC}
            range={TEMPERATURE}
            onChange={(tempC) => change({ workroomTempC: tempC })}
          />
          <PlaceFields
            place={{
              tempC: event.venueTempC ?? event.workroomTempC ?? studio.workroomTempC,
              altitudeM: event.venueAltitudeM ?? studio.workroomAltitudeM,
            }}
            temperature={{ label: 'At the venue, °C', hint: 'The warmest place it hangs.' }}
            altitude={{ label: 'Above the sea, m' }}
            onChange={({ tempC, altitudeM }) =>
              change({
                ...(tempC === undefined ? {} : { venueTempC: tempC }),
                ...(altitudeM === undefined ? {} : { venueAltitudeM: altitudeM }),
              })
            }
          />
          <NumberField
            label="Hours from the knot to the opening"
            value={hoursBefore}
            range={HOURS}
            onChange={(hours) => change({ hoursBefore: hours })}
          />
          <WrapsChoice wraps={wraps} onChange={(turns) => change({ wraps: turns })} />
          <SwitchRow
            label="Outdoors"
            hint="Wind and sun: a pole or a frame, and whoever is responsible on site decides."
            value={outdoors}
            onChange={(out) => change({ outdoors: out })}
          />
          <Words look="quiet">Every target of its pieces follows from this.</Words>
        </View>
      </Card>
      <Card title="What it must fit">
        <View className="gap-3">
          {size('Ceiling', 'ceilingMm')}
          <View className="flex-row flex-wrap gap-3">
            {size('Door, high', 'doorHighMm')}
            {size('Door, wide', 'doorWideMm')}
          </View>
          <View className="flex-row flex-wrap gap-3">
            {size('Lift, high', 'liftHighMm')}
            {size('Lift, wide', 'liftWideMm')}
          </View>
        </View>
      </Card>
      <Card title="Notes">
        <Field
          label="Notes"
          multiline
          numberOfLines={4}
          value={notes}
          onChangeText={(text) => change({ notes: text })}
          error={long(notes, MOST.notes)}
        />
      </Card>
    </>
  );
}
