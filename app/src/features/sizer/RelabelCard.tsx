import { holeAt, type SizerRecord } from '@leggero/contract';

import { useLengths } from '@/data/lengths';
import { write } from '@/data/outbox';
import { useTrade } from '@/data/trade';
import { writesOfHoles } from '@/views/gauges';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { listed } from '@/wording/trade';

/**
 * Holes whose label says another size than they measure: one tap writes what they measure, here; a pen does it on the
 * sizer.
 */
export function RelabelCard({ sizer }: { sizer: SizerRecord }) {
  const trade = useTrade();
  const { bare, text } = useLengths();
  const wrong = sizer.holes.flatMap((hole) => {
    const { origin, widthMm } = holeAt(hole, { trade });
    const label = bare(widthMm);
    return origin === 'measured' && label !== bare(hole.widthMm) ? [{ hole, widthMm, label }] : [];
  });
  if (wrong.length === 0) return null;
  const correct = () => {
    const corrected = new Map(wrong.map(({ hole, widthMm, label }) => [hole.id, { label, widthMm }]));
    const holes = sizer.holes.map(({ id, label, widthMm }) => ({ id, label, widthMm, ...corrected.get(id) }));
    write(...writesOfHoles(sizer.id, { before: sizer.holes, wanted: holes }));
  };
  return (
    <Card title="Labels that are off">
      <Words className="mb-3">
        {`The ${listed(wrong.map(({ hole, widthMm }) => `${hole.label} measures ${text(widthMm)}`))}. ` +
          'Correct the labels here, and write the same beside the holes.'}
      </Words>
      <Button title="Correct the labels" onPress={correct} />
    </Card>
  );
}
