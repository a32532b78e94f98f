import type { PieceForm } from '@leggero/contract';
import { View } from 'react-native';

import { Card } from '@/ui/Card';
import { Steps } from '@/ui/Steps';
import { Words } from '@/ui/Words';
import { PITFALLS } from '@/wording/pitfalls';

/** The order of building, and what people get wrong there. */
export function OrderCard({ steps, form }: { steps: readonly string[]; form: PieceForm }) {
  const wrong = PITFALLS[form] ?? [];
  return (
    <Card title="Building order">
      <Steps steps={steps} />
      {wrong.length > 0 ? (
        <View className="mt-3 gap-1 border-t border-line pt-3">
          <Words look="heading">What goes wrong here</Words>
          {wrong.map((pitfall) => (
            <Words key={pitfall} look="quiet">
              {pitfall}
            </Words>
          ))}
        </View>
      ) : null}
    </Card>
  );
}
