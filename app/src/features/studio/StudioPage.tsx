import { isAtLeast, type RowOf, type Studio } from '@leggero/contract';
import { STEP_MM } from '@leggero/core';
import { View } from 'react-native';

import { roleHere } from '@/data/access';
import { write } from '@/data/outbox';
import { useConstants, useStudio, useTiers } from '@/data/records';
import { SearchLink } from '@/parts/SearchLink';
import { Card } from '@/ui/Card';
import { Labelled } from '@/ui/Field';
import { Page } from '@/ui/Page';
import { RowLink } from '@/ui/RowLink';
import { Segmented } from '@/ui/Segmented';
import { Failed, Loading } from '@/ui/States';
import { useThemeChoice, type ThemeChoice } from '@/ui/theme';
import { Words } from '@/ui/Words';
import { counted } from '@/wording/trade';

import { CrewCard } from './CrewCard';
import { Currency } from './Currency';
import { StudioName } from './StudioName';
import { TierList } from './TierList';
import { Workroom } from './Workroom';

type Rounding = 'quarter' | 'eighth' | 'metric';
const ROUNDINGS: readonly { value: Rounding; title: string; patch: Pick<Studio, 'unit' | 'stepMm'> }[] = [
  { value: 'quarter', title: 'Inches, ¼', patch: { unit: 'in', stepMm: STEP_MM.quarterInch } },
  { value: 'eighth', title: 'Inches, ⅛', patch: { unit: 'in', stepMm: STEP_MM.eighthInch } },
  { value: 'metric', title: 'cm', patch: { unit: 'cm', stepMm: STEP_MM.millimetre } },
];
const THEMES: readonly { value: ThemeChoice; title: string }[] = [
  { value: 'system', title: 'Device' },
  { value: 'light', title: 'Light' },
  { value: 'dark', title: 'Evening' },
];

/** How this studio speaks of lengths, its tiers, and how the app looks on this device. */
export function StudioPage() {
  const studio = useStudio();
  const tiers = useTiers();
  const constants = useConstants().data;
  const { choice, choose } = useThemeChoice();
  if (!studio.data || !tiers.data) {
    return (
      <Page title="Studio">
        {studio.error ? (
          <Failed sentence="The studio could not be read." onRetry={studio.refetch} />
        ) : (
          <Loading what="the studio" />
        )}
      </Page>
    );
  }
  const role = roleHere();
  const { id, unit, stepMm } = studio.data;
  const rounding = ROUNDINGS.find(({ patch }) => patch.unit === unit && Math.abs(patch.stepMm - stepMm) < 0.01);
  const round = (value: Rounding) => {
    const patch = ROUNDINGS.find((each) => each.value === value)?.patch;
    if (patch) write({ change: 'studio', id, by: patch });
  };
  return (
    <Page title="Studio">
      <View className="w-full max-w-[640px] gap-4">
        <SearchLink />
        <Card>
          <View className="gap-4">
            <StudioName key={studio.data.id} id={studio.data.id} name={studio.data.name} />
            <Labelled label="Lengths">
              <Segmented label="Lengths" options={ROUNDINGS} value={rounding?.value ?? null} onChange={round} />
            </Labelled>
            <Currency key={`money ${id}`} studio={studio.data} />
            <Labelled label="Theme on this device">
              <Segmented label="Theme" options={THEMES} value={choice} onChange={choose} />
            </Labelled>
          </View>
        </Card>
        <CrewCard />
        <Workroom studio={studio.data} />
        <TierList tiers={tiers.data} />
        <View className="gap-2">
          {isAtLeast(role, 'planner') ? (
            <RowLink href="/studio/trail" title="Who changed what" note="Everything that was done, and the way back" />
          ) : null}
          {role === 'owner' ? (
            <RowLink
              href="/studio/backups"
              title="Backups"
              note="One file with everything, and those made each night"
            />
          ) : null}
        </View>
        <RowLink href="/studio/numbers" title="Numbers of the trade" note={numbersText(constants)} />
        <Words look="quiet">
          Leggero gives estimates, not engineering approval. Local rules and licensed practice come first.
        </Words>
      </View>
    </Page>
  );
}

function numbersText(constants: readonly RowOf<'constant'>[] | undefined): string {
  const own = new Set(constants?.map(({ key }) => key)).size;
  return own === 0 ? 'What all figures rest on, as the table has it' : `${counted(own, 'number')} of your own`;
}
