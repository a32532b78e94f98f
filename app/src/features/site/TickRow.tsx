import type { PhotoRecord } from '@leggero/contract';
import Camera from 'lucide-react-native/icons/camera';
import Check from 'lucide-react-native/icons/check';
import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';

import { Photos } from '@/parts/photo/Photos';
import { usePhotoTaking } from '@/parts/photo/usePhotoTaking';
import { IconButton } from '@/ui/Button';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';

interface TickRowProps {
  title: string;
  note: string;
  done: boolean;
  onToggle: () => void;
  eventId: string;
  /** What its photos hang on. */
  photoKey: string;
  photos: readonly PhotoRecord[];
  children?: ReactNode;
}

/** Something that is looked at, or put right: a tap says that it is, another takes that back; photos go with it. */
export function TickRow({ title, note, done, onToggle, eventId, photoKey, photos, children }: TickRowProps) {
  const palette = usePalette();
  const { take, busy, problem } = usePhotoTaking(eventId, photoKey);
  return (
    <View role="listitem" className="border-b border-line">
      <View className="flex-row items-center">
        <Pressable
          role="checkbox"
          aria-checked={done}
          aria-label={title}
          onPress={onToggle}
          className="min-h-[60px] flex-1 flex-row items-center gap-3 px-1 py-2 active:bg-sunk"
        >
          <View
            className={
              'h-8 w-8 items-center justify-center rounded-[8px] border ' +
              `${done ? 'border-pine bg-pine' : 'border-quiet bg-surface'}`
            }
          >
            {done ? <Check size={22} color={palette.onPine} /> : null}
          </View>
          <View className="flex-1">
            <Words look="strong" className={done ? 'text-quiet' : ''}>
              {title}
            </Words>
            {note === '' ? null : <Words look="quiet">{note}</Words>}
          </View>
        </Pressable>
        {children}
        <IconButton label={`Photo: ${title}`} icon={Camera} disabled={busy} onPress={() => void take()} />
      </View>
      {busy || problem || photos.length > 0 ? (
        <View className="gap-2 pb-2 pl-12">
          {busy ? <Words look="quiet">Making it small</Words> : null}
          {problem ? (
            <Words look="error" role="alert">
              {problem}
            </Words>
          ) : null}
          <Photos of={title} photos={photos} />
        </View>
      ) : null}
    </View>
  );
}
