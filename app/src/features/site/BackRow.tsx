import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import { View } from 'react-native';

import { IconButton } from '@/ui/Button';
import { Words } from '@/ui/Words';

interface BackRowProps {
  title: string;
  note: string;
  count: number;
  most: number;
  onChange: (count: number) => void;
}

/** How many of one balloon go back into their bag. */
export function BackRow({ title, note, count, most, onChange }: BackRowProps) {
  return (
    <View role="group" aria-label={title} className="flex-row items-center gap-2 border-b border-line py-1">
      <View className="flex-1">
        <Words look="strong">{title}</Words>
        <Words look="quiet">{note}</Words>
      </View>
      <IconButton label={`One less: ${title}`} icon={Minus} disabled={count <= 0} onPress={() => onChange(count - 1)} />
      <Words look="figure" className="min-w-[44px] text-center" aria-live="polite">
        {count}
      </Words>
      <IconButton
        label={`One more: ${title}`}
        icon={Plus}
        disabled={count >= most}
        onPress={() => onChange(count + 1)}
      />
    </View>
  );
}
