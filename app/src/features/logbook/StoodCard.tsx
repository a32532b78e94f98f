import type { AsBuiltRecord, EventRecord, ModelRecord, PieceRecord, RepairRecord } from '@leggero/contract';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { keepCsv } from '@/parts/keepCsv';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { RowLink } from '@/ui/RowLink';
import { BUILT_COLUMNS, builtLines, REPAIR_COLUMNS, repairLines } from '@/views/logFiles';
import { repairsText } from '@/wording/repair';
import { builtText, MEASURE_WORDS } from '@/wording/site';

interface StoodCardProps {
  built: readonly AsBuiltRecord[];
  repairs: readonly RepairRecord[];
  events: readonly EventRecord[];
  pieces: readonly PieceRecord[];
  models: readonly ModelRecord[];
}

/** How large pieces came out, and what of them failed where they stood; what is known of each leads to its event. */
export function StoodCard({ built, repairs, events, pieces, models }: StoodCardProps) {
  const lengths = useLengths();
  if (built.length === 0 && repairs.length === 0) return null;
  const eventOf = (id: string) => events.find((event) => event.id === id)?.name ?? '';
  const pieceOf = (id: string | null) => pieces.find((piece) => piece.id === id)?.name ?? '';
  // The newest of a measure counts.
  const newest = built.filter(
    (each, i) => built.findIndex((one) => one.pieceId === each.pieceId && one.measure === each.measure) === i,
  );
  const failed = [...new Set(repairs.map(({ eventId }) => eventId))];
  const names = { eventOf, pieceOf };
  return (
    <Card title="How pieces stood">
      <View className="gap-2">
        {newest.map((each) => (
          <RowLink
            key={each.id}
            href={`/builds/events/${each.eventId}/site?part=built`}
            title={`${pieceOf(each.pieceId)}, how ${MEASURE_WORDS[each.measure].title}`}
            note={builtText(each, { ...lengths, text: lengths.long })}
          />
        ))}
        {failed.map((eventId) => (
          <RowLink
            key={eventId}
            href={`/builds/events/${eventId}/site?part=right`}
            title={eventOf(eventId)}
            note={repairsText(repairs.filter((repair) => repair.eventId === eventId))}
          />
        ))}
        {built.length > 0 ? (
          <Button
            title="Save sizes as built as CSV"
            look="plain"
            onPress={() => keepCsv('as-built.csv', BUILT_COLUMNS, builtLines(built, names))}
          />
        ) : null}
        {repairs.length > 0 ? (
          <Button
            title="Save repairs as CSV"
            look="plain"
            onPress={() => keepCsv('repairs.csv', REPAIR_COLUMNS, repairLines(repairs, models, names))}
          />
        ) : null}
      </View>
    </Card>
  );
}
