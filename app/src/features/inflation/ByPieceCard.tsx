import type { EventRecord } from '@leggero/contract';
import { piecesTook } from '@leggero/core/recipe';
import { View } from 'react-native';

import { usePieces } from '@/data/records';
import { useRepairs } from '@/data/site';
import { keepCsv } from '@/parts/keepCsv';
import type { EventWork } from '@/parts/useEventWork';
import { Worked } from '@/parts/Worked';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import type { ShownRun } from '@/views/inflation';
import { BY_PIECE_COLUMNS, byPieceLines, type ShownTook } from '@/views/logFiles';
import { madeBatches } from '@/views/madeBatches';
import { elsewhereText, tookText } from '@/wording/logbook';

interface ByPieceCardProps {
  event: EventRecord;
  runs: readonly ShownRun[];
}

/** What each piece of an event took in its runs, against its plan. */
export function ByPieceCard({ event, runs }: ByPieceCardProps) {
  return (
    <Card title="Piece by piece">
      <Worked event={event}>{(work) => <ByPiece {...{ event, runs, work }} />}</Worked>
    </Card>
  );
}

function ByPiece({ event, runs, work }: ByPieceCardProps & { work: EventWork }) {
  const names = new Map(usePieces().data?.map(({ id, name }) => [id, name]));
  const repairs = useRepairs(event.id) ?? [];
  const { sized, eye } = work.pricing.trade.paceS;
  const made = madeBatches(runs, sized);
  const { pieces, elsewhere } = piecesTook({ batches: work.recipe.batches, made });
  const shown = pieces.map((took): ShownTook => ({
    ...took,
    name: names.get(took.piece) ?? '',
    plannedS: took.planned * (work.plan.sized ? sized : eye),
    anew: repairs.filter(({ pieceId }) => pieceId === took.piece).length,
  }));
  return (
    <View className="gap-2">
      {shown.map((took) => (
        <RowLink key={took.piece} href={`/builds/pieces/${took.piece}`} title={took.name} note={tookText(took)} />
      ))}
      <Words look="quiet" className="px-3">
        At your stations, pauses left out; what is filled in one go for several pieces is shared by their counts.
        {elsewhereText(elsewhere)}
      </Words>
      <Button
        title="Save it by piece as CSV"
        look="plain"
        onPress={() => keepCsv('by-piece.csv', BY_PIECE_COLUMNS, byPieceLines(event.name, shown))}
      />
    </View>
  );
}
