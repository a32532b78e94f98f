import type { ModelRecord, PieceRecord } from '@leggero/contract';

import type { Paper, PaperBlock, PaperRow } from '@/parts/paper/paper';
import type { Lengths } from '@/views/lengths';
import { FILLING_CAUTION } from '@/wording/cautions';
import { pieceTitle } from '@/wording/pieces';
import { batchMark } from '@/wording/batchMark';
import { bagsText, bundleTitle, clustersText, FINISHING, prepareSteps } from '@/wording/recipe';
import { buildHow } from '@/wording/stepHow';
import { capital, counted, listed } from '@/wording/trade';

import { batchHow, batchTargets } from '../batchHow';
import { howOf } from '../howOf';
import { lookIn } from '@/parts/look';
import type { EventWork } from '@/parts/useEventWork';

/** What a sheet of an event is made of. */
export interface SheetOf {
  name: string;
  /** When and where. */
  where: string;
  pieces: readonly PieceRecord[];
  models: readonly ModelRecord[];
  work: EventWork;
  /** As a tape and a hole are read. */
  lengths: Lengths;
}

/** For who stands at the bench: what to prepare, inflate, tie, build and finish. */
export function benchSheet({ name, where, pieces, models, work, lengths }: SheetOf): Paper {
  const { recipe, basis } = work;
  const { batches, bundles } = recipe;
  const titleOf = new Map(pieces.map((piece) => [piece.id, pieceTitle(piece)]));
  const forPieces = (of: readonly { piece: string; count: number }[]) =>
    of.map(({ piece, count }) => `${titleOf.get(piece)} ${count}`).join(', ');
  const markOf = new Map(batches.map(({ key }, i) => [key, batchMark(i)]));
  const batchOf = new Map(batches.map((batch) => [batch.key, batch]));
  const targets = batchTargets(batches, models, basis);
  const around = { lengths, sizers: basis.sizers, trade: basis.knowledge.trade };
  const inflate = batches.map((batch): PaperRow => {
    const look = lookIn(batch.balloon, models);
    const alike = batch.alike.map((key) => markOf.get(key)!);
    return {
      key: batch.key,
      dots: [{ widthMm: batch.fillMm, hex: look.colour }],
      mark: markOf.get(batch.key)!,
      title: `${lengths.text(batch.fillMm)} · ${look.name}`,
      notes: [
        batchHow(batch, look, targets.get(batch.key) ?? null, around),
        `${capital(bagsText(batch))} · ${forPieces(batch.of)}`,
        ...(alike.length > 0 ? [`Looks like ${listed(alike)}`] : []),
      ],
      figure: `× ${batch.count}`,
    };
  });
  const tie = bundles.map((bundle): PaperRow => {
    const marks = bundle.batches.map((key) => markOf.get(key)!);
    return {
      key: bundle.key,
      dots: bundle.batches.map((key) => {
        const { balloon, fillMm } = batchOf.get(key)!;
        return { widthMm: fillMm, hex: lookIn(balloon, models).colour };
      }),
      mark: '',
      title: `${capital(bundleTitle(marks.length))} of ${marks.join(' + ')}`,
      notes: [forPieces(bundle.of)],
      figure: `× ${bundle.count}`,
    };
  });
  const prepare = prepareSteps(batches, {
    markOf: (key) => markOf.get(key)!,
    nameOf: (balloon) => lookIn(balloon, models).name,
    stuffed: (balloon) => models.some(({ id, outerId }) => id === balloon && outerId !== null),
    preStretched: (key) => targets.get(key)?.preStretched ?? false,
  });
  const build = pieces.flatMap((piece): PaperBlock[] => {
    const clusters = work.works.find(({ piece: id }) => id === piece.id)?.clusters ?? 0;
    return [
      { kind: 'words', look: 'strong', text: `${pieceTitle(piece)}: ${clustersText(clusters)}` },
      { kind: 'ticks', lines: buildHow(howOf(piece.design)) },
    ];
  });
  const organic = pieces.some(({ design }) => design.form === 'garland');
  return {
    title: `${name}: bench`,
    subtitle: [where, `${counted(recipe.balloons, 'balloon')} in ${counted(recipe.bags, 'bag')}`]
      .filter((part) => part !== '')
      .join(' · '),
    blocks: [
      { kind: 'words', look: 'quiet', text: FILLING_CAUTION },
      ...(prepare.length > 0
        ? [
            { kind: 'heading' as const, text: 'Prepare' },
            { kind: 'ticks' as const, lines: prepare },
          ]
        : []),
      { kind: 'heading', text: 'Inflate' },
      { kind: 'rows', rows: inflate },
      ...(tie.length > 0
        ? [
            { kind: 'heading' as const, text: 'Tie' },
            { kind: 'rows' as const, rows: tie },
          ]
        : []),
      { kind: 'heading', text: 'Build' },
      ...build,
      ...(organic
        ? [
            { kind: 'heading' as const, text: 'Finish' },
            { kind: 'ticks' as const, lines: FINISHING },
          ]
        : []),
    ],
  };
}
