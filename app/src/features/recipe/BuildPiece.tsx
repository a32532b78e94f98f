import type { PieceRecord } from '@leggero/contract';
import { View } from 'react-native';

import { RowLink } from '@/ui/RowLink';
import { Steps } from '@/ui/Steps';
import { Words } from '@/ui/Words';
import { massText } from '@/wording/baseWeight';
import { FORM_WORDS, pieceTitle } from '@/wording/pieces';
import { clustersText, takenText } from '@/wording/recipe';
import { buildHow } from '@/wording/stepHow';

import { howOf } from './howOf';
import type { EventWork } from '@/parts/useEventWork';

/** How one piece is built: what is put on, how it is turned and locked, and what it takes beside balloons. */
export function BuildPiece({ piece, work: { works, basis } }: { piece: PieceRecord; work: EventWork }) {
  const own = works.find(({ piece: id }) => id === piece.id);
  const { text, unit } = basis.lengths;
  const takes = own?.takes.map((taken) => takenText(taken, { text, mass: (kg) => massText(kg, unit) })) ?? [];
  return (
    <View className="gap-2">
      <RowLink
        href={`/builds/${piece.id}`}
        title={pieceTitle(piece)}
        note={`${FORM_WORDS[piece.design.form].title} · ${clustersText(own?.clusters ?? 0)}`}
      />
      <Steps steps={buildHow(howOf(piece.design))} />
      {takes.length > 0 ? <Words look="quiet">{`With ${takes.join(' · ')}`}</Words> : null}
    </View>
  );
}
