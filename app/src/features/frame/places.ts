import type { LucideIcon } from 'lucide-react-native';
import Gauge from 'lucide-react-native/icons/gauge';
import Layers from 'lucide-react-native/icons/layers';
import Settings from 'lucide-react-native/icons/settings';

/** The places of the app that are built. */
export const PLACES: readonly { title: string; path: '/shelf' | '/gauges' | '/studio'; icon: LucideIcon }[] =
  [
    { title: 'Shelf', path: '/shelf', icon: Layers },
    { title: 'Gauges', path: '/gauges', icon: Gauge },
    { title: 'Studio', path: '/studio', icon: Settings },
  ];
