import { Pressable, View } from 'react-native';

import type { ChoiceProps } from './Segmented';
import { Words } from './Words';

/** One of several, in rows of chips. */
export function PickChips<Value extends string>({ label, options, value, onChange }: ChoiceProps<Value>) {
  return (
    <View role="radiogroup" aria-label={label} className="flex-row flex-wrap gap-2">
      {options.map((option) => {
        const chosen = option.value === value;
        return (
          <Pressable
            key={option.value}
            role="radio"
            aria-checked={chosen}
            aria-label={option.heard ?? option.title}
            onPress={() => onChange(option.value)}
            className={`min-h-[44px] min-w-[52px] items-center justify-center rounded-card border px-2 ${chosen ? 'border-pine bg-pine-wash' : 'border-line bg-surface'}`}
          >
            <Words look="strong" className={chosen ? 'text-pine' : ''}>
              {option.title}
            </Words>
          </Pressable>
        );
      })}
    </View>
  );
}
