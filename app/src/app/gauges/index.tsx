import { GaugeList } from '@/chunks';
import { useWide } from '@/ui/layout';
import { Empty } from '@/ui/States';

export default function Gauges() {
  return useWide() ? <Empty sentence="Choose a sizer or a pump to see it." /> : <GaugeList />;
}
