import { lazy, Suspense, type ComponentProps, type ComponentType } from 'react';
import { View } from 'react-native';

import { pause } from '@/device/pause';

type Charts = typeof import('./chart/all');

/** Where the network is cut before the charts have come, they are asked for again so often, ms. */
const AGAIN_MS = 3000;

/** The charts, as soon as they come: a page that lacks them goes on without. */
async function thereAtLast(): Promise<Charts> {
  for (;;) {
    try {
      return await import('./chart/all');
    } catch {
      await pause(AGAIN_MS);
    }
  }
}

/** A chart that is fetched when it is first shown; its room is kept meanwhile. */
function later<Name extends keyof Charts>(name: Name, height: number) {
  type Props = ComponentProps<Charts[Name]>;
  const Chart = lazy(async () => {
    const charts = await thereAtLast();
    return { default: charts[name] as ComponentType<object> };
  });
  return function Later(props: Props) {
    return (
      <Suspense fallback={<View aria-busy style={{ height }} />}>
        <Chart {...props} />
      </Suspense>
    );
  };
}

export const ControlChart = later('ControlChart', 200);
export const CurveChart = later('CurveChart', 240);
export const EyeChart = later('EyeChart', 190);
export const HoldChart = later('HoldChart', 200);
export const OffChart = later('OffChart', 120);
export const PartedChart = later('PartedChart', 132);
export const PressureChart = later('PressureChart', 190);
export const SessionsChart = later('SessionsChart', 160);
export const SpreadStrip = later('SpreadStrip', 34);
