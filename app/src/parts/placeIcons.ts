import Gauge from 'lucide-react-native/icons/gauge';
import Hammer from 'lucide-react-native/icons/hammer';
import Layers from 'lucide-react-native/icons/layers';
import Notebook from 'lucide-react-native/icons/notebook-pen';
import Settings from 'lucide-react-native/icons/settings';
import Shapes from 'lucide-react-native/icons/shapes';

/** How each place of the app looks, by the first part of its address. */
export const PLACE_ICONS = {
  bench: Hammer,
  shelf: Layers,
  gauges: Gauge,
  builds: Shapes,
  logbook: Notebook,
  studio: Settings,
};
