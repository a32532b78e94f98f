import { STEP_MM, type LengthUnit } from '@leggero/core';
import Plus from 'lucide-react-native/icons/plus';
import X from 'lucide-react-native/icons/x';
import { View } from 'react-native';

import { MmField } from '@/parts/piece/Fields';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { Button, IconButton } from '@/ui/Button';
import { Labelled } from '@/ui/Field';
import { PickChips } from '@/ui/PickChips';
import { Segmented } from '@/ui/Segmented';
import { Words } from '@/ui/Words';
import { pointTitle, SILHOUETTE_WORDS } from '@/wording/building';

import type { TaperDesign } from './colouring';
import { CountChoice, RoomFields } from './LayerFields';
import { profileOf, SILHOUETTE_NAMES, silhouetteOf, withPoint } from './silhouettes';
import { TopperFields } from './TopperFields';

interface TaperFieldsProps {
  design: TaperDesign;
  basis: PieceBasis;
  wrong: (field: string) => string | undefined;
  change: (by: Partial<TaperDesign>) => void;
}

const COUNTS = [3, 4, 5, 6];

/** The steps that layers may have: as fine as a sizer tells, to as coarse as tapers are practised in. */
const STEPS_MM: Record<LengthUnit, readonly number[]> = {
  in: [STEP_MM.eighthInch, STEP_MM.quarterInch, 2 * STEP_MM.quarterInch],
  cm: [2, 5, 10],
  mm: [2, 5, 10],
};

/** What a taper is asked for: its silhouette, the pole it covers, the steps of its sizes. */
export function TaperFields({ design, basis, wrong, change }: TaperFieldsProps) {
  const { profile, poleMm, stepMm, topper, colours } = design;
  const widest = Math.max(...profile.map(({ widthMm }) => widthMm));
  const steps = STEPS_MM[basis.lengths.unit].map((mm) => ({ value: String(mm), mm, title: basis.lengths.fine(mm) }));
  const put = (at: number, widthMm: number) =>
    change({ profile: profile.map((point, i) => (i === at ? { ...point, widthMm } : point)) });
  return (
    <View className="gap-4">
      <CountChoice design={design} counts={COUNTS} change={change} />
      <Labelled label="Silhouette">
        <PickChips
          label="Silhouette"
          options={SILHOUETTE_NAMES.map((value) => ({ value, title: SILHOUETTE_WORDS[value] }))}
          value={silhouetteOf(profile)}
          onChange={(name) => change({ profile: profileOf(name, widest) })}
        />
      </Labelled>
      <View className="gap-3">
        {profile.map(({ at, widthMm }, i) => (
          <View key={at} className="flex-row items-end gap-1">
            <MmField label={pointTitle(at)} value={widthMm} width basis={basis} onChange={(mm) => put(i, mm)} />
            {i > 0 && i < profile.length - 1 ? (
              <IconButton
                label={`Take the point ${pointTitle(at).toLowerCase()} out`}
                icon={X}
                onPress={() => change({ profile: profile.filter((_, other) => other !== i) })}
              />
            ) : null}
          </View>
        ))}
        <Button title="Another point" icon={Plus} onPress={() => change({ profile: withPoint(profile) })} />
        {wrong('profile') ? (
          <Words look="error" role="alert">
            {wrong('profile')}
          </Words>
        ) : null}
      </View>
      <MmField
        label="Pole, from the floor"
        value={poleMm}
        basis={basis}
        error={wrong('heightMm')}
        onChange={(mm) => change({ poleMm: mm })}
      />
      <RoomFields room={design} basis={basis} change={change} />
      <Labelled label="Sizes in steps of" error={wrong('stepMm')}>
        <Segmented
          label="Sizes in steps of"
          options={steps}
          value={steps.find(({ mm }) => Math.abs(mm - stepMm) < 0.01)?.value ?? null}
          onChange={(value) => change({ stepMm: steps.find((step) => step.value === value)!.mm })}
        />
      </Labelled>
      <TopperFields
        topper={topper}
        loose={colours[0]!}
        basis={basis}
        error={wrong('topper')}
        onChange={(to) => change({ topper: to })}
      />
    </View>
  );
}
