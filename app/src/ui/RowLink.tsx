import { Link, type Href } from 'expo-router';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';

import { usePalette } from './theme';
import { Words } from './Words';

interface RowLinkProps {
  href: Href;
  title: string;
  note: string;
  /** A picture before the words. */
  children?: ReactNode;
}

/** A row that leads somewhere: its name, what stands there, and a chevron. */
export function RowLink({ href, title, note, children }: RowLinkProps) {
  const palette = usePalette();
  return (
    <Link href={href} asChild>
      <Pressable
        role="link"
        className="min-h-[56px] flex-row items-center gap-3 rounded-card border border-line bg-surface p-3 active:bg-sunk"
      >
        {children}
        <View className="flex-1">
          <Words look="strong">{title}</Words>
          <Words look="quiet">{note}</Words>
        </View>
        <ChevronRight size={20} color={palette.quiet} />
      </Pressable>
    </Link>
  );
}
