import { type Target } from '@leggero/core';
import { nozzleImbalance } from '@leggero/core/calibrating';

import { useLengths } from '@/data/lengths';
import { Card } from '@/ui/Card';
import { CurveChart } from '@/parts/charts';
import { Words } from '@/ui/Words';
import { FIT_PROBLEMS } from '@/wording/fit';
import { imbalanceText } from '@/wording/calibration';
import { lagText, outlierText, roundLimitText } from '@/wording/target';
import { doseUnit } from '@/wording/trade';

import type { ShownModel } from '@/parts/WithModel';

interface CurveCardProps extends ShownModel {
  target: Target | null;
}

/** Strokes and width: the curve with its readings, and what it tells in words. */
export function CurveCard({ model, view, target }: CurveCardProps) {
  const lengths = useLengths();
  const { text } = lengths;
  const { calibration, fit, fitProblem } = view;
  const kind = view.curve?.inflator ?? 'hand';
  const imbalance = fit && nozzleImbalance(fit);
  const notes = fit
    ? [roundLimitText(fit.shape.roundLimit, text), lagText(fit), imbalance ? imbalanceText(imbalance) : '']
    : [];
  return (
    <Card title={kind === 'hand' ? 'Strokes and width' : 'Seconds and width'}>
      {calibration && calibration.readings.length > 0 ? (
        <>
          <CurveChart
            nominalMm={model.nominalMm}
            readings={calibration.readings}
            fit={fit}
            target={target}
            lengths={lengths}
            unit={doseUnit(kind)}
          />
          <Words look="quiet">{notes.filter(Boolean).join(' ')}</Words>
          {fit?.outliers.map((outlier) => (
            <Words key={outlier.index} look="label" className="mt-1 text-edge">
              {outlierText(outlier, kind, text)}
            </Words>
          ))}
          {fitProblem ? (
            <Words look="label" className="text-out">
              {FIT_PROBLEMS[fitProblem]}
            </Words>
          ) : null}
        </>
      ) : (
        <Words look="quiet">
          {`The curve forms with the first reading: ${kind === 'hand' ? 'one stroke' : 'one second'}, one ` + 'width.'}
        </Words>
      )}
    </Card>
  );
}
