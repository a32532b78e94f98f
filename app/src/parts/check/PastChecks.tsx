import type { CheckRecord, SizerRecord } from '@leggero/contract';
import { Link } from 'expo-router';
import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { viewCheck } from '@/views/checkView';
import { useLengths } from '@/data/lengths';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Chip } from '@/ui/Chip';
import { Words } from '@/ui/Words';
import { VERDICT_WORDS, verdictText } from '@/wording/batch';
import { dayText } from '@/wording/day';

/** The newest few are enough at first; so many more come at a time. */
const SHOWN = 5;

interface PastChecksProps {
  title: string;
  /** Newest first. */
  checks: readonly CheckRecord[];
  sizers: readonly SizerRecord[];
}

/** Batches checked before, newest first, each with its verdict. */
export function PastChecks({ title, checks, sizers }: PastChecksProps) {
  const [shown, setShown] = useState(SHOWN);
  const started = checks.filter(({ results }) => results.length > 0);
  if (started.length === 0) return null;
  return (
    <Card title={title}>
      <View role="list">
        {started.slice(0, shown).map((check) => (
          <PastCheck key={check.id} check={check} sizers={sizers} />
        ))}
      </View>
      {started.length > shown ? (
        <Button title="Older checks" look="plain" onPress={() => setShown(shown + SHOWN)} />
      ) : null}
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
