import type { PrintedScale } from '@leggero/core';
import type { SizerForm, TemplateSize } from '@leggero/core/template';
import { router } from 'expo-router';

import { newId } from '@/device/id';
import { write } from '@/data/outbox';
import { BarFields } from '@/parts/BarFields';
import { measuredByBars } from '@/parts/measuredByBars';
import { writesOfHoles } from '@/views/gauges';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { FORM_WORDS } from '@/wording/make';

/** The sizer is made: it joins the gauges, with every hole corrected for the scale it came out at. */
export function PrintedCard({ form, sizes }: { form: SizerForm; sizes: readonly TemplateSize[] }) {
  const add = (scale: PrintedScale | null) => {
    const id = newId();
    const holes = sizes.map(({ label, widthMm }) => ({ id: newId(), label, widthMm }));
    write(
      { put: 'sizer', row: { id, name: `Made ${FORM_WORDS[form].title.toLowerCase()}`, keeper: '' } },
      ...writesOfHoles(id, { before: [], wanted: holes }),
      ...(scale ? measuredByBars(holes, scale) : []),
    );
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
