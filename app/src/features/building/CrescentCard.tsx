import { MOST_STEPS } from '@leggero/contract';
import Plus from 'lucide-react-native/icons/plus';
import X from 'lucide-react-native/icons/x';
import { View } from 'react-native';

import { MmField } from '@/parts/piece/Fields';
import { targetFor } from '@/parts/piece/sizeTarget';
import type { PieceBasis } from '@/parts/piece/useBasis';
import type { HoopDesign } from '@/parts/piece/viewHoop';
import { Button, IconButton } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { NumberField } from '@/ui/NumberField';
import { SwitchRow } from '@/ui/SwitchRow';
import { Words } from '@/ui/Words';
import { clockText, scaledText } from '@/wording/hoop';
import { dosed } from '@/wording/trade';

type Crescent = HoopDesign['crescents'][number];

interface CrescentCardProps {
  title: string;
  crescent: Crescent;
  /** Of its first colour: whose strokes are told. */
  part: HoopDesign['colours'][number];
  basis: PieceBasis;
  /** By what its sizes are scaled to land; null while that is not known. */
  scale: number | null;
  wrong: (field: string) => string | undefined;
  change: (by: Partial<Crescent>) => void;
  onRemove: (() => void) | null;
}

const HOUR_DEG = 30;
const FIRST_ENDS = { fromDeg: 90, toDeg: 270 };

/** One crescent: where it lies, its sizes from the centre outwards, in widths and in strokes of one's own pump. */
export function CrescentCard({ title, crescent, part, basis, scale, wrong, change, onRemove }: CrescentCardProps) {
  const { atDeg, centreMm, steps, between } = crescent;
  const put = (at: number, by: Partial<Crescent['steps'][number]>) =>
    change({ steps: steps.map((step, j) => (j === at ? { ...step, ...by } : step)) });
  const last = steps.at(-1)?.widthMm ?? centreMm;
  return (
    <Card title={title}>
      <View className="gap-3">
        <SwitchRow
          label="To land between two places"
          hint={scaledText(between ? scale : null)}
          value={between !== null}
          onChange={(on) => change({ between: on ? FIRST_ENDS : null })}
        />
        {between ? (
          <View className="flex-row flex-wrap gap-3">
            <ClockField
              label="Begins at"
              deg={between.fromDeg}
              error={wrong('between')}
              onChange={(fromDeg) => change({ between: { ...between, fromDeg } })}
            />
            <ClockField
              label="Ends at"
              deg={between.toDeg}
              onChange={(toDeg) => change({ between: { ...between, toDeg } })}
            />
          </View>
        ) : (
          <ClockField label="Centre at" deg={atDeg} onChange={(to) => change({ atDeg: to })} />
        )}
        <View className="gap-1">
          <MmField
            label="Centre, one cluster"
            value={centreMm}
            width
            basis={basis}
            error={wrong('centreMm')}
            onChange={(mm) => change({ centreMm: mm })}
          />
          <StrokesText widthMm={centreMm} part={part} basis={basis} />
        </View>
        {steps.map(({ widthMm, left, right }, j) => (
          <View key={j} className="gap-1 border-t border-line pt-2">
            <View className="flex-row items-end gap-2">
              <MmField
                label={`Then, ${j + 1}`}
                value={widthMm}
                width
                basis={basis}
                error={wrong(`steps.${j}.widthMm`)}
                onChange={(mm) => put(j, { widthMm: mm })}
              />
              <Side label={`Left ${j + 1}`} value={left} onChange={(many) => put(j, { left: many })} />
              <Side label={`Right ${j + 1}`} value={right} onChange={(many) => put(j, { right: many })} />
              <IconButton
                label={`Take size ${j + 1} out`}
                icon={X}
                onPress={() => change({ steps: steps.filter((_, at) => at !== j) })}
              />
            </View>
            <StrokesText widthMm={widthMm} part={part} basis={basis} />
          </View>
        ))}
        {steps.length < MOST_STEPS ? (
          <Button
            title="A smaller size"
            icon={Plus}
            onPress={() => change({ steps: [...steps, { widthMm: SMALLER * last, left: 1, right: 1 }] })}
          />
        ) : null}
        {onRemove ? <Button title="Take this crescent off" onPress={onRemove} /> : null}
      </View>
    </Card>
  );
}

/** The next size of a crescent begins so much smaller. */
const SMALLER = 0.9;
const MOST_CLUSTERS = 30;

function Side({ label, value, onChange }: { label: string; value: number; onChange: (many: number) => void }) {
  return (
    <View className="w-[68px]">
      <NumberField
        label={label}
        value={value}
        range={{ least: 0, most: MOST_CLUSTERS, error: `0 to ${MOST_CLUSTERS}.` }}
        onChange={(many) => onChange(Math.round(many))}
      />
    </View>
  );
}

interface ClockFieldProps {
  label: string;
  deg: number;
  error?: string | undefined;
  onChange: (deg: number) => void;
}

/** A place on the hoop, as on a clock: 6 is its foot. */
function ClockField({ label, deg, error, onChange }: ClockFieldProps) {
  return (
    <View className="min-w-[130px] flex-1">
      <NumberField
        label={`${label}, o’clock`}
        hint={clockText(deg)}
        value={deg / HOUR_DEG}
        range={{ least: 0, most: 12, error: '0 to 12, as on a clock: 6 is the foot.' }}
        onChange={(hour) => onChange(HOUR_DEG * hour)}
      />
      {error ? (
        <Words look="error" role="alert">
          {error}
        </Words>
      ) : null}
    </View>
  );
}

/** The same width in strokes of the pump that its balloon was calibrated with. */
function StrokesText({
  widthMm,
  part,
  basis,
}: {
  widthMm: number;
  part: CrescentCardProps['part'];
  basis: PieceBasis;
}) {
  const target = targetFor({ key: 'one', title: '', part, widthMm }, basis);
  return (
    <Words look="quiet">
      {target?.dose
        ? `${dosed(target.dose, target.kind)} with your own`
        : 'in strokes once its balloon is chosen and calibrated'}
    </Words>
  );
}
