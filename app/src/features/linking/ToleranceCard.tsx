import type { PieceForm } from '@leggero/contract';
import { closingShare, closingTolerance, type Closing } from '@leggero/core/linking';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { useTrade } from '@/data/trade';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { simulatedText } from '@/wording/linking';
import { layerTitle } from '@/wording/pieces';

import { useSimulation } from './useSimulation';

/** Spreads that hands have, mm, one standard deviation (from memory). */
const HANDS = [
  { who: 'sizer, with care', sdMm: 0.7 },
  { who: 'sizer, in a hurry', sdMm: 1.5 },
  { who: 'by eye', sdMm: 5 },
] as const;

/**
 * How exact the balloons must be, by formula and by building the piece again and again; and how often hands get
 * there.
 */
export function ToleranceCard({ closing, form }: { closing: Closing; form: PieceForm }) {
  const trade = useTrade();
  const { fine, eitherWay } = useLengths();
  const formula = closingTolerance({ closing, trade });
  const simulated = useSimulation(closing);
  if (formula.sdMm === null) {
    return (
      <Card title="How exact?">
        <Words>Nothing but its own balloons holds this: it closes with any sizes, only its width changes.</Words>
      </Card>
    );
  }
  const weakest = formula.weakest === null ? '' : layerTitle(formula.weakest, form).toLowerCase();
  return (
    <Card title="How exact?">
      <View className="gap-2">
        {formula.sdMm === 0 ? (
          <Words look="error">
            {`On these steps it does not close even with exact balloons: the ${weakest} are off. Finer steps, ` +
              'or another size to begin from.'}
          </Words>
        ) : (
          <>
            <Words look="strong" role="status">
              {`95 of 100 close when nearly all balloons keep to ${eitherWay(2 * formula.sdMm)}.`}
            </Words>
            <Words look="quiet">
              {`A spread of ${fine(formula.sdMm)} by formula; ` +
                `${simulatedText(simulated, formula.sdMm)}. Weakest: the ${weakest}.`}
            </Words>
          </>
        )}
        <View role="list" className="gap-1">
          {HANDS.map(({ who, sdMm }) => (
            <HandRow key={who} who={who} sdMm={sdMm} share={closingShare({ closing, sdMm, trade })} />
          ))}
        </View>
        <Words look="quiet">Every balloon is checked, not a sample. What joints take up is from memory.</Words>
      </View>
    </Card>
  );
}

function HandRow({ who, sdMm, share }: { who: string; sdMm: number; share: number }) {
  const { fine } = useLengths();
  const of100 = Math.round(100 * share);
  return (
    <View role="listitem" className="flex-row items-center gap-3">
      <Words className="w-[128px]">{who}</Words>
      <View className="h-2 flex-1 rounded-full bg-sunk">
        <View className="h-2 rounded-full bg-pine" style={{ width: `${of100}%` }} />
      </View>
      <Words look="quiet" className="w-[122px] text-right tabular-nums">{`${fine(sdMm)}: ${of100} of 100`}</Words>
    </View>
  );
}
