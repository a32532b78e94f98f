import type { ReactNode } from 'react';

import { Page } from '@/ui/Page';
import { Empty, Loading } from '@/ui/States';

interface WithGaugeProps<Gauge> {
  /** "sizer", "pump". */
  what: string;
  /** The id of the address; `new` for one to be made. */
  id: string;
  /** All of its kind; undefined until they have come. */
  gauges: readonly Gauge[] | undefined;
  children: (gauge: Gauge | undefined) => ReactNode;
}

/** Finds the gauge of an address, and shows its form once it is there. */
export function WithGauge<Gauge extends { id: string }>({ what, id, gauges, children }: WithGaugeProps<Gauge>) {
  const gauge = gauges?.find((each) => each.id === id);
  if (gauges && (gauge || id === 'new')) return <>{children(gauge)}</>;
  return (
    <Page title={gauges ? `No such ${what}` : ' '} back="/gauges">
      {gauges ? (
        <Empty sentence={`No ${what} is known at this address. It may have been deleted.`} />
      ) : (
        <Loading what={`the ${what}`} />
      )}
    </Page>
  );
}
