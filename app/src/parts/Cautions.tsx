import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronUp from 'lucide-react-native/icons/chevron-up';
import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import { Pressable, View } from 'react-native';

import { CAUTIONS, type CautionName } from '@/wording/cautions';

import { useSessionState } from '@/ui/session';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';

/** What to mind here. Each can be folded away until the tab is closed; none can be taken off. */
export function Cautions({ names }: { names: readonly CautionName[] }) {
  return (
    <View role="note" aria-label="What to mind" className="gap-1">
      {names.map((name) => (
        <Caution key={name} name={name} />
      ))}
    </View>
  );
}

function Caution({ name }: { name: CautionName }) {
  const palette = usePalette();
  const { folded, fold, unfold } = useSessionState();
  const isFolded = folded.includes(name);
  const { title, text } = CAUTIONS[name];
  const Chevron = isFolded ? ChevronDown : ChevronUp;
  return (
    <View className="rounded-card border border-line px-3 pb-1">
      <Pressable
        role="button"
        aria-expanded={!isFolded}
        aria-label={title}
        onPress={() => (isFolded ? unfold(name) : fold(name))}
        className="min-h-[44px] flex-row items-center gap-2"
      >
        <TriangleAlert size={17} color={palette.edge} />
        <Words look="label" className="flex-1">
          {title}
        </Words>
        <Chevron size={18} color={palette.quiet} />
      </Pressable>
      {isFolded ? null : (
        <Words look="quiet" className="pb-2">
          {text}
        </Words>
      )}
    </View>
  );
}
