import { lazy, Suspense, type ComponentProps, type ComponentType } from 'react';
import { View } from 'react-native';

type Charts = typeof import('./chart/all');

/** A chart that is fetched when it is first shown; its room is kept meanwhile. */
function later<Name extends keyof Charts>(name: Name, height: number) {
  type Props = ComponentProps<Charts[Name]>;
  const Chart = lazy(async () => {
    const charts = await import('./chart/all');
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
