import type { PhotoRecord } from '@leggero/contract';
import { useState } from 'react';
import { Image, Pressable, View } from 'react-native';

import { write } from '@/data/outbox';
import { DeleteButton } from '@/ui/DeleteButton';
import { Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { momentText } from '@/wording/day';

/** Across, px. */
const SMALL = 64;

/** Photos of one step, small; a tap shows one whole. */
export function Photos({ of, photos }: { of: string; photos: readonly PhotoRecord[] }) {
  const [open, setOpen] = useState<string | null>(null);
  const shown = photos.find(({ id }) => id === open);
  if (photos.length === 0) return null;
  return (
    <View className="flex-row flex-wrap gap-2">
      {photos.map(({ id, picture }, i) => (
        <Pressable
          key={id}
          role="button"
          aria-label={`Photo ${i + 1} of ${of}`}
          onPress={() => setOpen(id)}
          className="overflow-hidden rounded-[10px] border border-line"
        >
          <Image source={{ uri: picture }} resizeMode="cover" style={{ width: SMALL, height: SMALL }} />
        </Pressable>
      ))}
      <Sheet title={of} open={shown !== undefined} onClose={() => setOpen(null)}>
        {shown ? (
          <>
            {/* The browser's own: it is as high as it is. */}
            <img src={shown.picture} alt={`Photo of ${of}`} className="max-h-[60vh] w-full object-contain" />
            <View className="flex-row items-center justify-between">
              <Words look="quiet">{momentText(shown.at)}</Words>
              <DeleteButton
                what="this photo"
                consequence="It goes from all devices and does not come back."
                onDelete={() => {
                  setOpen(null);
                  write({ remove: 'photo', id: shown.id });
                }}
              />
            </View>
          </>
        ) : null}
      </Sheet>
    </View>
  );
}
