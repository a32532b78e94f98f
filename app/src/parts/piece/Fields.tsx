import type { PiecePart, SizedPart } from '@leggero/contract';
import Plus from 'lucide-react-native/icons/plus';
import X from 'lucide-react-native/icons/x';
import type { ReactNode } from 'react';
import { View } from 'react-native';

import { BalloonPick } from '../BalloonPick';
import { Button, IconButton } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { NumberField } from '@/ui/NumberField';
import { LengthField } from '../LengthField';

import { modelOf } from './material';
import type { PieceBasis } from './useBasis';

interface PartPickProps<Part extends PiecePart> {
  label: string;
  part: Part;
  basis: PieceBasis;
  onChange: (part: Part) => void;
}

/** Which balloon of the shelf a part is made of: pairs too. */
export function PartPick<Part extends PiecePart>({ label, part, basis, onChange }: PartPickProps<Part>) {
  const { models } = basis.knowledge;
  return (
    <BalloonPick
      label={label}
      none="Any balloon"
      models={models}
      value={modelOf(part, basis)}
      onChange={(id) => {
        const model = models.find((each) => each.id === id);
        onChange(
          model
            ? {
                ...part,
                modelId: model.id,
                colourHex: model.seenHex ?? model.colourHex,
                finish: model.finish,
              }
            : { ...part, modelId: null },
        );
      }}
    />
  );
}

/** Which modelling balloon of the shelf a part is made of; a 260 where none is chosen. */
export function LongPick({ label, part, basis: { longs }, onChange }: PartPickProps<PiecePart>) {
  return (
    <BalloonPick
      label={label}
      none="A 260"
      models={longs}
      value={longs.find(({ id }) => id === part.modelId)}
      onChange={(id) => {
        const next = longs.find((long) => long.id === id);
        onChange(
          next ? { modelId: next.id, colourHex: next.colourHex, finish: next.finish } : { ...part, modelId: null },
        );
      }}
    />
  );
}

interface MmFieldProps {
  label: string;
  hint?: string;
  value: number;
  basis: PieceBasis;
  /** Of a balloon: widths are never as long as pieces. */
  width?: boolean;
  error?: string | undefined;
  onChange: (mm: number) => void;
}

/** A length of a design: an empty field changes nothing. */
export function MmField({ value, basis, width = false, onChange, ...field }: MmFieldProps) {
  return (
    <View className="min-w-[130px] flex-1">
      <LengthField
        {...field}
        value={value}
        lengths={basis.lengths}
        long={!width}
        onChange={(mm) => mm !== null && onChange(mm)}
      />
    </View>
  );
}

interface CountFieldProps {
  label: string;
  value: number;
  least?: number;
  most: number;
  /** What is counted: "layers". */
  of: string;
  error?: string | undefined;
  onChange: (count: number) => void;
}

/** How many there are: whole ones. */
export function CountField({ label, value, least = 1, most, of, error, onChange }: CountFieldProps) {
  return (
    <View className="min-w-[130px] flex-1">
      <NumberField
        label={label}
        value={value}
        range={{ least, most, error: error ?? `${least} to ${most} ${of}.` }}
        onChange={(next) => onChange(Math.round(next))}
      />
    </View>
  );
}

const MOST_IN_REPEAT = 6;

interface RemovableProps {
  label: string;
  /** Takes it out; null where it is to stay. */
  onRemove: (() => void) | null;
  children: ReactNode;
}

/** An entry of a list, and beside it what takes it out. */
export function Removable({ label, onRemove, children }: RemovableProps) {
  return (
    <View className="flex-row items-end gap-1">
      <View className="flex-1">{children}</View>
      {onRemove ? <IconButton label={label} icon={X} onPress={onRemove} /> : null}
    </View>
  );
}

interface RepeatCardProps {
  title: string;
  repeat: readonly SizedPart[];
  basis: PieceBasis;
  error?: string | undefined;
  /** What one more is called. */
  more: string;
  onChange: (repeat: SizedPart[]) => void;
}

/** Balloons that follow each other, with their sizes and colours, over and over. */
export function RepeatCard({ title, repeat, basis, error, more, onChange }: RepeatCardProps) {
  const change = (at: number, by: Partial<SizedPart>) =>
    onChange(repeat.map((part, i) => (i === at ? { ...part, ...by } : part)));
  return (
    <Card title={title}>
      <View className="gap-3">
        {repeat.map((part, i) => (
          <View key={i} className="gap-2">
            <Removable
              label={`Take balloon ${i + 1} out`}
              onRemove={repeat.length > 1 ? () => onChange(repeat.filter((_, at) => at !== i)) : null}
            >
              <PartPick
                label={repeat.length > 1 ? `Balloon ${i + 1}` : 'Balloon'}
                part={part}
                basis={basis}
                onChange={(chosen) => change(i, chosen)}
              />
            </Removable>
            <MmField
              label={repeat.length > 1 ? `Width ${i + 1}` : 'Width'}
              value={part.widthMm}
              width
              basis={basis}
              error={i === 0 ? error : undefined}
              onChange={(widthMm) => change(i, { widthMm })}
            />
          </View>
        ))}
        {repeat.length < MOST_IN_REPEAT ? (
          <Button title={more} icon={Plus} onPress={() => onChange([...repeat, repeat.at(-1)!])} />
        ) : null}
      </View>
    </Card>
  );
}
