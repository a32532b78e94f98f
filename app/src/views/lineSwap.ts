import type { PieceDesign, PiecePart } from '@leggero/contract';

import { namedModels } from './namedModels';
import { colourApart, made, standsFor, type Sold } from './swap';

/** Another line in place of one, as far as the pieces use that. */
export interface LineStandIn {
  line: string;
  /** What stands in, a balloon each for those that have a stand-in. */
  standIns: Sold[];
  /** Balloons of the replaced line that are used. */
  used: number;
  /** How far the farthest stand-in is in colour, as OKLab has it. */
  mostApart: number;
}

/** The nearest in colour of a line’s balloons of the same kind and nominal size, its own finish first of equals. */
function nearestIn(line: string, own: Sold, models: readonly Sold[]): Sold | null {
  const possible = models.filter((model) => model.line === line && standsFor(model, own));
  const offBy = (model: Sold) => [colourApart(own, model), Number(model.finish !== own.finish)] as const;
  return (
    possible.sort((a, b) => {
      const [[aApart, aFinish], [bApart, bFinish]] = [offBy(a), offBy(b)];
      return aApart - bApart || aFinish - bFinish;
    })[0] ?? null
  );
}

const ofLine = (own: Sold | undefined, from: Sold): own is Sold =>
  own !== undefined && own.line === from.line && own.kind === from.kind && own.outerId === null;

/**
 * By what a part is made once a whole line is swapped for another: every balloon of the line of `from` and of its kind
 * becomes the nearest colour of `to` in its own nominal size; what `to` does not have in that size stays.
 */
export function lineSwapOf({
  from,
  to,
  models,
}: {
  from: Sold;
  to: string;
  models: readonly Sold[];
}): (part: PiecePart) => PiecePart | null {
  const known = new Map(models.map((model) => [model.id, model]));
  return ({ modelId }) => {
    const own = modelId === null ? undefined : known.get(modelId);
    const nearest = ofLine(own, from) ? nearestIn(to, own, models) : null;
    return nearest && made(nearest);
  };
}

/** Lines that may stand in for the line of a balloon in these designs: those with most of its sizes first, then by colour. */
export function linesFor(from: Sold, designs: readonly PieceDesign[], models: readonly Sold[]): LineStandIn[] {
  const named = new Set(designs.flatMap(namedModels));
  const used = models.filter((model) => named.has(model.id) && ofLine(model, from));
  const lines = [...new Set(models.map(({ line }) => line))].filter((line) => line !== from.line);
  return lines
    .map((line): LineStandIn => {
      const pairs = used.flatMap((own) => {
        const nearest = nearestIn(line, own, models);
        return nearest ? [{ own, nearest }] : [];
      });
      return {
        line,
        standIns: pairs.map(({ nearest }) => nearest),
        used: used.length,
        mostApart: Math.max(0, ...pairs.map(({ own, nearest }) => colourApart(own, nearest))),
      };
    })
    .filter(({ standIns }) => standIns.length > 0)
    .sort((a, b) => b.standIns.length - a.standIns.length || a.mostApart - b.mostApart);
}
