import type { LucideIcon } from 'lucide-react-native';
import Hammer from 'lucide-react-native/icons/hammer';
import Gauge from 'lucide-react-native/icons/gauge';
import Layers from 'lucide-react-native/icons/layers';
import Shapes from 'lucide-react-native/icons/shapes';
import Search from 'lucide-react-native/icons/search';
import Settings from 'lucide-react-native/icons/settings';

export interface Place {
  title: string;
  path: '/search' | '/bench' | '/shelf' | '/gauges' | '/builds' | '/studio';
  icon: LucideIcon;
}

/** Finds what is in all places. */
export const SEARCH: Place = { title: 'Search', path: '/search', icon: Search };

/** The places of the app that are built. */
export const PLACES: readonly Place[] = [
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
