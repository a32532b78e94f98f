import { Pressable, View } from 'react-native';

import { chosenBox } from './chosen';
import type { ChoiceProps } from './Segmented';
import { Words } from './Words';

/** One of several, in rows of chips. */
export function PickChips<Value extends string>({ label, options, value, onChange }: ChoiceProps<Value>) {
  return (
    <View role="radiogroup" aria-label={label} className="flex-row flex-wrap gap-2">
      {options.map((option) => (
        <PickChip
          key={option.value}
          role="radio"
          title={option.title}
          heard={option.heard}
          chosen={option.value === value}
          onPress={() => onChange(option.value)}
        />
      ))}
    </View>
  );
}

type ToggleProps<Value extends string> = Omit<ChoiceProps<Value>, 'value' | 'onChange'> & {
  values: readonly Value[];
  /** How few and how many may be chosen; the oldest choice makes room. */
  least: number;
  most: number;
  onChange: (values: Value[]) => void;
};

/** Some of several, in rows of chips. */
export function ToggleChips<Value extends string>(props: ToggleProps<Value>) {
  const { label, options, values, least, most, onChange } = props;
  const toggle = (value: Value) => {
    if (!values.includes(value)) return onChange([...values, value].slice(-most));
    if (values.length > least) onChange(values.filter((each) => each !== value));
  };
  return (
    <View role="group" aria-label={label} className="flex-row flex-wrap gap-2">
      {options.map(({ value, title, heard }) => (
        <PickChip
          key={value}
          role="checkbox"
          title={title}
          heard={heard}
          chosen={values.includes(value)}
          onPress={() => toggle(value)}
        />
      ))}
    </View>
  );
}

interface PickChipProps {
  role: 'radio' | 'checkbox';
  title: string;
  heard: string | undefined;
  chosen: boolean;
  onPress: () => void;
}

function PickChip({ role, title, heard = title, chosen, onPress }: PickChipProps) {
  return (
    <Pressable
      role={role}
      aria-checked={chosen}
      aria-label={heard}
      onPress={onPress}
      className={
        'min-h-[44px] min-w-[52px] max-w-full items-center justify-center rounded-card border px-2 py-1 ' +
        chosenBox(chosen)
      }
    >
      <Words look="strong" className={chosen ? 'text-pine' : ''}>
        {title}
      </Words>
    </Pressable>
  );
}
