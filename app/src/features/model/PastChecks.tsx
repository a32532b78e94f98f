import type { CheckRecord, ModelDetail, SizerRecord } from '@leggero/contract';
import { Link } from 'expo-router';
import { Pressable, View } from 'react-native';

import { viewCheck } from '@/views/checkView';
import { useLengths } from '@/data/lengths';
import { Card } from '@/ui/Card';
import { Chip } from '@/ui/Chip';
import { Words } from '@/ui/Words';
import { VERDICT_WORDS, verdictText } from '@/wording/batch';
import { dayText } from '@/wording/day';

/** The newest few are enough on this page. */
const SHOWN = 5;

/** Batches checked before, newest first, each with its verdict. */
export function PastChecks({ model, sizers }: { model: ModelDetail; sizers: readonly SizerRecord[] }) {
  const started = model.checks.filter((check) => check.results.length > 0).slice(0, SHOWN);
  if (started.length === 0) return null;
  return (
    <Card title="Batches checked">
      <View role="list">
        {started.map((check) => (
          <PastCheck key={check.id} check={check} sizers={sizers} />
        ))}
      </View>
    </Card>
  );
}

function PastCheck({ check, sizers }: { check: CheckRecord; sizers: readonly SizerRecord[] }) {
  const { text } = useLengths();
  const { judgement } = viewCheck(check, sizers);
  if (!judgement) return null;
  const { word, tone } = VERDICT_WORDS[judgement.verdict];
  const day = dayText(check.startedAt);
  return (
    <View role="listitem" className="border-b border-line">
      <Link href={`/shelf/${check.modelId}/check/${check.id}`} asChild>
        <Pressable role="link" className="min-h-[56px] flex-row items-center gap-3 px-2 py-1 active:bg-sunk">
          <View className="flex-1">
            <Words look="strong">{`${check.tierName} ${text(check.targetMm)}, ${day}`}</Words>
            <Words look="quiet">{verdictText(judgement)}</Words>
          </View>
          <Chip tone={tone} word={word} />
        </Pressable>
      </Link>
    </View>
  );
}
