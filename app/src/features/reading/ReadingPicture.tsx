import { type InflatorKind } from '@leggero/core';
import { View } from 'react-native';

import { useTrade } from '@/data/trade';
import type { Lengths } from '@/views/lengths';
import { figureOf } from '@/views/modelView';
import type { ShownModel } from '@/parts/WithModel';
import { Aperture } from '@/parts/Aperture';
import { CurveChart } from '@/parts/charts';
import { useWide } from '@/ui/layout';
import { Words } from '@/ui/Words';

import { doseUnit } from '@/wording/trade';

import { draftWidthMm, type Draft } from './draft';

interface ReadingPictureProps extends ShownModel {
  draft: Draft;
  kind: InflatorKind;
  lengths: Lengths;
}

/** The balloon as it stands now, to scale in its nominal outline, and the curve that forms. */
export function ReadingPicture({ model, view, draft, kind, lengths }: ReadingPictureProps) {
  const trade = useTrade();
  const wide = useWide();
  const widthMm = draftWidthMm(draft);
  const figure = figureOf(model, view.curve, widthMm);
  const aspect = draft.shape ? trade.shapeAnswerAspect[draft.shape] : figure.heightMm / figure.widthMm;
  const heightMm = draft.heightMm ?? widthMm * aspect;
  const readings = view.calibration?.readings ?? [];
  return (
    <View className={wide ? 'items-center gap-4' : 'flex-row items-center gap-3'}>
      <Aperture
        {...figure}
        heightMm={heightMm}
        size={wide ? 260 : 128}
        label={`${lengths.text(widthMm)} across in the outline of its nominal size`}
      />
      {readings.length > 0 ? (
        <View className={wide ? 'w-full' : 'flex-1'}>
          <CurveChart
            nominalMm={model.nominalMm}
            readings={readings}
            fit={view.fit}
            lengths={lengths}
            unit={doseUnit(kind)}
            draft={draft.outcome === 'burst' ? null : { dose: draft.dose, widthMm }}
            height={wide ? 260 : 160}
          />
        </View>
      ) : (
        <Words look="quiet" className={wide ? 'text-center' : 'flex-1'}>
          The dashed ring is the nominal size. The curve forms with the first reading.
        </Words>
      )}
    </View>
  );
}
