import { router } from 'expo-router';
import { Pressable } from 'react-native';

import { useLengths } from '@/data/lengths';
import { useSizes } from '@/data/logbook';
import { useBatches } from '@/data/measured';
import { Words } from '@/ui/Words';
import { batchOfBags } from '@/views/stock';
import { bagText, movedText } from '@/wording/logbook';

interface BagLineProps {
  modelId: string;
  /** The bag that is filled from. */
  bagId: string;
}

/** Whether the bag that is filled from comes out otherwise than another; its sizes are one tap away. */
export function BagLine({ modelId, bagId }: BagLineProps) {
  const { fine } = useLengths();
  const mover = useSizes(modelId)?.moved.mover;
  const batches = batchOfBags(useBatches(modelId));
  if (mover?.kind !== 'bag' || !mover.levels.some(({ of }) => of === bagId)) return null;
  // Of bags alone it is not asked on which day.
  const said = movedText(mover, { fine, bagOf: (id) => bagText(batches.get(id)), dayOf: String })!;
  return (
    <Pressable
      role="link"
      aria-label={`${said} See its sizes.`}
      className="min-h-[44px] justify-center rounded-card bg-edge-wash px-4 py-1.5"
      onPress={() => router.navigate(`/logbook/${modelId}`)}
    >
      <Words look="strong" className="text-edge">
        {said}
      </Words>
    </Pressable>
  );
}
