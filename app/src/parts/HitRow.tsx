import { isWidthKind } from '@leggero/core';
import type { Href } from 'expo-router';
import type { LucideIcon } from 'lucide-react-native';
import CalendarDays from 'lucide-react-native/icons/calendar-days';
import ClipboardList from 'lucide-react-native/icons/clipboard-list';
import Ruler from 'lucide-react-native/icons/ruler';
import Wind from 'lucide-react-native/icons/wind';
import { View } from 'react-native';

import { RowLink } from '@/ui/RowLink';
import { usePalette } from '@/ui/theme';
import { asSold } from '@/views/modelView';
import type { Hit } from '@/wording/search';

import { Aperture } from './Aperture';
import { OtherPicture } from './OtherPicture';
import { PieceStill } from './PieceStill';
import { PLACE_ICONS } from './placeIcons';

const SIZE = 44;
/** A page looks like the place it belongs to; one of no place like the shelf. */
const OF_PLACE: Readonly<Record<string, LucideIcon>> = PLACE_ICONS;
const ICONS = { sizer: Ruler, pump: Wind, study: ClipboardList, event: CalendarDays };
/** Something that was found: a small picture of it, its name, what it is. */
export function HitRow({ hit }: { hit: Hit }) {
  return (
    <RowLink href={hit.href as Href} title={hit.title} note={hit.note}>
      <View style={{ width: SIZE }} className="items-center">
        <HitPicture hit={hit.kind === 'tool' && hit.of ? hit.of : hit} />
      </View>
    </RowLink>
  );
}

function HitPicture({ hit }: { hit: Hit }) {
  const palette = usePalette();
  if (hit.kind === 'piece') return <PieceStill id={hit.id} design={hit.piece.design} size={SIZE} />;
  if (hit.kind === 'balloon') {
    const { model } = hit;
    if (!isWidthKind(model.kind)) return <OtherPicture model={model} width={SIZE} />;
    return <Aperture {...asSold(model)} size={SIZE} label={model.colourName} />;
  }
  const Icon =
    hit.kind === 'page' || hit.kind === 'tool'
      ? (OF_PLACE[hit.href.split('/')[1]!] ?? PLACE_ICONS.shelf)
      : ICONS[hit.kind];
  return <Icon size={22} color={palette.quiet} />;
}
