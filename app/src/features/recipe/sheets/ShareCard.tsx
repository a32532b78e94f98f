import { isAtLeast } from '@leggero/contract';
import type { GivenCode } from '@leggero/contract/crew';
import { SHARE_ROUTES, type Share, type SharedContent } from '@leggero/contract/share';
import { useState } from 'react';
import { View } from 'react-native';

import { roleHere } from '@/data/access';
import { useShares, useSharesRenewed } from '@/data/shares';
import { useSending } from '@/data/useSending';
import { newId } from '@/device/id';
import { CodeShown } from '@/parts/CodeShown';
import { ActionRow } from '@/ui/ActionRow';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Labelled } from '@/ui/Field';
import { PickChips } from '@/ui/PickChips';
import { Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { WrongLine } from '@/ui/WrongLine';
import { SHARE_WORDS, SHARED_DAYS, shareNote } from '@/wording/shares';

interface ShareCardProps {
  eventId: string;
  /** Makes what the client is shown, once its pictures are drawn, and what another studio takes in. */
  contents: { [Kind in Share['kind']]: (() => Promise<Extract<SharedContent, { kind: Kind }>>) | null };
}

/** Shares an event by a link: as a page for its client, as a copy for another studio. For planners. */
export function ShareCard({ eventId, contents }: ShareCardProps) {
  return isAtLeast(roleHere(), 'planner') ? <Sharing eventId={eventId} contents={contents} /> : null;
}

function Sharing({ eventId, contents }: ShareCardProps) {
  const [days, setDays] = useState<(typeof SHARED_DAYS)[number]['value']>('30');
  const [given, setGiven] = useState<{ code: GivenCode; kind: Share['kind'] } | null>(null);
  const { send, busy, wrong } = useSending(SHARE_ROUTES.share);
  const renew = useSharesRenewed();
  const share = async (kind: Share['kind']) => {
    const content = await contents[kind]?.();
    if (!content) return;
    const sent = await send({ body: { id: newId(), eventId, days: Number(days), content } });
    if (sent) setGiven({ code: sent.answer, kind });
    await renew();
  };
  return (
    <Card title="By a link" className="no-print">
      <View className="gap-3">
        <Words look="quiet">
          Whoever has the link sees it as it is now, without signing in, and nothing else of the studio: no costs.
        </Words>
        <Labelled label="Until">
          <PickChips label="Until" options={SHARED_DAYS} value={days} onChange={setDays} />
        </Labelled>
        <View className="flex-row flex-wrap gap-3">
          {(['sheet', 'copy'] as const).map((kind) => (
            <Button
              key={kind}
              title={SHARE_WORDS[kind].share}
              tall
              className="flex-1"
              disabled={busy || contents[kind] === null}
              onPress={() => void share(kind)}
            />
          ))}
        </View>
        <WrongLine wrong={wrong} />
        <Shared eventId={eventId} />
      </View>
      <Sheet title={given ? SHARE_WORDS[given.kind].title : ''} open={given !== null} onClose={() => setGiven(null)}>
        {given ? (
          <View className="gap-3">
            <CodeShown page="/shared" given={given.code} says={SHARE_WORDS[given.kind].says} />
          </View>
        ) : null}
      </Sheet>
    </Card>
  );
}

/** What is shared of it by now, each to be ended. */
function Shared({ eventId }: { eventId: string }) {
  const shares = useShares(eventId).data ?? [];
  const { send, busy } = useSending(SHARE_ROUTES.endShare);
  const renew = useSharesRenewed();
  const end = (id: string) => void send({ id }).then(renew);
  return (
    <View role="list" className="gap-3">
      {shares.map((share) => (
        <View key={share.id} role="listitem">
          <ActionRow
            title={SHARE_WORDS[share.kind].title}
            note={shareNote(share)}
            action={{ title: 'End it', busy, onPress: () => end(share.id) }}
          />
        </View>
      ))}
    </View>
  );
}
