import Search from 'lucide-react-native/icons/search';
import { forwardRef } from 'react';
import { TextInput, View } from 'react-native';

import { usePalette } from './theme';

interface SearchFieldProps {
  label: string;
  value: string;
  onChangeText: (text: string) => void;
}

/** A field that narrows a list as one types. */
export const SearchField = forwardRef<TextInput, SearchFieldProps>(function SearchField(
  { label, value, onChangeText },
  ref,
) {
  const palette = usePalette();
  return (
    <View className="mb-1 min-h-[44px] flex-row items-center gap-2 rounded-card border border-line bg-surface px-3">
      <Search size={18} color={palette.quiet} />
      <TextInput
        ref={ref}
        aria-label={label}
        placeholder="Line, size, colour"
        placeholderTextColor={palette.quiet}
        value={value}
        onChangeText={onChangeText}
        className="min-h-[44px] flex-1 bg-transparent font-body text-[16px] text-ink"
      />
    </View>
  );
});
