import Search from 'lucide-react-native/icons/search';
import { forwardRef } from 'react';
import { TextInput, View } from 'react-native';

import { usePalette } from './theme';

interface SearchFieldProps {
  label: string;
  value: string;
  onChangeText: (text: string) => void;
  placeholder: string;
  autoFocus?: boolean;
  onSubmitEditing?: () => void;
  /** The arrow down was pressed. */
  onDown?: () => void;
}

/** A field that finds as one types. */
export const SearchField = forwardRef<TextInput, SearchFieldProps>(function SearchField(
  { label, onDown, ...input },
  ref,
) {
  const palette = usePalette();
  return (
    <View>
      <TextInput
        ref={ref}
        aria-label={label}
        placeholderTextColor={palette.quiet}
        {...input}
        onKeyPress={({ nativeEvent }) => nativeEvent.key === 'ArrowDown' && onDown?.()}
        className="min-h-[48px] rounded-card border border-line bg-surface pl-10 pr-3 font-body text-[16px] text-ink"
      />
      <View className="pointer-events-none absolute bottom-0 left-3 top-0 justify-center">
        <Search size={18} color={palette.quiet} />
      </View>
    </View>
  );
});
