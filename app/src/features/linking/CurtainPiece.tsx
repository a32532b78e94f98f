import type { DesignOf } from '@leggero/contract';
import { HEMS, roundToStep, TOP_LINES, type Hem, type TopLine } from '@leggero/core';
import type { CurtainCaution } from '@leggero/core/linking';
import { useDeferredValue, useState } from 'react';
import { View } from 'react-native';

import { Card } from '@/ui/Card';
import { Labelled } from '@/ui/Field';
import { Segmented } from '@/ui/Segmented';
import { SwitchRow } from '@/ui/SwitchRow';
import { Words } from '@/ui/Words';
import { counted } from '@/wording/trade';

import { ChainEnds } from './ChainEnds';
import { MmField } from '@/parts/piece/Fields';
import { HangingCards } from './HangingCards';
import { HangSpace } from './HangSpace';
import { PieceLayout } from '@/parts/piece/PieceLayout';
import { linkProblemText } from '@/wording/linking';

import type { ShownPiece } from '@/parts/piece/shownPiece';
import { usePiece } from '@/parts/piece/usePiece';
import { viewCurtain, type CurtainView } from '@/parts/piece/viewHanging';

/** A usual room, mm. */
const ROOM_MM = 2700;
const TOP_WORDS: Record<TopLine, string> = { level: 'Level', arched: 'Arched', swagged: 'Swagged' };
const HEM_WORDS: Record<Hem, string> = { level: 'Level hem', follows: 'Equal chains' };

/** A curtain of chains, or a grid: each chain's count, and whether it clears ceiling and heads. */
export function CurtainPiece(shown: ShownPiece<DesignOf<'curtain'>>) {
  const { piece, basis } = shown;
  const { design, change, view, wrong } = usePiece(shown, viewCurtain, linkProblemText);
  const [chosen, setChosen] = useState<string | null>(null);
  const { text } = basis.lengths;
  // While the hem is dragged the picture goes first.
  const settled = useDeferredValue(view);
  const { topMm, hemMm, ceilingMm } = design;
  const hem = {
    title: `hem ${text(hemMm)}`,
    highMm: hemMm,
    onDrag: (highMm: number) => change({ hemMm: Math.min(topMm, roundToStep({ mm: highMm, step: 10 })) }),
  };
  return (
    <PieceLayout
      piece={piece}
      subtitle={
        view
          ? `${counted(view.made.chains.length, 'chain')}, ${counted(view.balloons, 'balloon')}`
          : 'cannot be worked out'
      }
      first={
        <>
          {view ? (
            <HangSpace
              label={
                `A curtain of ${view.made.chains.length} chains, ${view.balloons} balloons, its hem ` +
                `${text(hemMm)} above the floor`
              }
              form="curtain"
              view={view}
              ceilingMm={ceilingMm}
              levels={[hem]}
              basis={basis}
              most={330}
              chosen={chosen}
              onTap={setChosen}
            />
          ) : null}
          {view?.cautions.map((caution) => (
            <Words key={caution.code} look="error" role="alert">
              {cautionText(caution, text)}
            </Words>
          ))}
          <View className="flex-row flex-wrap gap-3">
            <MmField
              label="Across"
              value={design.acrossMm}
              basis={basis}
              error={wrong('acrossMm')}
              onChange={(acrossMm) => change({ acrossMm })}
            />
            <MmField
              label="Line above the floor"
              value={topMm}
              basis={basis}
              error={wrong('topMm')}
              onChange={(to) => change({ topMm: to })}
            />
            {ceilingMm === null ? null : (
              <MmField label="Ceiling" value={ceilingMm} basis={basis} onChange={(to) => change({ ceilingMm: to })} />
            )}
            <MmField
              label="Hem above the floor"
              hint="Or drag it in the picture."
              value={hemMm}
              basis={basis}
              error={wrong('hemMm')}
              onChange={(to) => change({ hemMm: to })}
            />
            {design.grid ? null : (
              <MmField
                label="From chain to chain"
                hint={view ? `Comes to ${text(view.made.everyMm)}.` : 'About.'}
                value={design.everyMm}
                basis={basis}
                error={wrong('everyMm')}
                onChange={(everyMm) => change({ everyMm })}
              />
            )}
          </View>
          <Labelled label="Top line">
            <Segmented
              label="Top line"
              options={TOP_LINES.map((value) => ({ value, title: TOP_WORDS[value] }))}
              value={design.topLine}
              onChange={(topLine) => change({ topLine })}
            />
          </Labelled>
          {design.topLine === 'level' ? null : (
            <MmField
              label={design.topLine === 'arched' ? 'The arch rises by' : 'The line drops by'}
              value={design.bowMm}
              basis={basis}
              error={wrong('bowMm')}
              onChange={(bowMm) => change({ bowMm })}
            />
          )}
          <Labelled label="Below">
            <Segmented
              label="Below"
              options={HEMS.map((value) => ({ value, title: HEM_WORDS[value] }))}
              value={design.hem}
              onChange={(hem) => change({ hem })}
            />
          </Labelled>
          <SwitchRow label="Tie neighbours to a grid" value={design.grid} onChange={(grid) => change({ grid })} />
          <SwitchRow
            label="There is a ceiling"
            value={ceilingMm !== null}
            onChange={(on) => change({ ceilingMm: on ? Math.max(ROOM_MM, topMm + design.bowMm) : null })}
          />
          <SwitchRow
            label="People walk underneath"
            value={design.walkedUnder}
            onChange={(walkedUnder) => change({ walkedUnder })}
          />
        </>
      }
      second={
        <>
          {settled ? <ChainsCard view={settled} /> : null}
          <HangingCards
            piece={piece}
            basis={basis}
            sizes={settled?.sizes ?? null}
            chosen={chosen}
            onChoose={setChosen}
            repeat={design.repeat}
            error={wrong('widthMm')}
            onRepeat={(repeat) => change({ repeat })}
          >
            <ChainEnds design={design} basis={basis} change={change} />
          </HangingCards>
        </>
      }
    />
  );
}

/** How many of each count: chains of one length are tied together. */
function ChainsCard({ view: { made } }: { view: CurtainView }) {
  const counts = new Map<number, number>();
  for (const { count } of made.chains) counts.set(count, (counts.get(count) ?? 0) + 1);
  const from = made.chains.map(({ count }) => count).join(' · ');
  return (
    <Card title="Chains">
      <View className="gap-1">
        {[...counts]
          .sort((a, b) => b[0] - a[0])
          .map(([count, chains]) => (
            <Words key={count} look="strong">{`${counted(chains, 'chain')} of ${count}`}</Words>
          ))}
        {made.chains.length <= 40 ? <Words look="quiet">{`From left to right: ${from}`}</Words> : null}
        {made.crossJoints > 0 ? (
          <Words look="quiet">{`${made.crossJoints} ties between neighbours, tail to tail`}</Words>
        ) : null}
      </View>
    </Card>
  );
}

function cautionText(caution: CurtainCaution, text: (mm: number) => string): string {
  switch (caution.code) {
    case 'under-head-height':
      return (
        `People walk underneath: it hangs down to ${text(caution.lowestMm)}, and heads need ` +
        `${text(caution.needMm)}. The venue and local rules decide.`
      );
    case 'many-balloons':
      return (
        `${caution.balloons} balloons are work for several people and days. Make it in parts that are ` +
        'carried and hung one by one.'
      );
    case 'rows-not-level':
      return 'Under a bowed line the rows are not level: tie each balloon to the nearest of the next chain.';
  }
}
