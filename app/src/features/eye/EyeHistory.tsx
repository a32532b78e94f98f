import type { EyeCheckRecord, PersonRecord } from '@leggero/contract';
import { controlConstants } from '@leggero/core/eye';
import { Link } from 'expo-router';
import { Pressable, View } from 'react-native';

import { useKnowledge } from '@/data/knowledge';
import { useLengths } from '@/data/lengths';
import { useTrade } from '@/data/trade';
import { modelName } from '@/views/modelView';
import { Card } from '@/ui/Card';
import { Chip } from '@/ui/Chip';
import { Words } from '@/ui/Words';
import { dayText } from '@/wording/day';
import { EYE_MODE_WORDS } from '@/wording/eye';

import { SessionsChart } from '@/parts/charts';
import type { SessionPoint } from '@/parts/chart/SessionsChart';
import { viewEyeCheck } from './viewEyeCheck';

/** Sessions of one person: how bias and spread went from one to the next, and each with its figures. */
export function EyeHistory({ person, checks }: { person: PersonRecord; checks: readonly EyeCheckRecord[] }) {
  const trade = useTrade();
  const { text, fine } = useLengths();
  const knowledge = useKnowledge();
  const rows = checks.map((check) => {
    const model = knowledge?.models.find(({ id }) => id === check.modelId);
    const view = model ? viewEyeCheck(check, model.nominalMm, trade) : null;
    const part = view?.parts.find(({ personId }) => personId === person.id) ?? view?.parts[0];
    return { check, model, view, judgement: part?.judgement ?? null };
  });
  const points = rows
    .flatMap(({ check, judgement }): SessionPoint[] =>
      judgement
        ? [{ day: dayText(check.startedAt), biasMm: judgement.biasMm, spreadMm: judgement.spreadMm.value }]
        : [],
    )
    .reverse();
  const wild = wildSessions(
    points,
    rows
      .map(({ judgement }) => judgement?.count ?? 0)
      .filter(Boolean)
      .reverse(),
  );
  return (
    <>
      {points.length > 1 ? (
        <Card title="From session to session">
          <SessionsChart points={points} name={person.name} />
          <Words look="quiet">
            {wild.length > 0
              ? `Scattered more widely than this eye’s sessions do by chance: ${wild.join(', ')}.`
              : 'No session scatters more widely than chance explains.'}
          </Words>
        </Card>
      ) : null}
      <Card title="Sessions">
        <View role="list">
          {rows.map(({ check, model, view, judgement }) => (
            <View key={check.id} role="listitem" className="border-b border-line">
              <Link href={`/gauges/eye/${check.id}`} asChild>
                <Pressable role="link" className="min-h-[56px] flex-row items-center gap-3 py-2 active:bg-sunk">
                  <View className="flex-1">
                    <Words look="strong">
                      {`${dayText(check.startedAt)}, ${model ? modelName(model) : 'a balloon'} to ` +
                        `${text(check.targetMm)}`}
                    </Words>
                    <Words look="quiet">
                      {judgement
                        ? `${EYE_MODE_WORDS[check.mode].title}, ${judgement.count} balloons: ` +
                          `${judgement.biasMm.value < 0 ? '−' : '+'}${fine(Math.abs(judgement.biasMm.value))}, spread ` +
                          `${fine(judgement.spreadMm.value)}`
                        : `${view?.measured ?? 0} of ${view?.total ?? 0} measured so far`}
                    </Words>
                  </View>
                  {judgement ? null : <Chip tone="plain" word="going on" />}
                </Pressable>
              </Link>
            </View>
          ))}
        </View>
      </Card>
    </>
  );
}

/** Sessions above the upper control limit of deviations (B4 times their mean), by their day. */
function wildSessions(points: readonly SessionPoint[], counts: readonly number[]): string[] {
  if (points.length < 3) return [];
  const mean = points.reduce((sum, { spreadMm }) => sum + spreadMm, 0) / points.length;
  return points.flatMap(({ day, spreadMm }, i) =>
    spreadMm > controlConstants(Math.min(50, counts[i] ?? 2)).B4 * mean ? [day] : [],
  );
}
