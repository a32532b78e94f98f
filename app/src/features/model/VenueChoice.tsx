import type { Studio } from '@leggero/contract';
import MapPin from 'lucide-react-native/icons/map-pin';
import { useState } from 'react';
import { View } from 'react-native';

import type { Venue } from '@/views/modelView';
import { PlaceFields } from '@/parts/PlaceFields';
import { Button } from '@/ui/Button';
import { NumberField } from '@/ui/NumberField';
import { Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { WrapsChoice } from '@/parts/WrapsChoice';
import { HOURS } from '@/wording/conditions';
import { counted } from '@/wording/trade';

interface VenueChoiceProps {
  studio: Studio;
  venue: Venue | null;
  onChange: (venue: Venue | null) => void;
}

/** Where and when the piece is shown: the line tells, the sheet changes it. */
export function VenueChoice({ studio, venue, onChange }: VenueChoiceProps) {
  const [open, setOpen] = useState(false);
  const here = `${studio.workroomTempC} °C`;
  const shown: Venue = venue ?? {
    tempC: studio.workroomTempC,
    altitudeM: studio.workroomAltitudeM,
    hours: 0,
    wraps: 2,
  };
  const change = (by: Partial<Venue>) => onChange({ ...shown, ...by });
  return (
    <>
      <Button
        icon={MapPin}
        title={venue ? venueText(here, venue) : `Made and shown at ${here}`}
        onPress={() => setOpen(true)}
      />
      <Sheet title="Where it is shown" open={open} onClose={() => setOpen(false)}>
        <PlaceFields
          place={shown}
          temperature={{ label: 'At the venue, °C', hint: 'The warmest place it hangs: under a ceiling.' }}
          altitude={{ label: 'Above the sea, m' }}
          onChange={change}
        />
        <NumberField
          label="Hours from the knot to the show"
          value={shown.hours}
          range={HOURS}
          onChange={(hours) => change({ hours })}
        />
        <WrapsChoice wraps={shown.wraps} onChange={(wraps) => change({ wraps })} />
        <Words look="quiet">
          {`Made at ${here}, ${studio.workroomAltitudeM} m: change that under Studio. Leave room for heat; ` +
            'sun and lamps warm a balloon beyond the air around it.'}
        </Words>
        <View className="flex-row gap-3">
          <Button
            title="Same as here"
            tall
            className="flex-1"
            onPress={() => {
              onChange(null);
              setOpen(false);
            }}
          />
          <Button title="Done" look="primary" tall className="flex-1" onPress={() => setOpen(false)} />
        </View>
      </Sheet>
    </>
  );
}

function venueText(here: string, { tempC, altitudeM, hours }: Venue): string {
  const parts = [`${here} to ${tempC} °C`];
  if (altitudeM !== 0) parts.push(`${altitudeM} m`);
  if (hours > 0) parts.push(`after ${counted(hours, 'hour')}`);
  return parts.join(', ');
}
