import { modelAtWidth } from '@leggero/core/calibrating';

import { balloonName, comparedModel } from '@/views/modelView';

import type { Compared } from './compared';

export const COMPARE_COLUMNS = [
  ...(['balloon', 'width (mm)', 'of nominal', 'dose', 'dose from', 'dose to', 'dose in'] as const),
  ...(['aspect', 'spread (mm)', 'loss a day (mm)', 'burst', 'filled'] as const),
] as const;

const figure = (value: number | null, places: number): number | '' =>
  value === null ? '' : Number(value.toFixed(places));

/** Balloons at one width as lines; what is not known stays empty. */
export function compareLines(
  compared: readonly Compared[],
  widthMm: number,
): Record<(typeof COMPARE_COLUMNS)[number], string | number>[] {
  return compared.map(({ model, view }) => {
    const subject = comparedModel(model, view);
    const at = modelAtWidth({ model: subject, widthMm });
    const { dose, doseLow, doseHigh, fraction, aspect, spreadMm, lostADayMm } = at.ok ? at.value : NOTHING;
    return {
      ...{ balloon: balloonName(model), 'width (mm)': figure(widthMm, 2), 'of nominal': figure(fraction, 3) },
      ...{ dose: figure(dose, 2), 'dose from': figure(doseLow, 2), 'dose to': figure(doseHigh, 2) },
      'dose in': dose === null ? '' : view.curve?.inflator === 'timed' ? 'seconds' : 'strokes',
      ...{ aspect: figure(aspect, 3), 'spread (mm)': figure(spreadMm, 2), 'loss a day (mm)': figure(lostADayMm, 2) },
      ...{ burst: subject.burst, filled: subject.filled },
    };
  });
}

const NOTHING = {
  ...{ dose: null, doseLow: null, doseHigh: null, fraction: null, aspect: null, spreadMm: null, lostADayMm: null },
};
