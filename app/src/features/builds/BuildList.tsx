import { router, usePathname } from 'expo-router';
import Plus from 'lucide-react-native/icons/plus';

import { usePieces } from '@/data/records';
import { Button, IconButton } from '@/ui/Button';
import { Page } from '@/ui/Page';
import { RowLink } from '@/ui/RowLink';
import { Empty, Failed, Loading } from '@/ui/States';
import { useKeys } from '@/ui/useKeys';
import { FORM_WORDS } from '@/wording/pieces';
import { counted } from '@/wording/trade';

import { SearchLink } from '@/parts/SearchLink';
import { PieceSymbol } from '@/parts/PieceSymbol';

const draw = () => router.navigate('/builds/new');

/** Every piece that was drawn up, newest first. */
export function BuildList() {
  const pieces = usePieces();
  const path = usePathname();
  useKeys(path === '/builds' ? { n: draw } : {});
  return (
    <Page
      title="Builds"
      subtitle={pieces.data ? counted(pieces.data.length, 'piece') : undefined}
      aside={<IconButton label="Draw up a piece" icon={Plus} onPress={draw} />}
    >
      <SearchLink />
      {pieces.data?.map(({ id, name, design, checks }) => {
        const left = checks.reduce((sum, { size, results }) => sum + Math.max(0, size - results.length), 0);
        const state = checks.length === 0 ? '' : left === 0 ? ' · all checked' : ` · ${left} to check`;
        return (
          <RowLink key={id} href={`/builds/${id}`} title={name} note={`${FORM_WORDS[design.form].title}${state}`}>
            <PieceSymbol design={design} />
          </RowLink>
        );
      })}
      {pieces.error && !pieces.data ? (
        <Failed sentence="The builds could not be read." onRetry={pieces.refetch} />
      ) : !pieces.data ? (
        <Loading what="the builds" />
      ) : pieces.data.length === 0 ? (
        <Empty
          sentence="Draw up the first piece: a chain, a curtain, a basket. Its sizes and counts are worked out."
          action={<Button title="Draw up a piece" look="primary" tall onPress={draw} />}
        />
      ) : null}
    </Page>
  );
}
