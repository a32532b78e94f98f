import type { PieceRecord } from '@leggero/contract';
import { router, usePathname } from 'expo-router';
import Plus from 'lucide-react-native/icons/plus';
import { FlatList } from 'react-native';

import { usePieces } from '@/data/records';
import { Button, IconButton } from '@/ui/Button';
import { Page } from '@/ui/Page';
import { RowLink } from '@/ui/RowLink';
import { Empty, Failed, Loading } from '@/ui/States';
import { useKeys } from '@/ui/useKeys';
import { FORM_WORDS } from '@/wording/pieces';
import { counted } from '@/wording/trade';

import { SearchLink } from '@/parts/SearchLink';
import { PieceStill } from '@/parts/PieceStill';

const draw = () => router.navigate('/builds/new');

const ROWS = { gap: 12, paddingHorizontal: 16, paddingTop: 6, paddingBottom: 24 };

/** Every piece that was drawn up, newest first. */
export function BuildList() {
  const pieces = usePieces();
  const path = usePathname();
  useKeys(path === '/builds' ? { n: draw } : {});
  return (
    <Page
      title="Builds"
      subtitle={pieces.data ? counted(pieces.data.length, 'piece') : undefined}
      ownScroll={Boolean(pieces.data)}
      aside={<IconButton label="Draw up a piece" icon={Plus} onPress={draw} />}
    >
      {pieces.data ? (
        <FlatList
          data={pieces.data}
          keyExtractor={({ id }) => id}
          initialNumToRender={10}
          maxToRenderPerBatch={5}
          windowSize={5}
          contentContainerStyle={ROWS}
          ListHeaderComponent={<SearchLink />}
          ListEmptyComponent={
            <Empty
              sentence="Draw up the first piece: a chain, a curtain, a basket. Its sizes and counts are worked out."
              action={<Button title="Draw up a piece" look="primary" tall onPress={draw} />}
            />
          }
          renderItem={({ item }) => <PieceRow piece={item} />}
        />
      ) : pieces.error ? (
        <Failed sentence="The builds could not be read." onRetry={pieces.refetch} />
      ) : (
        <Loading what="the builds" />
      )}
    </Page>
  );
}

/** A piece as it looks, what it is, and how much of it is to be checked. */
function PieceRow({ piece: { id, name, design, checks } }: { piece: PieceRecord }) {
  const left = checks.reduce((sum, { size, results }) => sum + Math.max(0, size - results.length), 0);
  const state = checks.length === 0 ? '' : left === 0 ? ' · all checked' : ` · ${left} to check`;
  return (
    <RowLink href={`/builds/${id}`} title={name} note={`${FORM_WORDS[design.form].title}${state}`}>
      <PieceStill id={id} design={design} size={64} />
    </RowLink>
  );
}
