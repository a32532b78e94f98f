import { Pressable, View } from 'react-native';

import { Words } from './Words';

/** One of several values, each with the words on it and, where those are too short, those that are heard. */
export interface ChoiceProps<Value extends string> {
  label: string;
  options: readonly { value: Value; title: string; heard?: string }[];
  value: Value | null;
  onChange: (value: Value) => void;
}

/** One of a few, side by side. */
export function Segmented<Value extends string>({ label, options, value, onChange }: ChoiceProps<Value>) {
  return (
    <View role="radiogroup" aria-label={label} className="flex-row rounded-card bg-sunk p-1">
      {options.map((option) => {
        const chosen = option.value === value;
        return (
          <Pressable
            key={option.value}
            role="radio"
            aria-checked={chosen}
            aria-label={option.title}
            onPress={() => onChange(option.value)}
            className={
              'min-h-[44px] flex-1 items-center justify-center rounded-[11px] border px-1 ' +
              `${chosen ? 'border-line bg-surface' : 'border-transparent'}`
            }
          >
            <Words look={chosen ? 'strong' : 'body'} numberOfLines={1} className={chosen ? '' : 'text-quiet'}>
              {option.title}
            </Words>
          </Pressable>
        );
      })}
    </View>
  );
}
