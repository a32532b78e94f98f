import { shareOut } from '../supply/shareOut';
import { balloonOfBatch, type Batch } from './recipeOf';

/** What was made of something. */
interface Took {
  done: number;
  lost: number;
  /** At stations, pauses left out, s; null where it is not known. */
  workedS: number | null;
}

/** A batch as a run made it. */
export interface MadeBatch extends Took {
  /** As the recipe knew it then. */
  key: string;
  fillMm: number;
}

/** What filling a piece's balloons took, beside what it asks for. */
export interface PieceTook extends Took {
  piece: string;
  /** Balloons it asks for, all its copies together. */
  planned: number;
}

/** What the pieces of a recipe took, and balloons that were made for none of them as they are drawn now. */
export interface PiecesTook {
  pieces: PieceTook[];
  elsewhere: number;
}

type RecipeBatch = Pick<Batch, 'key' | 'fillMm' | 'of'>;

/**
 * What each piece of a recipe took of what runs made. A batch that was made is the recipe's own of its balloon and
 * target, or else the one of its balloon that is nearest to it: what was learned since moves targets. What is filled in
 * one go for several pieces is shared by how many each asks for: balloons whole, so that they add up to what was made
 * and lost, and time in proportion. Of a piece with a part that was made in an unknown time no time is told.
 */
export function piecesTook({
  batches,
  made,
}: {
  batches: readonly RecipeBatch[];
  made: readonly MadeBatch[];
}): PiecesTook {
  const pieces = new Map<string, PieceTook>();
  for (const { piece, count } of batches.flatMap(({ of }) => of)) {
    const took = pieces.get(piece);
    pieces.set(piece, { piece, planned: (took?.planned ?? 0) + count, done: 0, lost: 0, workedS: 0 });
  }
  let elsewhere = 0;
  for (const each of made) {
    const { of } = nearestTo(each, batches) ?? { of: [] };
    if (of.length === 0) elsewhere += each.done;
    const counts = of.map(({ count }) => count);
    const all = counts.reduce((sum, count) => sum + count, 0);
    const [done, lost] = [shareOut(each.done, counts), shareOut(each.lost, counts)];
    of.forEach(({ piece, count }, i) => {
      const took = pieces.get(piece)!;
      took.done += done[i]!;
      took.lost += lost[i]!;
      took.workedS =
        took.workedS === null || each.workedS === null ? null : took.workedS + (each.workedS * count) / all;
    });
  }
  return { pieces: [...pieces.values()], elsewhere };
}

/** The batch of a recipe that one of a run was made for. */
function nearestTo({ key, fillMm }: MadeBatch, batches: readonly RecipeBatch[]): RecipeBatch | undefined {
  const far = (batch: RecipeBatch) => (batch.key === key ? -1 : Math.abs(batch.fillMm - fillMm));
  return batches
    .filter((batch) => balloonOfBatch(batch.key) === balloonOfBatch(key))
    .reduce<RecipeBatch | undefined>((best, batch) => (best && far(best) <= far(batch) ? best : batch), undefined);
}
