import { useLocalSearchParams, router } from 'expo-router';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { useChains, useModels } from '@/data/records';
import { smallPicture } from '@/device/smallPicture';
import type { Paper } from '@/parts/paper/paper';
import { paperPdf } from '@/parts/paper/paperPdf';
import { PaperView } from '@/parts/paper/PaperView';
import { PrintButtons } from '@/parts/paper/PrintButtons';
import { sharedSheetOf } from '@/parts/paper/sharedSheet';
import type { ShownEvent } from '@/parts/WithEvent';
import { Segmented } from '@/ui/Segmented';
import { Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { whenAndWhere } from '@/wording/events';

import type { EventWork } from '@/parts/useEventWork';
import { WithEventWork } from '@/parts/WithEventWork';
import { benchSheet } from './benchSheet';
import { clientSheet } from './clientSheet';
import { fileOfEvent } from './filesOf';
import { SaveFiles } from './SaveFiles';
import { ShareCard } from './ShareCard';
import { siteSheet } from './siteSheet';
import { useThings } from './useThings';

const SHEETS = [
  { value: 'bench', title: 'Bench' },
  { value: 'site', title: 'Site' },
  { value: 'client', title: 'Client' },
] as const;
type SheetFor = (typeof SHEETS)[number]['value'];

/** Sheets of an event as they are printed: for the bench, for the site, for the client. */
export function EventSheetPage({ eventId }: { eventId: string }) {
  return (
    <WithEventWork eventId={eventId} title="Sheets" subtitle={() => 'For the bench, the site and the client'}>
      {(shown) => <Sheets {...shown} />}
    </WithEventWork>
  );
}

function Sheets({ event, pieces, studio, work }: ShownEvent & { work: EventWork }) {
  const { for: wanted } = useLocalSearchParams<{ for?: string }>();
  const lengths = useLengths();
  const models = useModels().data ?? [];
  const chains = useChains().data ?? [];
  const things = useThings(pieces);
  const sheet = SHEETS.find(({ value }) => value === wanted)?.value ?? 'bench';
  const of = { name: event.name, where: whenAndWhere(event), pieces, models, work, lengths };
  const pictured = things && { ...of, event, things, workroomTempC: event.workroomTempC ?? studio.workroomTempC };
  const paper = paperFor(sheet, of, pictured);
  return (
    <View className="w-full max-w-[760px] gap-3">
      <View className="no-print gap-3">
        <Segmented
          label="Which sheet"
          options={SHEETS}
          value={sheet}
          onChange={(value) => router.setParams({ for: value })}
        />
        {paper ? (
          <PrintButtons
            name={paper.title}
            draw={() => paperPdf(paper, { head: studio.name, size: lengths.unit === 'in' ? 'letter' : 'a4' })}
          />
        ) : null}
      </View>
      {paper ? (
        <>
          <Words look="title" level={2}>
            {paper.title}
          </Words>
          <Words look="quiet">{paper.subtitle}</Words>
          <PaperView paper={paper} />
        </>
      ) : (
        <Loading what="the pictures" />
      )}
      <ShareCard
        eventId={event.id}
        contents={{
          sheet:
            pictured &&
            (async () => ({ kind: 'sheet', sheet: await sharedSheetOf(clientSheet(pictured), smallPicture) })),
          copy: async () => ({ kind: 'copy', file: fileOfEvent({ event, pieces, models, chains, work }) }),
        }}
      />
      <SaveFiles {...{ event, pieces, work, things }} />
    </View>
  );
}

function paperFor(
  sheet: SheetFor,
  of: Parameters<typeof benchSheet>[0],
  pictured: Parameters<typeof siteSheet>[0] | null,
): Paper | null {
  if (sheet === 'bench') return benchSheet(of);
  if (!pictured) return null;
  return sheet === 'site' ? siteSheet(pictured) : clientSheet(pictured);
}
