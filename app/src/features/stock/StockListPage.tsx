import { View } from 'react-native';

import { useModels } from '@/data/records';
import { useStockBook } from '@/data/stock';
import { Page } from '@/ui/Page';
import { RowLink } from '@/ui/RowLink';
import { Empty, Loading } from '@/ui/States';
import { useWide } from '@/ui/layout';
import { Words } from '@/ui/Words';
import { balloonName } from '@/views/modelView';
import { stockNote } from '@/wording/stock';

import { StockFiles } from './StockFiles';

/** What there is of every balloon, and the same as a file. */
export function StockListPage() {
  const wide = useWide();
  const models = useModels().data;
  const book = useStockBook();
  if (!models || !book)
    return (
      <Page title="Stock" back={wide ? undefined : '/shelf'}>
        <Loading what="the stock" />
      </Page>
    );
  const single = models.filter(({ outerId }) => outerId === null);
  return (
    <Page title="Stock" back={wide ? undefined : '/shelf'}>
      <View className="w-full max-w-[760px] gap-3">
        {single.length === 0 ? <Empty sentence="Put a balloon on the shelf, and its stock can be kept." /> : null}
        {single.map((model) => (
          <RowLink
            key={model.id}
            href={`/shelf/${model.id}/stock`}
            title={balloonName(model)}
            note={stockNote(book.of(model.id))}
          >
            <Words look="figure" className="w-14 text-[20px] leading-6">
              {book.of(model.id).unknown ? '–' : String(book.of(model.id).there)}
            </Words>
          </RowLink>
        ))}
        <StockFiles />
      </View>
    </Page>
  );
}
