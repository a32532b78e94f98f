import { View } from 'react-native';

import type { Done } from '@/parts/useStepsDone';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { stepOfId } from '@/views/stepsDone';
import { stepText } from '@/wording/schedule';

/** What is done already; a step that is not after all is taken back. */
export function DoneCard({ done, nameOf }: { done: Done; nameOf: (piece: string) => string }) {
  const steps = [...done.done].flatMap((id) => {
    const step = stepOfId(id);
    return step ? [{ id, title: stepText(step, nameOf) }] : [];
  });
  if (steps.length === 0) return null;
  return (
    <Card title="Done">
      <View role="list">
        {steps.map(({ id, title }) => (
          <View key={id} role="listitem" className="flex-row items-center gap-3">
            <Words className="flex-1">{title}</Words>
            <Button title="Not yet" look="plain" onPress={() => done.takeBack(id)} />
          </View>
        ))}
      </View>
    </Card>
  );
}
