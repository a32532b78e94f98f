import type { DesignOf } from '@leggero/contract';
import { RING_FITS, type RingFit } from '@leggero/core';
import { useState } from 'react';
import { View } from 'react-native';

import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Cautions } from '@/parts/Cautions';
import { Labelled } from '@/ui/Field';
import { Segmented } from '@/ui/Segmented';
import { Stepper } from '@/ui/Stepper';
import { SwitchRow } from '@/ui/SwitchRow';
import { Words } from '@/ui/Words';
import { fittingText, linkProblemText } from '@/wording/linking';
import { counted } from '@/wording/trade';

import { CheckCard } from '@/parts/piece/CheckCard';
import { MmField, RepeatCard } from '@/parts/piece/Fields';
import { STEEL_HEX } from '@/parts/piece/holds';
import type { SceneDisc } from '@/parts/space/scene';
import type { Camera } from '@/parts/space/view';

import { FormSpace } from './FormSpace';
import { JointCard } from './JointCard';
import { PieceLayout } from '@/parts/piece/PieceLayout';
import type { ShownPiece } from '@/parts/piece/shownPiece';
import { SizesCard } from '@/parts/piece/SizesCard';
import { TargetCard } from '@/parts/piece/TargetCard';
import { ToleranceCard } from './ToleranceCard';
import { usePiece } from '@/parts/piece/usePiece';
import { viewRing } from '@/parts/piece/viewClosed';

const FIT_WORDS: Record<RingFit, string> = { around: 'Around it', on: 'Along it', inside: 'Inside it' };
const POT_MM = 254;
/** A single ring is looked at from above, rings upon rings from their side. */
const SINGLE: Camera = { turn: -0.42, tilt: 1.15, zoom: 1, push: [0, 0] };
const STACKED: Camera = { ...SINGLE, tilt: 0.3 };

/** A pole, a pot or a hoop as a round thing in the ring, a little higher than that. */
const thingDisc = (widthMm: number, ringMm: number): SceneDisc => ({
  at: [0, 0, -0.6 * ringMm],
  widthMm,
  highMm: 1.2 * ringMm,
  hex: STEEL_HEX,
});

/** A ring, what it fits, and rings upon it. */
export function RingPiece(shown: ShownPiece<DesignOf<'ring'>>) {
  const { piece, basis } = shown;
  const { design, change, view, problem } = usePiece(shown, viewRing, linkProblemText);
  const [chosen, setChosen] = useState<string | null>(null);
  const { text, fine } = basis.lengths;
  const { rings, thing, count } = design;
  const size = view?.sizes.find(({ key }) => key === (chosen ?? 'ring-1'));
  const partOf = (key: string) => rings[Number(key.slice('ring-'.length)) - 1] ?? rings[0]!;
  const own = view?.spheres.flatMap(({ key }, i) => (key === size?.key ? [i] : [])) ?? [];
  const error = problem ? linkProblemText(problem, text) : undefined;
  return (
    <PieceLayout
      piece={piece}
      subtitle={view ? counted(view.balloons, 'balloon') : 'cannot be worked out'}
      first={
        <>
          {view ? (
            <>
              <FormSpace
                label={`${counted(rings.length, 'ring')} of ${count}, ${text(view.ring.outsideMm)} over everything`}
                spheres={view.spheres}
                form={view.form}
                kind="ring"
                partOf={partOf}
                basis={basis}
                first={rings.length > 1 ? STACKED : SINGLE}
                height={300}
                chosen={rings.length > 1 ? own : []}
                wrong={null}
                gap={null}
                handle={null}
                thing={rings.length === 1 && thing ? thingDisc(thing.diameterMm, rings[0]!.widthMm) : null}
                onTap={(at) => setChosen(view.spheres[at]!.key)}
              />
              <View role="status">
                <Words look="strong">{`${text(view.ring.outsideMm)} across, ${text(view.ring.insideMm)} clear inside`}</Words>
                <Words look="quiet">
                  {`Centres on a circle of ${text(view.ring.centreRadiusMm)} radius` +
                    (rings.length > 1 ? `; the stack is ${text(view.highMm)} high.` : '.')}
                </Words>
              </View>
            </>
          ) : null}
          <Stepper
            label="balloons a ring"
            value={count}
            shown={String(count)}
            step={1}
            least={3}
            most={60}
            onChange={(to) => change({ count: to })}
          />
          {error && problem?.field === 'count' ? <Words look="error">{error}</Words> : null}
          {rings.length === 1 ? (
            <Card title="Around something">
              <View className="gap-3">
                <SwitchRow
                  label="It goes with a pole, a pot or a hoop"
                  value={thing !== null}
                  onChange={(on) => change({ thing: on ? { diameterMm: POT_MM, fit: 'around' } : null })}
                />
                {thing ? (
                  <>
                    <MmField
                      label="Across the thing"
                      value={thing.diameterMm}
                      basis={basis}
                      onChange={(diameterMm) => change({ thing: { ...thing, diameterMm } })}
                    />
                    <Labelled label="The ring goes">
                      <Segmented
                        label="The ring goes"
                        options={RING_FITS.map((value) => ({ value, title: FIT_WORDS[value] }))}
                        value={thing.fit}
                        onChange={(fit) => change({ thing: { ...thing, fit } })}
                      />
                    </Labelled>
                    {view?.fittingProblem ? (
                      <Words look="error">{linkProblemText(view.fittingProblem, text)}</Words>
                    ) : null}
                    {view?.fitting?.map((each) => (
                      <Button
                        key={each.count}
                        title={fittingText(each, text, fine)}
                        look={each.count === count && each.widthMm === rings[0]!.widthMm ? 'primary' : 'secondary'}
                        onPress={() => change({ count: each.count, rings: [{ ...rings[0]!, widthMm: each.widthMm }] })}
                      />
                    ))}
                  </>
                ) : null}
              </View>
            </Card>
          ) : null}
        </>
      }
      second={
        <>
          {size ? <TargetCard piece={piece} size={size} basis={basis} /> : null}
          <RepeatCard
            title="Rings, from the lowest up"
            more="Set a ring on top"
            repeat={rings}
            basis={basis}
            error={problem?.field?.startsWith('rings') ? error : undefined}
            onChange={(to) => change({ rings: to })}
          />
          {view ? (
            <SizesCard piece={piece} sizes={view.sizes} basis={basis} chosen={size?.key ?? null} onChoose={setChosen} />
          ) : null}
          {view ? <ToleranceCard closing={view.closing} form="ring" /> : null}
          <JointCard part={rings[0]!} basis={basis} />
          {view ? <CheckCard piece={piece} sizes={view.sizes} basis={basis} /> : null}
          <Cautions names={['latex', 'choking']} />
        </>
      }
    />
  );
}
