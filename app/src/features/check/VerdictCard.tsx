import type { BatchJudgement } from '@leggero/core';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { Card } from '@/ui/Card';
import { Chip } from '@/ui/Chip';
import { Words } from '@/ui/Words';
import { adviceText, outsideText, VERDICT_WORDS, verdictText } from '@/wording/batch';

/** The verdict so far in two lines, for a page that is about the next balloon. */
export function VerdictLine({ judgement }: { judgement: BatchJudgement }) {
  const { text } = useLengths();
  const { word, tone } = VERDICT_WORDS[judgement.verdict];
  const [first] = judgement.advice;
  return (
    <View role="status" className="flex-row items-center gap-3">
      <Chip tone={tone} word={word} />
      <Words look="label" className="flex-1">
        {`${verdictText(judgement)} ${first ? adviceText(first, text) : ''}`}
      </Words>
    </View>
  );
}

/** The verdict in words with what to do; mean and spread once the batch is through. */
export function VerdictCard({ judgement, done }: { judgement: BatchJudgement; done: boolean }) {
  const { text } = useLengths();
  const { verdict, advice, meanMm, spreadMm, basis } = judgement;
  const { word, tone } = VERDICT_WORDS[verdict];
  const whence = { widths: 'measured', holes: 'from the holes', answers: 'estimated from the answers' }[basis];
  return (
    <Card>
      <View role="status" className="gap-2">
        <View className="flex-row items-center gap-3">
          <Chip tone={tone} word={word} />
          <Words look="strong" className="flex-1">
            {verdictText(judgement)}
          </Words>
        </View>
        {advice.map((item) => (
          <Words key={item.code}>{adviceText(item, text)}</Words>
        ))}
        {done ? (
          <Words look="quiet">
            {outsideText(judgement)}
            {meanMm === null || spreadMm === null
              ? ''
              : ` Mean ${text(meanMm)}, spread (one standard deviation) ${text(spreadMm)}, ${whence}.`}
          </Words>
        ) : null}
      </View>
    </Card>
  );
}
