import type { EventRecord, MemberPart, Role } from '@leggero/contract';

import { Labelled } from '@/ui/Field';
import { MomentField } from '@/ui/MomentField';
import { PickChips } from '@/ui/PickChips';
import { Words } from '@/ui/Words';

import { RoleChoice } from './RoleChoice';

const DAY_MS = 86_400_000;

/** A helper is one until the day after an event has been taken down, unless something else is said. */
function usualUntil({ opensAt, daysStanding }: EventRecord): string {
  const opens = opensAt === null ? Date.now() : Date.parse(opensAt);
  return new Date(opens + (daysStanding + 1) * DAY_MS).toISOString();
}

interface PartFieldsProps {
  part: MemberPart;
  /** The ones that one can help at. */
  events: readonly EventRecord[];
  onChange: (part: MemberPart) => void;
}

/** What someone is to be, and of a helper at which event and until when. */
export function PartFields({ part, events, onChange }: PartFieldsProps) {
  const { role, eventId, until } = part;
  const at = (event: EventRecord | undefined) => ({
    eventId: event?.id ?? null,
    until: event ? usualUntil(event) : null,
  });
  const choose = (next: Role) =>
    onChange({ role: next, ...(next === 'helper' ? at(events[0]) : { eventId: null, until: null }) });
  return (
    <>
      <RoleChoice value={role} onChange={choose} />
      {role === 'helper' && events.length === 0 ? (
        <Words look="error">A helper needs an event: plan one first.</Words>
      ) : null}
      {role === 'helper' && events.length > 0 ? (
        <>
          <Labelled label="Event">
            <PickChips
              label="Event"
              options={events.map(({ id, name }) => ({ value: id, title: name }))}
              value={eventId}
              onChange={(id) => onChange({ role, ...at(events.find((event) => event.id === id)) })}
            />
          </Labelled>
          <MomentField
            label="Until"
            hint="From then on they see nothing of it."
            value={until}
            onChange={(moment) => onChange({ ...part, until: moment })}
          />
        </>
      ) : null}
    </>
  );
}
