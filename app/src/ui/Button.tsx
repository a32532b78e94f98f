import type { LucideIcon } from 'lucide-react-native';
import { Pressable } from 'react-native';

import { usePalette } from './theme';
import { Words } from './Words';

const LOOKS = {
  /** The one action of a view. */
  primary: { box: 'bg-kiln border-kiln active:opacity-80', text: 'text-on-kiln', ink: 'onKiln' },
  secondary: { box: 'bg-surface border-line active:bg-sunk', text: 'text-ink', ink: 'ink' },
  plain: { box: 'bg-transparent border-transparent active:bg-sunk', text: 'text-pine', ink: 'pine' },
  danger: { box: 'bg-surface border-line active:bg-out-wash', text: 'text-out', ink: 'out' },
} as const;

interface ButtonProps {
  title: string;
  onPress: () => void;
  look?: keyof typeof LOOKS;
  icon?: LucideIcon;
  disabled?: boolean;
  /** 56 px tall for the action of the moment, else 44. */
  tall?: boolean;
  className?: string;
}

/** A button with a verb on it. */
export function Button({
  title,
  onPress,
  look = 'secondary',
  icon: Icon,
  disabled,
  tall,
  className = '',
}: ButtonProps) {
  const palette = usePalette();
  const { box, text, ink } = LOOKS[look];
  return (
    <Pressable
      role="button"
      aria-label={title}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      className={
        'flex-row items-center justify-center gap-2 rounded-card border px-4 ' +
        `${tall ? 'min-h-[56px]' : 'min-h-[44px]'} ${box} ${disabled ? 'opacity-50' : ''} ${className}`
      }
    >
      {Icon ? <Icon size={20} color={palette[ink]} /> : null}
      <Words look="strong" className={`${text} text-center`}>
        {title}
      </Words>
    </Pressable>
  );
}

interface IconButtonProps {
  label: string;
  icon: LucideIcon;
  onPress: () => void;
  disabled?: boolean;
}

/** A button that is a picture; its name is heard. */
export function IconButton(props: IconButtonProps) {
  return <PictureButton {...props} size={24} box="h-11 w-11" />;
}

/** A large square button of one step, for a thumb. */
export function StepButton(props: IconButtonProps) {
  return <PictureButton {...props} size={28} box="h-16 w-16 border border-line bg-surface" />;
}

function PictureButton({
  label,
  icon: Icon,
  onPress,
  disabled,
  size,
  box,
}: IconButtonProps & { size: number; box: string }) {
  const palette = usePalette();
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      className={`items-center justify-center rounded-card active:bg-sunk ${box} ${disabled ? 'opacity-40' : ''}`}
    >
      <Icon size={size} color={palette.pine} />
    </Pressable>
  );
}
