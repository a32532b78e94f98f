import type { Target } from '@leggero/core';

import { useLengths } from '@/api/lengths';
import { Card } from '@/ui/Card';
import { CurveChart } from '@/ui/chart/CurveChart';
import { Words } from '@/ui/Words';
import { FIT_PROBLEMS } from '@/wording/fit';
import { outlierText, roundLimitText } from '@/wording/target';

import type { ShownModel } from './WithModel';

interface CurveCardProps extends ShownModel {
  target: Target | null;
}

/** Strokes and width: the curve with its readings, and what it tells in words. */
export function CurveCard({ model, view, target }: CurveCardProps) {
  const lengths = useLengths();
  const { text } = lengths;
  const { calibration, fit, fitProblem } = view;
  return (
    <Card title="Strokes and width">
      {calibration && calibration.readings.length > 0 ? (
        <>
          <CurveChart
            nominalMm={model.nominalMm}
            readings={calibration.readings}
            fit={fit}
            target={target}
            lengths={lengths}
          />
          {fit ? <Words look="quiet">{roundLimitText(fit.shape.roundLimit, text)}</Words> : null}
          {fit?.outliers.map((outlier) => (
            <Words key={outlier.index} look="label" className="mt-1 text-edge">
              {outlierText(outlier, text)}
            </Words>
          ))}
          {fitProblem ? (
            <Words look="label" className="text-out">
              {FIT_PROBLEMS[fitProblem]}
            </Words>
          ) : null}
        </>
      ) : (
        <Words look="quiet">The curve forms with the first reading: one stroke, one width.</Words>
      )}
    </Card>
  );
}
