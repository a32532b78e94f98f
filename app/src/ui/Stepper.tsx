import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import type { LucideIcon } from 'lucide-react-native';
import { Pressable, View } from 'react-native';

import { usePalette } from './theme';
import { Words } from './Words';

interface StepperProps {
  label: string;
  value: number;
  /** What stands between the buttons. */
  shown: string;
  step: number;
  least: number;
  most: number;
  onChange: (value: number) => void;
}

/** A number changed by taps: minus, figure, plus. */
export function Stepper({ label, value, shown, step, least, most, onChange }: StepperProps) {
  return (
    <View role="group" aria-label={label} className="flex-row items-center justify-between gap-3">
      <StepButton
        icon={Minus}
        label={`Fewer: ${label}`}
        disabled={value - step < least}
        onPress={() => onChange(value - step)}
      />
      <View className="flex-1 items-center">
        <Words look="figure" className="text-[44px] leading-[52px]" aria-live="polite">
          {shown}
        </Words>
        <Words look="quiet">{label}</Words>
      </View>
      <StepButton
        icon={Plus}
        label={`More: ${label}`}
        disabled={value + step > most}
        onPress={() => onChange(value + step)}
      />
    </View>
  );
}

interface StepButtonProps {
  icon: LucideIcon;
  label: string;
  disabled?: boolean;
  onPress: () => void;
}

/** A square button of one step. */
export function StepButton({ icon: Icon, label, disabled, onPress }: StepButtonProps) {
  const palette = usePalette();
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      className={`h-16 w-16 items-center justify-center rounded-card border border-line bg-surface active:bg-sunk ${disabled ? 'opacity-40' : ''}`}
    >
      <Icon size={28} color={palette.pine} />
    </Pressable>
  );
}
