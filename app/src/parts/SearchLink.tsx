import { Link } from 'expo-router';
import Search from 'lucide-react-native/icons/search';
import { Pressable } from 'react-native';

import { useWide } from '@/ui/layout';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';

/** On a phone, what looks like the field it leads to; when wide the rail has it. */
export function SearchLink() {
  const palette = usePalette();
  if (useWide()) return null;
  return (
    <Link href="/search" asChild>
      <Pressable
        role="link"
        className="min-h-[48px] flex-row items-center gap-2 rounded-card border border-line bg-surface px-3 active:bg-sunk"
      >
        <Search size={18} color={palette.quiet} />
        <Words look="quiet">Search everything</Words>
      </Pressable>
    </Link>
  );
}
