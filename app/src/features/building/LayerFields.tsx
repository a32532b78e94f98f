import { View } from 'react-native';

import { MmField } from '@/parts/piece/Fields';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { Labelled } from '@/ui/Field';
import { PickChips } from '@/ui/PickChips';
import { Segmented } from '@/ui/Segmented';
import { Words } from '@/ui/Words';
import { LAYER_WORDS } from '@/wording/building';

import { recoloured, type Colouring } from './colouring';

interface CountChoiceProps {
  design: Colouring;
  counts: readonly number[];
  change: (by: Partial<Colouring>) => void;
}

/** How many balloons a layer has; the colours follow. */
export function CountChoice({ design, counts, change }: CountChoiceProps) {
  return (
    <Labelled label="In a layer">
      <PickChips
        label="In a layer"
        options={counts.map((each) => ({ value: String(each), title: LAYER_WORDS[each]!.many }))}
        value={String(design.count)}
        onChange={(value) => change(recoloured(design, { count: Number(value) }))}
      />
    </Labelled>
  );
}

/** Which of a piece's figures is worked out from the others. */
export function WorkOut<Value extends string>({
  words,
  value,
  onChange,
}: {
  words: Readonly<Record<Value, string>>;
  value: Value;
  onChange: (value: Value) => void;
}) {
  const options = (Object.keys(words) as Value[]).map((each) => ({ value: each, title: words[each] }));
  return (
    <Labelled label="Work out">
      <Segmented label="Work out" {...{ options, value, onChange }} />
    </Labelled>
  );
}

interface WidthFieldProps {
  widthMm: number;
  basis: PieceBasis;
  wrong: (field: string) => string | undefined;
  change: (by: { widthMm: number }) => void;
}

/** The one width of a piece's balloons. */
export function WidthField({ widthMm, basis, wrong, change }: WidthFieldProps) {
  return (
    <MmField
      label="Width of its balloons"
      value={widthMm}
      width
      basis={basis}
      error={wrong('widthMm')}
      onChange={(mm) => change({ widthMm: mm })}
    />
  );
}

/** What is wrong with what is worked out, where no field of it is. */
export function Unfitting({ error }: { error: string | undefined }) {
  return error === undefined ? null : (
    <Words look="error" role="alert">
      {error}
    </Words>
  );
}

interface Room {
  standMm: number;
  ceilingMm: number | null;
}

interface RoomFieldsProps {
  room: Room;
  basis: PieceBasis;
  error?: string | undefined;
  change: (by: Partial<Room>) => void;
}

/** What is below a piece and above it; the ceiling of an event is said there. */
export function RoomFields({ room: { standMm, ceilingMm }, basis, error, change }: RoomFieldsProps) {
  return (
    <View className="flex-row flex-wrap gap-3">
      <MmField
        label="Plate and base"
        hint="Below the lowest layer."
        value={standMm}
        width
        basis={basis}
        error={error}
        onChange={(mm) => change({ standMm: mm })}
      />
      {basis.event ? null : (
        <MmField
          label="Ceiling"
          hint="Of the room; an event has its own."
          value={ceilingMm ?? 0}
          basis={basis}
          onChange={(mm) => change({ ceilingMm: mm > 0 ? mm : null })}
        />
      )}
    </View>
  );
}
