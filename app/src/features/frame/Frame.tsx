import { Link, Redirect, router, usePathname } from 'expo-router';
import { lazy, type ReactNode, Suspense, useState } from 'react';
import { Pressable, View } from 'react-native';

import { roleHere } from '@/data/access';
import { useWide } from '@/ui/layout';
import { usePalette } from '@/ui/theme';
import { useKeys } from '@/ui/useKeys';
import { Words } from '@/ui/Words';

import { BarredNotice } from './BarredNotice';
import { ConnectionNotice } from './ConnectionNotice';
import { maySee, placesFor, SEARCH, STUDIO, type Place } from './places';
import { VersionNotice } from './VersionNotice';

const KeysSheet = lazy(async () => ({ default: (await import('./KeysSheet')).KeysSheet }));

/** What stands around every page: the bottom bar on a phone, the rail when wide. */
export function Frame({ children }: { children: ReactNode }) {
  const wide = useWide();
  const pathname = usePathname();
  const [keysOpen, setKeysOpen] = useState(false);
  useKeys({ '?': () => setKeysOpen(true), '/': () => router.navigate('/search') }, { elsewhere: true });
  return (
    <View className={`flex-1 bg-ground ${wide ? 'flex-row' : ''}`}>
      {wide ? <Rail /> : null}
      <View className="flex-1">
        <ConnectionNotice />
        <BarredNotice />
        <VersionNotice />
        <View className="flex-1">{maySee(roleHere(), pathname) ? children : <Redirect href="/help" />}</View>
      </View>
      {wide ? null : <BottomBar />}
      {keysOpen ? (
        <Suspense>
          <KeysSheet open onClose={() => setKeysOpen(false)} />
        </Suspense>
      ) : null}
    </View>
  );
}

function Rail() {
  const isHelper = roleHere() === 'helper';
  return (
    <View role="navigation" aria-label="Places" className="w-[148px] gap-1 border-r border-line px-3 py-5">
      <Words look="title" className="mb-4 px-2">
        Leggero
      </Words>
      {isHelper ? null : <PlaceLink place={SEARCH} wide />}
      {placesFor(roleHere()).map((place) => (
        <PlaceLink key={place.path} place={place} wide />
      ))}
      <View className="flex-1" />
      {isHelper ? null : <PlaceLink place={STUDIO} wide />}
    </View>
  );
}

function BottomBar() {
  return (
    <View role="navigation" aria-label="Places" className="flex-row border-t border-line bg-surface">
      {placesFor(roleHere()).map((place) => (
        <PlaceLink key={place.path} place={place} wide={false} />
      ))}
    </View>
  );
}

function PlaceLink({ place: { title, path, icon: Icon }, wide }: { place: Place; wide: boolean }) {
  const palette = usePalette();
  const here = usePathname().startsWith(path);
  const box = wide
    ? `min-h-[44px] flex-row items-center gap-3 rounded-card px-3 ${here ? 'bg-pine-wash' : ''}`
    : 'min-h-[60px] flex-1 items-center justify-center gap-0.5';
  return (
    <Link href={path} asChild>
      <Pressable role="link" aria-label={title} aria-current={here ? 'page' : undefined} className={box}>
        <Icon size={wide ? 20 : 24} color={here ? palette.pine : palette.quiet} />
        <Words look={here ? 'label' : 'quiet'} className={here ? 'text-pine' : ''}>
          {title}
        </Words>
      </Pressable>
    </Link>
  );
}
