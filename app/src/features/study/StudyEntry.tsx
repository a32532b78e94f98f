import type { StudyRecord } from '@leggero/contract';
import { parseLength } from '@leggero/core';
import { useState } from 'react';
import { View } from 'react-native';

import { newId, nowUtc } from '@/device/id';
import { useLengths } from '@/data/lengths';
import { write } from '@/data/outbox';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Field } from '@/ui/Field';
import { Words } from '@/ui/Words';
import { LENGTH_PROBLEMS } from '@/wording/length';
import { nthTime } from '@/wording/study';

interface StudyEntryProps {
  study: StudyRecord;
  cell: { balloon: number; person: number; repeat: number };
}

const MOST_MM = 2500;

/** The next width of a study, typed as it was read. */
export function StudyEntry({ study, cell }: StudyEntryProps) {
  const lengths = useLengths();
  const [typed, setTyped] = useState('');
  const [error, setError] = useState<string>();
  const { balloon, person, repeat } = cell;
  const keep = () => {
    const parsed = parseLength({ text: typed, unit: lengths.unit });
    if (!parsed.ok) return setError(LENGTH_PROBLEMS[parsed.problem.code]);
    if (!(parsed.value > 0 && parsed.value < MOST_MM)) return setError('No balloon is that wide. Check the unit.');
    write({
      put: 'studyWidth',
      row: { id: newId(), studyId: study.id, ...cell, widthMm: parsed.value, takenAt: nowUtc() },
    });
  };
  return (
    <Card>
      <View className="gap-3">
        <View role="status" className="flex-row flex-wrap items-baseline gap-2">
          <Words look="figure">{study.people[person]}</Words>
          <Words look="quiet">{`${nthTime(repeat)} time, balloon`}</Words>
          <Words look="figure">{balloon + 1}</Words>
          <Words look="quiet">{`of ${study.balloons}`}</Words>
        </View>
        <View className="flex-row items-start gap-3">
          <View className="flex-1">
            <Field
              label="Width"
              hint="As read: 9 1/16, or 22.95 cm."
              value={typed}
              autoFocus
              onChangeText={(text) => {
                setTyped(text);
                setError(undefined);
              }}
              onSubmitEditing={keep}
              error={error}
            />
          </View>
          <Button title="Keep" look="primary" className="mt-[26px]" onPress={keep} />
        </View>
      </View>
    </Card>
  );
}
