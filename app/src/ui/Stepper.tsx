import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import { View } from 'react-native';

import { StepButton } from './Button';
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
