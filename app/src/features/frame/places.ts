import type { Role } from '@leggero/contract';
import type { LucideIcon } from 'lucide-react-native';
import Search from 'lucide-react-native/icons/search';

import { PLACE_ICONS } from '@/parts/placeIcons';

export interface Place {
  title: string;
  path: '/help' | '/studio/account' | '/search' | '/bench' | '/shelf' | '/gauges' | '/builds' | '/logbook' | '/studio';
  icon: LucideIcon;
}

/** Finds what is in all places. */
export const SEARCH: Place = { title: 'Search', path: '/search', icon: Search };

/** How the studio works: at the foot of the rail; a phone has it at the head of the Bench. */
export const STUDIO: Place = { title: 'Studio', path: '/studio', icon: PLACE_ICONS.studio };

/** The places of the app: a phone's bar holds no more. */
const PLACES: readonly Place[] = [
  { title: 'Bench', path: '/bench', icon: PLACE_ICONS.bench },
  { title: 'Shelf', path: '/shelf', icon: PLACE_ICONS.shelf },
  { title: 'Gauges', path: '/gauges', icon: PLACE_ICONS.gauges },
  { title: 'Builds', path: '/builds', icon: PLACE_ICONS.builds },
  { title: 'Logbook', path: '/logbook', icon: PLACE_ICONS.logbook },
];

/** All that a helper has: their event, and their account. */
const HELPER_PLACES: readonly Place[] = [
  { title: 'Event', path: '/help', icon: PLACE_ICONS.builds },
  { title: 'Account', path: '/studio/account', icon: PLACE_ICONS.studio },
];

/** The places of whoever is at this device. */
export const placesFor = (role: Role): readonly Place[] => (role === 'helper' ? HELPER_PLACES : PLACES);

/** The pages of a helper: their event by its recipe, its run and its site list, and what is their own. */
const HELPING = /^\/(help|studio\/account|builds\/events\/[^/]+\/(recipe|run|site))$/;

/** Whether someone may see a page. */
export const maySee = (role: Role, pathname: string): boolean => role !== 'helper' || HELPING.test(pathname);

/** Pages where something is counted balloon by balloon, or typed: what would interrupt it waits. */
const MIDWAY = /^\/(shelf\/[^/]+\/(check|reading|hold|edit)|gauges\/(eye|studies)\/[^/]+|gauges\/sizers\/[^/]+\/)/;

/** Whether an address is that of work that must not be interrupted. */
export function isMidway(pathname: string): boolean {
  return MIDWAY.test(pathname);
}
