import type { ModelDetail } from '@leggero/contract';
import { View } from 'react-native';

import { RowLink } from '@/ui/RowLink';
import { BALLOON_TOOLS } from '@/wording/thingTools';
import { DECOR_WORDS, FINISH_WORDS } from '@/wording/trade';

/** What else there is to know of a balloon: how it is stuffed or what it pairs with, its finish, its likes. */
export function MoreAbout({ model }: { model: ModelDetail }) {
  const { id, outerId, finish: look, decor } = model;
  const { stuff, finish, stock, log, compare, translate } = BALLOON_TOOLS;
  const looks = decor === 'none' ? FINISH_WORDS[look] : `${FINISH_WORDS[look]}, ${DECOR_WORDS[decor].toLowerCase()}`;
  return (
    <View className="gap-2">
      {outerId === null ? (
        <RowLink href={stuff.hrefOf(id)} title={stuff.title} note="Pair it with a balloon inside" />
      ) : (
        <RowLink href={`/shelf/${id}/stuffing`} title="How to stuff it" note="Which governs, steps, colour, pressure" />
      )}
      <RowLink
        href={finish.hrefOf(id)}
        title={finish.title}
        note={`${looks}: what stretch does${look === 'mirror' ? ', and smaller than it shines' : ''}`}
      />
      <RowLink href={stock.hrefOf(id)} title={stock.title} note="What is there, bags, losses, price" />
      <RowLink href={log.hrefOf(id)} title={log.title} note="How steady, and what moved them" />
      <RowLink href={compare.hrefOf(id)} title={compare.title} note="Or let another stand in for it" />
      <RowLink
        href={translate.hrefOf(id)}
        title={translate.title}
        note="Another pump’s doses, as widths and as your own"
      />
    </View>
  );
}
