import type { PrintedScale } from '@leggero/core';
import type { SizerForm, TemplateSize } from '@leggero/core/template';
import { router } from 'expo-router';

import { newId, nowUtc } from '@/api/id';
import { useCommand } from '@/api/queries';
import { BarFields } from '@/ui/BarFields';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { FORM_WORDS } from '@/wording/make';

/** The sizer is made: it joins the gauges, with every hole corrected for the scale it came out at. */
export function PrintedCard({ form, sizes }: { form: SizerForm; sizes: readonly TemplateSize[] }) {
  const send = useCommand();
  const add = (scale: PrintedScale | null) => {
    const id = newId();
    const holes = sizes.map(({ label, widthMm }) => ({ id: newId(), label, widthMm }));
    send({
      name: 'createSizer',
      body: { id, name: `Made ${FORM_WORDS[form].title.toLowerCase()}`, keeper: '', holes },
    });
    for (const { id: holeId, widthMm } of scale ? holes : []) {
      const [acrossMm, downMm] = [widthMm * scale!.across, widthMm * scale!.down];
      const body = { id: newId(), holeId, acrossMm, downMm, way: 'bar' as const, takenAt: nowUtc() };
      send({ name: 'createHoleMeasurement', body });
    }
    router.navigate(`/gauges/sizers/${id}`);
  };
  return (
    <Card title="When it is made">
      <Words className="mb-2">
        Measure the 100 mm bars of the print: every hole is corrected by them, without a reprint.
      </Words>
      <BarFields action="Add it, corrected by the bars" onScale={add} />
      <Button title="Add it as drawn" look="plain" onPress={() => add(null)} />
    </Card>
  );
}
