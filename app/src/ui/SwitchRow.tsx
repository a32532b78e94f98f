import { Switch, View } from 'react-native';

import { Words } from './Words';

interface SwitchRowProps {
  label: string;
  /** What it means as it stands. */
  hint?: string;
  value: boolean;
  onChange: (value: boolean) => void;
}

/** Something that is or is not. */
export function SwitchRow({ label, hint, value, onChange }: SwitchRowProps) {
  return (
    <View className="min-h-[44px] flex-row items-center justify-between gap-3">
      <View className="flex-1">
        <Words>{label}</Words>
        {hint ? <Words look="quiet">{hint}</Words> : null}
      </View>
      <Switch aria-label={label} value={value} onValueChange={onChange} />
    </View>
  );
}
