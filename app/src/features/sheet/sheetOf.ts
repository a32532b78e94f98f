import type { ShelfModel, SizerRecord } from '@leggero/contract';
import type { Trade } from '@leggero/core';

import type { Lengths } from '@/views/lengths';
import { bestHole, targetOf } from '@/views/holes';
import { modelName, type ModelView } from '@/views/modelView';
import { roundLimitText } from '@/wording/target';
import { dosed, feelOf, FINISH_WORDS, KIND_WORDS, ORIGIN_WORDS, standing } from '@/wording/trade';

/** One line of a target sheet, in words. */
export interface SheetRow {
  tier: string;
  purpose: string;
  feel: string;
  width: string;
  tolerance: string;
  hole: string;
  dose: string;
  tape: string;
  origin: string;
  /** Share of nominal, for the drawing. */
  share: number;
}

/** A target sheet as it is printed: everything in words, and what the drawing needs. */
export interface Sheet {
  id: string;
  title: string;
  subtitle: string;
  colourHex: string;
  rows: SheetRow[];
  notes: string[];
}

interface SheetOptions {
  model: ShelfModel;
  view: ModelView;
  sizers: readonly SizerRecord[];
  lengths: Lengths;
  daysStanding: number;
  trade: Trade;
}

/** Words a model's targets for paper. */
export function sheetOf({ model, view, sizers, lengths, daysStanding, trade }: SheetOptions): Sheet {
  const { pump, fit, curve, targets } = view;
  const kind = curve?.inflator ?? 'hand';
  const rows = targets.map(({ tier, target }): SheetRow => {
    const hole = bestHole(sizers, targetOf(model, target), trade)?.choice;
    const gap = hole?.how === 'gap' ? `, gap ${lengths.bare(hole.gapMm)}` : '';
    return {
      tier: tier.name,
      purpose: tier.purpose,
      feel: feelOf(target.widthMm / model.nominalMm),
      width: lengths.text(target.widthMm),
      tolerance: `±${lengths.bare(target.toleranceMm)}`,
      hole: hole ? `${hole.hole.label}${gap}` : '–',
      dose: target.dose ? dosed(target.dose.dose, kind) : '–',
      tape: lengths.text(target.circumferenceMm),
      origin: ORIGIN_WORDS[target.origin],
      share: target.widthMm / model.nominalMm,
    };
  });
  const notes = [
    fit ? roundLimitText(fit.shape.roundLimit, lengths.text) : 'Never measured: check the first few at the hole.',
    `Stands: ${standing(daysStanding)}.${pump ? ` Doses with ${pump.name}.` : ''}`,
  ];
  return {
    id: model.id,
    title: modelName(model),
    subtitle: `${KIND_WORDS[model.kind].toLowerCase()}, ${FINISH_WORDS[model.finish].toLowerCase()} · ${model.colourName}`,
    colourHex: model.colourHex,
    rows,
    notes,
  };
}
