import { EVENT_DEFAULTS } from '@leggero/contract';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';

import { write } from '@/data/outbox';
import { useStudio } from '@/data/records';
import { newId, nowUtc } from '@/device/id';
import { Button } from '@/ui/Button';
import { Field } from '@/ui/Field';
import { useWide } from '@/ui/layout';
import { MomentField } from '@/ui/MomentField';
import { Page } from '@/ui/Page';
import { openingProblem } from '@/wording/events';

import { EventFileIn } from './EventFileIn';

/** A new event: what it is called and when it opens; all else can be said on its page. */
export function NewEventPage() {
  const wide = useWide();
  const studio = useStudio().data;
  const [now] = useState(Date.now);
  const [name, setName] = useState('');
  const [place, setPlace] = useState('');
  const [opensAt, setOpensAt] = useState<string | null>(null);
  const [tried, setTried] = useState(false);
  const wrong = name.trim() === '' || name.trim().length > 80;
  const make = () => {
    setTried(true);
    if (wrong || place.trim().length > 120 || !studio) return;
    const id = newId();
    const row = { ...EVENT_DEFAULTS, id, name: name.trim(), place: place.trim(), opensAt, createdAt: nowUtc() };
    write({ put: 'event', row: { ...row, daysStanding: studio.daysStanding } });
    router.replace(`/builds/events/${id}`);
  };
  return (
    <Page
      title="Plan an event"
      back={wide ? undefined : '/builds'}
      actions={<Button title="Plan it" look="primary" tall className="flex-1" onPress={make} />}
    >
      <View className={`gap-4 ${wide ? 'max-w-[640px]' : ''}`}>
        <Field
          label="Name of the event"
          value={name}
          onChangeText={setName}
          error={tried && wrong ? 'A name of 1 to 80 characters.' : undefined}
        />
        <Field
          label="Place"
          value={place}
          onChangeText={setPlace}
          error={place.trim().length > 120 ? 'At most 120 characters.' : undefined}
        />
        <MomentField
          label="Opens"
          hint="Leave it empty while nobody has said."
          value={opensAt}
          error={openingProblem({ ...EVENT_DEFAULTS, opensAt }, now)}
          onChange={setOpensAt}
        />
        <EventFileIn />
      </View>
    </Page>
  );
}
