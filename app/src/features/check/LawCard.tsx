import type { PairMismatch } from '@leggero/core';
import { View } from 'react-native';

import type { CheckView, LotView } from '@/views/checkView';
import { useLengths } from '@/data/lengths';
import { Card } from '@/ui/Card';
import { Chip } from '@/ui/Chip';
import { Words } from '@/ui/Words';
import { lawText, LAW_PROBLEMS, lotText, pairText } from '@/wording/batch';

const LOT_WORDS = {
  going: { tone: 'plain', word: 'going on' },
  accepted: { tone: 'good', word: 'lot is right' },
  rejected: { tone: 'out', word: 'size all again' },
} as const;

/** What a check says beyond its verdict: of the lot, of mean and spread, of pairs, of a hole that was off. */
export function LawCard({ view: { law, pairs, lot, holeOffMm } }: { view: CheckView }) {
  const { text, fine } = useLengths();
  if (!law && !pairs && !lot && Math.abs(holeOffMm) < 0.5) return null;
  return (
    <Card>
      <View className="gap-3">
        {lot ? <Lot lot={lot} /> : null}
        {law ? <Words>{'value' in law ? lawText(law.value, text, fine) : LAW_PROBLEMS[law.problem]}</Words> : null}
        {pairs ? <Pairs pairs={pairs} /> : null}
        {Math.abs(holeOffMm) >= 0.5 ? (
          <Words look="label">
            {`Its hole has been measured since: ${fine(Math.abs(holeOffMm))} ` +
              `${holeOffMm > 0 ? 'larger' : 'smaller'} than it was taken for. The verdict counts with that.`}
          </Words>
        ) : null}
      </View>
    </Card>
  );
}

function Lot({ lot }: { lot: LotView }) {
  return (
    <View className="flex-row items-center gap-3">
      <Chip {...LOT_WORDS[lot.state]} />
      <Words look="strong" className="flex-1">
        {lotText(lot)}
      </Words>
    </View>
  );
}

function Pairs({ pairs }: { pairs: PairMismatch }) {
  const { fine } = useLengths();
  return <Words>{pairText(pairs, fine)}</Words>;
}
