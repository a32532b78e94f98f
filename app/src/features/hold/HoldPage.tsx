import { coreHoldTest, type HoldTestRecord } from '@leggero/contract';
import { holdLaws } from '@leggero/core';
import { useState } from 'react';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { modelName } from '@/views/modelView';
import { write } from '@/data/outbox';
import { useTrade } from '@/data/trade';
import { startOfHold } from '@/parts/startOfHold';
import type { ShownModel } from '@/parts/WithModel';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { useWide } from '@/ui/layout';
import { LengthEntry } from '@/parts/LengthEntry';
import { Page } from '@/ui/Page';
import { SwitchRow } from '@/ui/SwitchRow';
import { Words } from '@/ui/Words';
import { WrapsChoice } from '@/parts/WrapsChoice';
import { TIE_ADVICE } from '@/wording/cautions';

import { HoldChart } from '@/parts/charts';
import { HoldTestCard } from './HoldTestCard';

/** Balloons left standing: tie one, measure it again later, and targets know what a night costs. */
export function HoldPage(shown: ShownModel) {
  const trade = useTrade();
  const { model, view } = shown;
  const wide = useWide();
  const tests = model.holdTests;
  const chart =
    tests.length > 0 ? (
      <Card title="Width kept">
        <HoldChart tests={tests} laws={holdLaws(tests.map(coreHoldTest), model.nominalMm, trade)} />
      </Card>
    ) : null;
  const list = tests.map((test) => <HoldTestCard key={test.id} test={test} />);
  const start = <StartTest key={tests.length} {...shown} />;
  return (
    <Page title={modelName(model)} subtitle="Hold tests" back={`/shelf/${model.id}`}>
      {wide ? (
        <View className="flex-row items-start gap-5">
          <View className="flex-1 gap-4">
            {chart}
            {list}
          </View>
          <View className="flex-1 gap-4">{start}</View>
        </View>
      ) : (
        <>
          {chart}
          {list}
          {start}
        </>
      )}
      <Words look="quiet">
        {view.hold.tests > 0 ? TIE_ADVICE : `Until a test says otherwise the loss is taken from memory. ${TIE_ADVICE}`}
      </Words>
    </Page>
  );
}

/** A freshly tied balloon and its width. */
function StartTest({ model }: ShownModel) {
  const lengths = useLengths();
  const [widthMm, setWidthMm] = useState(Math.round((0.86 * model.nominalMm) / lengths.stepMm) * lengths.stepMm);
  const [wraps, setWraps] = useState<HoldTestRecord['wraps']>(2);
  const [stuffed, setStuffed] = useState(model.outerId !== null);
  const start = () => write(...startOfHold({ modelId: model.id, wraps, stuffed }, widthMm));
  return (
    <Card title="Start a test">
      <View className="gap-4">
        <LengthEntry
          label="Width at the knot"
          value={widthMm}
          least={0.3 * model.nominalMm}
          most={1.1 * model.nominalMm}
          lengths={lengths}
          onChange={setWidthMm}
        />
        <WrapsChoice wraps={wraps} onChange={setWraps} />
        {model.outerId === null ? (
          <SwitchRow label="Another balloon inside" value={stuffed} onChange={setStuffed} />
        ) : null}
        <Button title="Start the test" look="primary" tall onPress={start} />
      </View>
    </Card>
  );
}
