import type { EventWork } from '@/parts/useEventWork';
import type { ModelRecord, PieceRecord } from '@leggero/contract';

import type { Lengths } from '@/views/lengths';
import { pieceTitle } from '@/wording/pieces';
import { batchMark } from '@/wording/batchMark';

import { batchHow, batchTargets } from '../batchHow';
import { lookIn } from '@/parts/look';

/** The batches of a recipe as a table for spreadsheets: a line a batch, lengths with their unit in the header. */
export async function recipeCsv(
  { recipe, basis }: EventWork,
  { models, pieces, lengths }: { models: readonly ModelRecord[]; pieces: readonly PieceRecord[]; lengths: Lengths },
): Promise<string> {
  // Only who saves one needs it.
  const { default: Papa } = await import('papaparse');
  const targets = batchTargets(recipe.batches, models, basis);
  const titleOf = new Map(pieces.map((piece) => [piece.id, pieceTitle(piece)]));
  const round = (mm: number) => Number(mm.toFixed(1));
  const data = recipe.batches.map((batch, i) => {
    const look = lookIn(batch.balloon, models);
    const target = targets.get(batch.key) ?? null;
    return {
      batch: batchMark(i),
      balloon: look.name,
      colour: look.colour,
      'fill to (mm)': round(batch.fillMm),
      'tolerance (mm)': round(batch.toleranceMm),
      count: batch.count,
      how: batchHow(batch, look, target, { lengths, sizers: basis.sizers, trade: basis.knowledge.trade }),
      'first bag': batch.bags.from,
      'last bag': batch.bags.to,
      'looks like': batch.alike.map((key) => batchMark(recipe.batches.findIndex((each) => each.key === key))).join(' '),
      pieces: batch.of.map(({ piece, count }) => `${titleOf.get(piece)} ${count}`).join('; '),
    };
  });
  return `${Papa.unparse(data, { newline: '\r\n', escapeFormulae: true })}\r\n`;
}
