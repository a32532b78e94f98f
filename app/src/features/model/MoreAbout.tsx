import type { ModelDetail } from '@leggero/contract';
import { View } from 'react-native';

import { RowLink } from '@/ui/RowLink';
import { DECOR_WORDS, FINISH_WORDS } from '@/wording/trade';

/** What else there is to know of a balloon: how it is stuffed or what it pairs with, and its finish. */
export function MoreAbout({ model }: { model: ModelDetail }) {
  const { id, outerId, finish, decor } = model;
  const looks =
    decor === 'none' ? FINISH_WORDS[finish] : `${FINISH_WORDS[finish]}, ${DECOR_WORDS[decor].toLowerCase()}`;
  return (
    <View className="gap-2">
      {outerId === null ? (
        <RowLink href={`/shelf/pair?outer=${id}`} title="Stuff it" note="Pair it with a balloon inside" />
      ) : (
        <RowLink href={`/shelf/${id}/stuffing`} title="How to stuff it" note="Which governs, steps, colour, pressure" />
      )}
      <RowLink
        href={`/shelf/${id}/finish`}
        title="Colour and shine"
        note={`${looks}: what stretch does${finish === 'mirror' ? ', and smaller than it shines' : ''}`}
      />
    </View>
  );
}
