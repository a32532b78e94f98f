import { useState, type ReactNode } from 'react';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { LengthEntry } from '@/parts/LengthEntry';
import { Button } from '@/ui/Button';

interface KeepWidthProps {
  label: string;
  /** What it stands at first, and again once a width is kept, mm. */
  fromMm: number;
  least: number;
  most: number;
  /** Why a width cannot be kept; undefined where it can. */
  problemOf?: (widthMm: number) => string | undefined;
  /** On the button. */
  title: string;
  onKeep: (widthMm: number) => void;
  /** Another button, before that one. */
  beside?: ReactNode;
}

/** A width that is set and kept. */
export function KeepWidth({ label, fromMm, least, most, problemOf, title, onKeep, beside }: KeepWidthProps) {
  const lengths = useLengths();
  const [widthMm, setWidthMm] = useState(fromMm);
  const problem = problemOf?.(widthMm);
  const keep = () => {
    onKeep(widthMm);
    setWidthMm(fromMm);
  };
  return (
    <View className="gap-3">
      <LengthEntry {...{ label, least, most, lengths }} value={widthMm} error={problem} onChange={setWidthMm} />
      <View className="flex-row gap-3">
        {beside}
        <Button title={title} look="primary" className="flex-1" tall disabled={problem !== undefined} onPress={keep} />
      </View>
    </View>
  );
}
