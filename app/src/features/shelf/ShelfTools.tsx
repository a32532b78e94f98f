import { View } from 'react-native';

import { RowLink } from '@/ui/RowLink';

/** What the whole shelf is good for, below its balloons. */
export function ShelfTools() {
  return (
    <View className="mt-2 gap-2">
      <RowLink href="/shelf/find" title="Find a balloon for a width" note="Which nominal suits, and which does not" />
      <RowLink href="/shelf/compare" title="Compare two balloons" note="Or let one stand in for the other" />
      <RowLink href="/shelf/pair" title="Pair two balloons" note="One inside the other, filled as one" />
      <RowLink href="/shelf/bubble" title="Fill a bubble" note="Gas in the gap: any one width from the other two" />
      <RowLink href="/shelf/orb" title="Foil sphere in clear latex" note="When to let air out, and the gap to keep" />
      <RowLink href="/shelf/sheet" title="Target sheets" note="Print, or save as PDF" />
      <RowLink href="/shelf/files" title="Files in and out" note="Readings, whole calibrations, everything" />
    </View>
  );
}
