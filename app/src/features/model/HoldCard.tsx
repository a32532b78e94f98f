import { nightLossMm } from '@leggero/core';

import { useLengths } from '@/data/lengths';
import { useTrade } from '@/data/trade';
import { Card } from '@/ui/Card';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { counted } from '@/wording/trade';

import type { ShownModel } from '@/parts/WithModel';

/** How well it keeps its width, and the way to its hold tests. */
export function HoldCard({ model, view, studio }: ShownModel) {
  const trade = useTrade();
  const { text, fine } = useLengths();
  const { hold } = view;
  const nightMm = nightLossMm({ rate: hold, nominalMm: model.nominalMm, trade });
  const from = hold.tests > 0 ? `from ${counted(hold.tests, 'hold test')}` : 'from memory: no hold test yet';
  return (
    <Card title="Hold">
      <Words className="mb-3">
        {`Loses ${nightMm < studio.stepMm / 2 ? fine(nightMm) : text(nightMm)} of its width ` +
          `overnight, the neck wrapped twice (${from}).`}
      </Words>
      <RowLink
        href={`/shelf/${model.id}/hold`}
        title="Hold tests"
        note={model.holdTests.length > 0 ? counted(model.holdTests.length, 'balloon') : 'Tie one, measure it tomorrow'}
      />
    </Card>
  );
}
