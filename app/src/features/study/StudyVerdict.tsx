import type { StudyRecord } from '@leggero/contract';
import type { SizingStudy } from '@leggero/core/eye';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { PART_WORDS, studyText } from '@/wording/study';
import { percent } from '@/wording/trade';

const PARTS = ['repeatability', 'people', 'interaction', 'balloons'] as const;

/** What a study tells: in words, then where the variance comes from as one divided bar. */
export function StudyVerdict({ study, result }: { study: StudyRecord; result: SizingStudy }) {
  const { fine } = useLengths();
  const { parts, pooled } = result;
  const { low, high } = parts.repeatability.interval;
  return (
    <Card>
      <View className="gap-3">
        <View role="status" className="gap-1">
          {studyText(result, study.people, study.subject, fine).map((line) => (
            <Words key={line} look="strong">
              {line}
            </Words>
          ))}
        </View>
        <View
          role="img"
          aria-label={
            'Shares of the variance: ' +
            `${PARTS.map((part) => `${PART_WORDS[part].title} ${percent(parts[part].share)}`).join(', ')}`
          }
          className="h-10 flex-row overflow-hidden rounded-card border border-line"
        >
          {PARTS.map((part) => (
            <View key={part} className={FILLS[part]} style={{ flex: Math.max(0.0001, parts[part].share) }} />
          ))}
        </View>
        <View role="list">
          {PARTS.map((part) => (
            <View
              key={part}
              role="listitem"
              className="min-h-[48px] flex-row items-center gap-3 border-b border-line py-1"
            >
              <View className={`h-4 w-4 rounded ${FILLS[part]}`} />
              <View className="flex-1">
                <Words look="strong">{PART_WORDS[part].title}</Words>
                <Words look="quiet">{PART_WORDS[part].means}</Words>
              </View>
              <Words look="strong" className="text-right">
                {fine(parts[part].sdMm)}
              </Words>
              <Words look="quiet" className="w-12 text-right tabular-nums">
                {percent(parts[part].share)}
              </Words>
            </View>
          ))}
        </View>
        <Words look="quiet">
          {'Standard deviations, and shares of the whole variance, by a two-way analysis of variance. ' +
            `Repeatability lies between ${fine(low)} and ${fine(high)} (95 of 100 ` +
            `times).${pooled ? ' People and balloons showed no interaction beyond chance; it counts as repeatability.' : ''}`}
        </Words>
      </View>
    </Card>
  );
}

const FILLS = {
  repeatability: 'bg-pine',
  people: 'bg-kiln',
  interaction: 'bg-edge',
  balloons: 'bg-sunk',
} as const;
