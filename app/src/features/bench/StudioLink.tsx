import type { Studio } from '@leggero/contract';
import { Link } from 'expo-router';
import { Pressable } from 'react-native';

import { PLACE_ICONS } from '@/parts/placeIcons';
import { useWide } from '@/ui/layout';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';

/** The studio's name, which leads to how it works; on a wide window the rail does. */
export function StudioLink({ studio }: { studio: Studio }) {
  const palette = usePalette();
  const wide = useWide();
  const Icon = PLACE_ICONS.studio;
  if (wide) return null;
  return (
    <Link href="/studio" asChild>
      <Pressable
        role="link"
        aria-label={`Studio: ${studio.name}`}
        className="min-h-[44px] max-w-[52%] flex-row items-center gap-2 rounded-card px-2 active:bg-sunk"
      >
        <Words look="label" numberOfLines={2} className="shrink text-right text-pine">
          {studio.name}
        </Words>
        <Icon size={20} color={palette.pine} />
      </Pressable>
    </Link>
  );
}
