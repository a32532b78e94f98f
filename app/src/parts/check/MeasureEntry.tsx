import { Button } from '@/ui/Button';

import { KeepWidth } from './KeepWidth';

interface MeasureEntryProps {
  targetMm: number;
  onKeep: (widthMm: number) => void;
  onBack: () => void;
}

/** The width of this balloon instead of an answer at the hole. */
export function MeasureEntry({ targetMm, onKeep, onBack }: MeasureEntryProps) {
  return (
    <KeepWidth
      label="Width"
      fromMm={targetMm}
      least={0.3 * targetMm}
      most={2 * targetMm}
      problemOf={(widthMm) =>
        widthMm > 0 && widthMm < 2 * targetMm ? undefined : 'This balloon cannot be that wide. Check the unit.'
      }
      title="Keep this width"
      onKeep={onKeep}
      beside={<Button title="Answer at the hole" className="flex-1" tall onPress={onBack} />}
    />
  );
}
