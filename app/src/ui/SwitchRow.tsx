import { Switch, View } from 'react-native';

import { Words } from './Words';

interface SwitchRowProps {
  label: string;
  value: boolean;
  onChange: (value: boolean) => void;
}

/** Something that is or is not. */
export function SwitchRow({ label, value, onChange }: SwitchRowProps) {
  return (
    <View className="min-h-[44px] flex-row items-center justify-between">
      <Words>{label}</Words>
      <Switch aria-label={label} value={value} onValueChange={onChange} />
    </View>
  );
}
