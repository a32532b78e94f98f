import type { LucideIcon } from 'lucide-react-native';
import Hammer from 'lucide-react-native/icons/hammer';
import Gauge from 'lucide-react-native/icons/gauge';
import Layers from 'lucide-react-native/icons/layers';
import Shapes from 'lucide-react-native/icons/shapes';
import Settings from 'lucide-react-native/icons/settings';

/** The places of the app that are built. */
export const PLACES: readonly {
  title: string;
  path: '/bench' | '/shelf' | '/gauges' | '/builds' | '/studio';
  icon: LucideIcon;
}[] = [
  { title: 'Bench', path: '/bench', icon: Hammer },
  { title: 'Shelf', path: '/shelf', icon: Layers },
  { title: 'Gauges', path: '/gauges', icon: Gauge },
  { title: 'Builds', path: '/builds', icon: Shapes },
  { title: 'Studio', path: '/studio', icon: Settings },
];

/** Pages where something is counted balloon by balloon, or typed: what would interrupt it waits. */
const MIDWAY = /^\/(shelf\/[^/]+\/(check|reading|hold|edit)|gauges\/(eye|studies)\/[^/]+|gauges\/sizers\/[^/]+\/)/;

/** Whether an address is that of work that must not be interrupted. */
export function isMidway(pathname: string): boolean {
  return MIDWAY.test(pathname);
}
