import { chainProblem } from '@leggero/core/linking';
import { useState } from 'react';
import { View } from 'react-native';

import { newId, nowUtc } from '@/device/id';
import { modelName } from '@/views/modelView';
import { write } from '@/data/outbox';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { LengthField } from '@/parts/LengthField';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { Words } from '@/ui/Words';
import { counted } from '@/wording/trade';

import type { PiecePart } from '@leggero/contract';

import { jointOf, modelOf } from '@/parts/piece/material';
import type { PieceBasis } from '@/parts/piece/useBasis';

/** What knot and tail take between two balloons: from memory, or learned from chains laid out and measured. */
export function JointCard({ part, basis }: { part: PiecePart; basis: PieceBasis }) {
  const [open, setOpen] = useState(false);
  const { fine } = basis.lengths;
  const model = modelOf(part, basis);
  const { jointMm, sdMm, chains } = jointOf(part, basis);
  return (
    <Card title="Knot and tail">
      <View className="gap-2">
        <Words>
          {`Between two bodies ${fine(jointMm)}, give or take ${fine(2 * sdMm)}: ` +
            `${chains > 0 ? `learned from ${counted(chains, 'measured chain')}` : 'from memory'}.`}
        </Words>
        {model ? (
          <Button title="Measure a chain of five" onPress={() => setOpen(true)} />
        ) : (
          <Words look="quiet">Choose a balloon of the shelf, and a measured chain teaches its own.</Words>
        )}
      </View>
      {model ? (
        <Sheet title={`A chain of ${modelName(model)}`} open={open} onClose={() => setOpen(false)}>
          <ChainForm modelId={model.id} basis={basis} onDone={() => setOpen(false)} />
        </Sheet>
      ) : null}
    </Card>
  );
}

interface ChainFormProps {
  modelId: string;
  basis: PieceBasis;
  onDone: () => void;
}

function ChainForm({ modelId, basis: { lengths }, onDone }: ChainFormProps) {
  const [count, setCount] = useState(5);
  const [widthMm, setWidthMm] = useState<number | null>(null);
  const [lengthMm, setLengthMm] = useState<number | null>(null);
  const [asked, setAsked] = useState(false);
  const problem = chainProblem({ count, widthMm: widthMm ?? 0, lengthMm: lengthMm ?? 0 });
  const keep = () => {
    setAsked(true);
    if (problem || widthMm === null || lengthMm === null) return;
    write({ put: 'chain', row: { id: newId(), modelId, count, widthMm, lengthMm, takenAt: nowUtc() } });
    onDone();
  };
  const lengthProblem = () => {
    if (lengthMm === null) return asked ? 'How long the chain is, body to body.' : undefined;
    if (problem?.code !== 'impossible-length' || widthMm === null) return undefined;
    const { leastMm, mostMm } = problem.detail;
    return `${count} of this width are ${lengths.text(leastMm)} to ${lengths.text(mostMm)} long.`;
  };
  return (
    <View className="gap-3">
      <Words>
        Size the balloons alike, link them, lay the chain out straight without pulling, and measure from the first body
        to the last. Knots and tails at the ends do not count.
      </Words>
      <Stepper label="balloons" value={count} shown={String(count)} step={1} least={3} most={12} onChange={setCount} />
      <LengthField
        label="Width of each"
        value={widthMm}
        lengths={lengths}
        error={asked && widthMm === null ? 'How wide each of them is.' : undefined}
        onChange={setWidthMm}
      />
      <LengthField
        label="Length of the chain"
        long
        value={lengthMm}
        lengths={lengths}
        error={lengthProblem()}
        onChange={setLengthMm}
      />
      <Button title="Keep this measure" look="primary" tall onPress={keep} />
    </View>
  );
}
