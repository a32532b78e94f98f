import CloudOff from 'lucide-react-native/icons/cloud-off';
import type { ReactNode } from 'react';
import { View } from 'react-native';

import { Button } from './Button';
import { usePalette } from './theme';
import { Words } from './Words';

/** Nothing here yet: the first step in one sentence, and a button for it. */
export function Empty({ sentence, action }: { sentence: string; action?: ReactNode }) {
  return (
    <View className="items-center gap-4 px-6 py-10">
      <Words className="max-w-[360px] text-center">{sentence}</Words>
      {action}
    </View>
  );
}

/** Still on its way. */
export function Loading({ what }: { what: string }) {
  return (
    <View role="status" aria-busy aria-label={`Fetching ${what}`} className="gap-3 p-4">
      <View className="h-6 w-1/2 rounded-card bg-sunk" />
      <View className="h-24 rounded-card bg-sunk" />
      <View className="h-24 rounded-card bg-sunk" />
    </View>
  );
}

/** It could not be had: what happened, and what to do. */
export function Failed({ sentence, onRetry }: { sentence: string; onRetry?: () => void }) {
  const palette = usePalette();
  return (
    <View role="alert" className="items-center gap-4 px-6 py-10">
      <CloudOff size={32} color={palette.quiet} />
      <Words className="max-w-[360px] text-center">{sentence}</Words>
      {onRetry ? <Button title="Try again" onPress={onRetry} /> : null}
    </View>
  );
}
