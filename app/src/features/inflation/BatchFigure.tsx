import type { ModelRecord } from '@leggero/contract';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { Aperture } from '@/parts/Aperture';
import { LengthFigure } from '@/parts/LengthFigure';
import { Tool } from '@/ui/Tool';
import { Words } from '@/ui/Words';
import type { SizerChoice } from '@/views/holes';
import type { ShownBatch } from '@/views/inflation';
import { chosenName, figureOf, modelName } from '@/views/modelView';
import { doseNote } from '@/wording/inflation';
import { capital, doseText } from '@/wording/trade';

interface BatchFigureProps {
  batch: ShownBatch;
  /** Strokes or seconds as they are given now. */
  dose: number | null;
  /** Null of a balloon that was not chosen from the shelf. */
  model: ModelRecord | null;
  hole: SizerChoice | null;
}

/** Read at arm's length. */
const TOOL_FIGURE = 'text-[30px] leading-9';

/** What is made: the balloon, its width as large as a phone has it, by which hole and dose. */
export function BatchFigure({ batch, dose, model, hole }: BatchFigureProps) {
  const { parts, text, bare, unit } = useLengths();
  const { fillMm: widthMm, toleranceMm, timed } = batch;
  const kind = timed ? 'timed' : 'hand';
  const name = chosenName(model);
  const look = model
    ? figureOf(model, null, widthMm)
    : {
        ...{ widthMm, heightMm: widthMm, nominalMm: 1.1 * widthMm },
        colourHex: batch.colourHex,
        finish: 'matte' as const,
      };
  return (
    <>
      <View className="flex-row items-center gap-4">
        <Aperture {...look} target={{ widthMm, toleranceMm }} size={68} label={name} />
        <View className="flex-1">
          <Words look="heading" level={2}>
            {model ? capital(model.colourName) : 'Any balloon'}
          </Words>
          <Words look="quiet">{model ? modelName(model) : name}</Words>
        </View>
      </View>
      <View
        role="status"
        aria-label={`${text(widthMm)} across, ${text(toleranceMm)} either way`}
        className="-mb-1 -mt-3 items-center"
      >
        <LengthFigure parts={parts(widthMm)} size={150} />
        <Words look="quiet">{`${unit === 'in' ? 'inches' : 'cm'} across, ${bare(toleranceMm)} either way`}</Words>
      </View>
      <View className="flex-row gap-2">
        <Tool
          className={TOOL_FIGURE}
          title="Hole"
          figure={hole?.choice.hole.label ?? '–'}
          note={
            hole === null
              ? 'no sizer has one'
              : hole.choice.how === 'gap'
                ? `leave a ${bare(hole.choice.gapMm)} gap`
                : 'it just passes'
          }
        />
        <Tool
          className={TOOL_FIGURE}
          title={timed ? 'Seconds' : 'Strokes'}
          figure={dose === null ? '–' : doseText(dose, kind)}
          note={dose === null ? 'not known yet' : doseNote(dose, batch)}
        />
      </View>
    </>
  );
}
