import type { ModelRecord } from '@leggero/contract';
import { isWidthKind } from '@leggero/core';
import { router, usePathname } from 'expo-router';
import Plus from 'lucide-react-native/icons/plus';
import { Suspense, useRef, useState } from 'react';
import { FlatList, View, type TextInput } from 'react-native';

import { may } from '@/data/access';
import { useKnowledge } from '@/data/knowledge';
import { useModels, useShelf, useStudio, useTiers } from '@/data/records';
import { Elsewhere } from '@/chunks';
import { Searcher } from '@/parts/useSearch';
import { Button, IconButton } from '@/ui/Button';
import { Page } from '@/ui/Page';
import { SearchField } from '@/ui/SearchField';
import { Empty, Failed, Loading } from '@/ui/States';
import { useKeys } from '@/ui/useKeys';
import type { Search } from '@/wording/search';
import { counted } from '@/wording/trade';

import { OtherRow } from './OtherRow';
import { ComingRow, ShelfRow } from './ShelfRow';
import { ShelfTools } from './ShelfTools';

const addBalloon = () => router.navigate('/shelf/new');
/** Stands for the last row. */
const TOOLS = 'tools' as const;
const ROWS = { gap: 8, paddingHorizontal: 16, paddingTop: 6, paddingBottom: 24 };

/** Every balloon model, each with its first target as a small aperture. */
export function ShelfList() {
  const names = useModels();
  const shelf = useShelf();
  const tiers = useTiers().data;
  const studio = useStudio().data;
  const knowledge = useKnowledge();
  const path = usePathname();
  const [sought, setSought] = useState('');
  const field = useRef<TextInput>(null);
  const onShelf = path === '/shelf';
  useKeys({
    '/': () => (field.current ? field.current.focus() : router.navigate('/search')),
    ...(onShelf && may('model') ? { n: addBalloon } : {}),
  });

  // The names stand there at once; what is known of each comes as it is worked out.
  const models: readonly ModelRecord[] | undefined = shelf.data ?? names.data;
  const known = knowledge && new Map(knowledge.models.map((model) => [model.id, model]));
  const [search, setSearch] = useState<Search>();
  const hits = sought.trim() === '' ? undefined : search?.(sought);
  const among = hits && new Set(hits.filter(({ kind }) => kind === 'balloon').map(({ id }) => id));
  const found = among ? models?.filter(({ id }) => among.has(id)) : models;

  const ready = models && found && tiers && studio;
  return (
    <Page
      title="Shelf"
      subtitle={ready ? counted(models.length, 'balloon') : undefined}
      ownScroll={Boolean(ready && models.length > 0)}
      aside={may('model') ? <IconButton label="Add a balloon" icon={Plus} onPress={addBalloon} /> : null}
    >
      {names.error && !ready ? (
        <Failed sentence="The shelf could not be read." onRetry={names.refetch} />
      ) : !ready ? (
        <Loading what="the shelf" />
      ) : models.length === 0 ? (
        <Empty
          sentence="Add the first balloon: its line, size and colour are on the bag."
          action={
            <View className="gap-3">
              <Button title="Add a balloon" look="primary" tall onPress={addBalloon} />
              <Button title="Be led through the first minutes" onPress={() => router.navigate('/start')} />
            </View>
          }
        />
      ) : (
        <FlatList
          // The tools are a row too: a footer would be there before the rows above it, and be pushed away from a finger.
          data={[...found, TOOLS]}
          aria-busy={!knowledge}
          keyExtractor={(row) => (row === TOOLS ? row : row.id)}
          // A few rows at a time: each draws a balloon.
          initialNumToRender={10}
          maxToRenderPerBatch={3}
          windowSize={5}
          contentContainerStyle={ROWS}
          ListHeaderComponent={
            <>
              {sought === '' ? null : <Searcher keep={setSearch} />}
              <SearchField
                ref={field}
                label="Search the shelf"
                placeholder="Line, size, colour, or what to do"
                value={sought}
                onChangeText={setSought}
              />
              {found.length === 0 ? <Empty sentence={`No balloon here is called “${sought.trim()}”.`} /> : null}
            </>
          }
          renderItem={({ item }) => {
            if (item === TOOLS) {
              return hits ? (
                <Suspense>
                  <Elsewhere hits={hits} />
                </Suspense>
              ) : (
                <ShelfTools />
              );
            }
            const chosen = path.startsWith(`/shelf/${item.id}`);
            if (!isWidthKind(item.kind)) return <OtherRow model={item} chosen={chosen} />;
            const model = known?.get(item.id);
            return model && knowledge ? (
              <ShelfRow model={model} tiers={tiers} studio={studio} knowledge={knowledge} chosen={chosen} />
            ) : (
              <ComingRow model={item} chosen={chosen} />
            );
          }}
        />
      )}
    </Page>
  );
}
