import { router, useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';

import { bestHole, targetOf } from '@/views/holes';
import { newId, nowUtc } from '@/device/id';
import { firstTarget, modelName } from '@/views/modelView';
import { write } from '@/data/outbox';
import { useTrade } from '@/data/trade';
import { PastChecks } from '@/parts/check/PastChecks';
import { EditDetails } from '@/parts/EditDetails';
import { Button } from '@/ui/Button';
import { Cautions } from '@/parts/Cautions';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { Segmented } from '@/ui/Segmented';
import { useKeys } from '@/ui/useKeys';
import { Words } from '@/ui/Words';
import { TIE_ADVICE } from '@/wording/cautions';
import { counted, FINISH_WORDS, KIND_WORDS } from '@/wording/trade';

import { CalibrationsCard } from './CalibrationsCard';
import { CurveCard } from './CurveCard';
import { HoldCard } from './HoldCard';
import { MoreAbout } from './MoreAbout';
import { NotesCard } from './NotesCard';
import { ReadingsCard } from './ReadingsCard';
import { StandingChoice } from '@/parts/StandingChoice';
import { TargetPanel } from './TargetPanel';
import { TargetSheet } from './TargetSheet';
import { useVenue } from '@/parts/useVenue';
import { VenueChoice } from './VenueChoice';
import { WithModel, type ShownModel } from '@/parts/WithModel';

const BATCH_SIZE = 12;

/**
 * A balloon's page: its target, how to reach it, and what that rests on. The tier and the days stand in the address.
 */
export function ModelPage({ modelId }: { modelId: string }) {
  const { tier, days } = useLocalSearchParams<{ tier?: string; days?: string }>();
  const asked = Number(days);
  const daysStanding = days !== undefined && Number.isInteger(asked) && asked >= 0 && asked <= 365 ? asked : undefined;
  return (
    <WithModel modelId={modelId} daysStanding={daysStanding}>
      {(shown) => <Shown {...shown} tierId={tier} daysStanding={daysStanding ?? shown.studio.daysStanding} />}
    </WithModel>
  );
}

interface ShownProps extends ShownModel {
  tierId: string | undefined;
  daysStanding: number;
}

function Shown(props: ShownProps) {
  const trade = useTrade();
  const { model, view, studio, sizers, venue, tierId, daysStanding } = props;
  const { change: changeVenue } = useVenue();
  const wide = useWide();
  const chosen = view.targets.find(({ tier }) => tier.id === tierId) ?? firstTarget(view);
  const count = view.calibration?.readings.length ?? 0;

  const addReading = () =>
    router.navigate(`/shelf/${model.id}/reading${view.calibration ? `?calibration=${view.calibration.id}` : ''}`);
  const checkBatch = () => {
    if (!chosen) return;
    const { widthMm: targetMm, toleranceMm } = chosen.target;
    const id = newId();
    const hole = bestHole(sizers, targetOf(model, chosen.target), trade)?.choice.hole;
    write({
      put: 'check',
      row: {
        id,
        modelId: model.id,
        tierName: chosen.tier.name,
        targetMm,
        toleranceMm,
        size: BATCH_SIZE,
        holeId: hole?.id ?? null,
        holeMm: hole?.widthMm ?? null,
        startedAt: nowUtc(),
      },
    });
    router.navigate(`/shelf/${model.id}/check/${id}`);
  };
  useKeys({ n: addReading, c: checkBatch });

  const target = chosen ? (
    <>
      <Segmented
        label="Tier"
        options={view.targets.map(({ tier }) => ({ value: tier.id, title: tier.name }))}
        value={chosen.tier.id}
        onChange={(id) => router.setParams({ tier: id })}
      />
      <TargetPanel {...props} chosen={chosen} />
      <StandingChoice days={daysStanding} onChange={(to) => router.setParams({ days: String(to) })} />
      <VenueChoice studio={studio} venue={venue} onChange={changeVenue} />
      <Words look="quiet">{TIE_ADVICE}</Words>
    </>
  ) : (
    <Words>The studio has no tiers. Add one under Studio to get targets.</Words>
  );
  const evidence = (
    <>
      <CurveCard {...props} target={chosen?.target ?? null} />
      <TargetSheet {...props} chosenId={chosen?.tier.id} />
      <MoreAbout model={model} />
      <CalibrationsCard {...props} />
      <HoldCard {...props} />
      <ReadingsCard model={model} view={view} />
      <PastChecks title="Batches checked" checks={model.checks} sizers={sizers} />
      <NotesCard modelId={model.id} />
      <Cautions names={['burst', 'latex', 'choking']} />
    </>
  );
  return (
    <Page
      title={modelName(model)}
      subtitle={
        `${KIND_WORDS[model.kind].toLowerCase()}, ${FINISH_WORDS[model.finish].toLowerCase()} · ` +
        `${model.colourName} · ${counted(count, 'reading')}`
      }
      back={wide ? undefined : '/shelf'}
      aside={<EditDetails modelId={model.id} />}
      actions={
        <>
          <Button
            title="Add reading"
            tall
            className="flex-1"
            look={count === 0 ? 'primary' : 'secondary'}
            onPress={addReading}
          />
          <Button
            title="Check a batch"
            tall
            className="flex-1"
            look={count === 0 ? 'secondary' : 'primary'}
            disabled={!chosen}
            onPress={checkBatch}
          />
        </>
      }
    >
      {wide ? (
        <View className="flex-row items-start gap-5">
          <View className="flex-1 gap-4">{target}</View>
          <View className="flex-1 gap-4">{evidence}</View>
        </View>
      ) : (
        <>
          {target}
          {evidence}
        </>
      )}
    </Page>
  );
}
