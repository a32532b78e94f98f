import type { EventFile } from '@leggero/contract/eventFile';
import type { Shared, SharedSheet } from '@leggero/contract/share';
import { router } from 'expo-router';
import { useState, type ReactNode } from 'react';
import { ScrollView, View } from 'react-native';

import { useAccess } from '@/data/access';
import { useHeldCopy, useShared } from '@/data/shares';
import { fileName, keepFile } from '@/device/download';
import { takeHash } from '@/device/hash';
import { PaperView } from '@/parts/paper/PaperView';
import { paperOf } from '@/parts/paper/sharedSheet';
import { Button } from '@/ui/Button';
import { Failed, Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { momentText } from '@/wording/day';
import { counted } from '@/wording/trade';

/** What somebody shared by a link: a page for a client, or an event for another studio. */
export function SharedPage() {
  const [code] = useState(takeHash);
  const shared = useShared(code);
  if (shared.data) return <Shown shared={shared.data} />;
  if (shared.isFetching)
    return (
      <Frame>
        <Loading what="what was shared" />
      </Frame>
    );
  return (
    <Frame>
      <Failed
        sentence={shared.error?.message ?? 'This link lacks its end: open it as it was sent to you.'}
        {...(code === '' ? {} : { onRetry: () => void shared.refetch() })}
      />
    </Frame>
  );
}

function Shown({ shared: { content, studio, expiresAt } }: { shared: Shared }) {
  return (
    <Frame>
      {content.kind === 'sheet' ? <ForClient sheet={content.sheet} /> : <ForStudio file={content.file} />}
      <Words look="quiet">{`Shared by ${studio}, until ${momentText(expiresAt)}.`}</Words>
      <Words look="quiet">Estimates, not engineering approval. Local rules and licensed practice come first.</Words>
    </Frame>
  );
}

function ForClient({ sheet }: { sheet: SharedSheet }) {
  return (
    <>
      <Title title={sheet.title} subtitle={sheet.subtitle} />
      <PaperView paper={paperOf(sheet)} />
    </>
  );
}

function ForStudio({ file }: { file: EventFile }) {
  const access = useAccess((state) => state.access);
  const mayTake = access?.state === 'alone' || (access?.state === 'in' && access.at !== null);
  const take = () => {
    useHeldCopy.setState({ file });
    router.replace('/builds/events/new');
  };
  const save = () =>
    keepFile(JSON.stringify(file, null, 2), {
      name: fileName(`${file.event.name} event`, 'json'),
      type: 'application/json',
    });
  const what = [counted(file.pieces.length, 'piece'), counted(file.models.length, 'balloon')].join(', ');
  return (
    <>
      <Title title={file.event.name} subtitle={`An event to be taken in: ${what}`} />
      <Words>
        {mayTake
          ? 'It becomes an event of your studio. What either of you changes later stays with each.'
          : 'Sign in to your studio and open this link again, or keep it as a file that Leggero takes in elsewhere.'}
      </Words>
      <View className="flex-row flex-wrap gap-3">
        {mayTake ? (
          <Button title="Take it into my studio" look="primary" tall className="flex-1" onPress={take} />
        ) : null}
        <Button title="Keep it as a file" tall className="flex-1" onPress={save} />
      </View>
    </>
  );
}

function Title({ title, subtitle }: { title: string; subtitle: string }) {
  return (
    <View className="gap-1">
      <Words look="title" level={1}>
        {title}
      </Words>
      <Words look="quiet">{subtitle}</Words>
    </View>
  );
}

/** A page for whoever has a link: without the app around it. */
function Frame({ children }: { children: ReactNode }) {
  return (
    <View role="main" className="flex-1 bg-ground">
      {/* Keys scroll it too: it may have nothing else that they reach. */}
      <ScrollView tabIndex={0} contentContainerClassName="items-center px-4 py-8">
        <View className="w-full max-w-[760px] gap-4">{children}</View>
      </ScrollView>
    </View>
  );
}
