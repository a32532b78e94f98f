import { holdTestProblem, keptShare } from '@leggero/core';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { write } from '@/data/outbox';
import { useTrade } from '@/data/trade';
import { newId } from '@/device/id';
import { KeepWidth } from '@/parts/check/KeepWidth';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { balloonName } from '@/views/modelView';
import { nightOf, rateBefore, type SetAside } from '@/views/setAside';
import { lostText, nightText, sinceText } from '@/wording/morning';

interface MeasureAgainProps {
  one: SetAside;
  /** Null where no day is set. */
  opensMs: number | null;
}

/** Sooner nothing shows. */
const LEAST_H = 1;

/** A balloon that was set aside: its width now, and what that says of the others. */
export function MeasureAgain({ one, opensMs }: MeasureAgainProps) {
  const { model, firstMm, hours, test } = one;
  const lengths = useLengths();
  const trade = useTrade();
  const night = nightOf(one, opensMs, trade);
  return (
    <Card title={balloonName(model)}>
      <Words look="quiet" className="mb-2">
        {`${lengths.text(firstMm)} at the knot, ${sinceText(hours)}`}
      </Words>
      {night ? (
        <View role="status" className="gap-1">
          <Words look="strong">{lostText(night, lengths.fine)}</Words>
          <Words className={night.against === 'as-reckoned' ? '' : 'text-edge'}>
            {nightText(night, lengths.text, lengths.fine)}
          </Words>
        </View>
      ) : hours < LEAST_H ? (
        <Words>In the morning its width is asked for here.</Words>
      ) : (
        <Entry key={test.id} one={one} reckonedMm={firstMm * keptShare({ rate: rateBefore(one, trade), hours })} />
      )}
    </Card>
  );
}

function Entry({ one: { firstMm, hours: since, test }, reckonedMm }: { one: SetAside; reckonedMm: number }) {
  const { stepMm } = useLengths();
  // To a tenth of an hour: what is measured at one time is told as one.
  const hours = Math.round(10 * since) / 10;
  return (
    <KeepWidth
      label="Width now"
      fromMm={Math.round(reckonedMm / stepMm) * stepMm}
      least={0.4 * firstMm}
      most={1.1 * firstMm}
      problemOf={(widthMm) =>
        holdTestProblem({ ...test, readings: [...test.readings, { hours, widthMm }] })
          ? 'A balloon does not grow by standing: measure again.'
          : undefined
      }
      title="Keep this width"
      onKeep={(widthMm) => write({ put: 'holdReading', row: { id: newId(), holdTestId: test.id, hours, widthMm } })}
    />
  );
}
