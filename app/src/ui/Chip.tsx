import type { LucideIcon } from 'lucide-react-native';
import Check from 'lucide-react-native/icons/check';
import Info from 'lucide-react-native/icons/info';
import Ruler from 'lucide-react-native/icons/ruler';
import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import X from 'lucide-react-native/icons/x';
import { View } from 'react-native';

import { usePalette } from './theme';
import { Words } from './Words';

const TONES = {
  good: { box: 'bg-good-wash', text: 'text-good', icon: Check, ink: 'good' },
  measured: { box: 'bg-good-wash', text: 'text-good', icon: Ruler, ink: 'good' },
  edge: { box: 'bg-edge-wash', text: 'text-edge', icon: TriangleAlert, ink: 'edge' },
  out: { box: 'bg-out-wash', text: 'text-out', icon: X, ink: 'out' },
  plain: { box: 'bg-sunk', text: 'text-quiet', icon: Info, ink: 'quiet' },
} as const satisfies Record<string, { box: string; text: string; icon: LucideIcon; ink: string }>;

export type Tone = keyof typeof TONES;

/** A state: icon, word and colour, never colour alone. */
export function Chip({ tone, word }: { tone: Tone; word: string }) {
  const palette = usePalette();
  const { box, text, icon: Icon, ink } = TONES[tone];
  return (
    <View className={`flex-row items-center gap-1 self-start rounded-full px-2 py-1 ${box}`}>
      <Icon size={15} color={palette[ink]} />
      <Words look="label" className={text}>
        {word}
      </Words>
    </View>
  );
}
