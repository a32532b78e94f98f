import type { LucideIcon } from 'lucide-react-native';
import type { ReactNode } from 'react';
import { View } from 'react-native';

import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';

const TONES = {
  out: { wash: 'bg-out-wash', text: 'text-out' },
  edge: { wash: 'bg-edge-wash', text: 'text-edge' },
  pine: { wash: 'bg-pine-wash', text: 'text-pine' },
} as const;

interface NoticeProps {
  tone: keyof typeof TONES;
  icon?: LucideIcon;
  says: string;
  role?: 'alert' | 'status';
  /** What can be done about it. */
  children?: ReactNode;
}

/** A line above every page. */
export function Notice({ tone, icon: Icon, says, role = 'status', children }: NoticeProps) {
  const palette = usePalette();
  const { wash, text } = TONES[tone];
  return (
    <View role={role} className={`flex-row items-center gap-3 border-b border-line px-4 py-2 ${wash}`}>
      {Icon ? <Icon size={18} color={palette[tone]} /> : null}
      <Words look="label" className={`flex-1 ${text}`}>
        {says}
      </Words>
      {children}
    </View>
  );
}
