import {
  SIZING_WAYS,
  spreadBy,
  trialSeed,
  type HowExact,
  type PieceByWay,
  type PieceSpread,
  type SizingWay,
} from '@leggero/core/building';
import { useState, type ReactNode } from 'react';
import { Pressable, View } from 'react-native';

import { SwitchRow } from '@/ui/SwitchRow';
import { Words } from '@/ui/Words';
import { handsText, ofHundred, pairText, WAY_WORDS } from '@/wording/exact';

import { ExactMeasures } from './ExactMeasures';
import type { PieceBasis } from './useBasis';
import { EXACT_SEED, type useExact } from './useExact';

type Way = SizingWay | 'chosen';
const WAYS: readonly Way[] = [...SIZING_WAYS, 'chosen'];

/** One time that a piece was built: the same figures lay it again. */
export interface GhostOf {
  spread: PieceSpread;
  seed: number;
}

interface ExactWaysProps {
  exact: HowExact;
  own: ReturnType<typeof useExact>['own'];
  meanMm: number;
  /** How many of the piece are made. */
  copies: number;
  basis: PieceBasis;
  /** Where a spread is chosen. */
  field: ReactNode;
  along: 'Height' | 'Length';
  ghost: GhostOf | null;
  onGhost: ((ghost: GhostOf | null) => void) | undefined;
}

/** How many pieces show nothing by each way; of the way that is looked at what they come out as. */
export function ExactWays({ exact, own, meanMm, copies, along, basis, field, ghost, onGhost }: ExactWaysProps) {
  const { fine } = basis.lengths;
  const { trade } = basis.knowledge;
  const [looked, setLooked] = useState<Way | null>(null);
  const way = looked ?? exact.enough ?? 'checked';
  const byWay = way === 'chosen' ? exact.chosen : exact.ways[way];
  const height = byWay?.simulation.measures.height;
  const show = (made: PieceByWay | null) =>
    onGhost?.(made && { spread: made.spread, seed: trialSeed(EXACT_SEED, made.simulation.poor) });
  const look = (to: Way) => {
    setLooked(to);
    if (ghost) show(to === 'chosen' ? exact.chosen : exact.ways[to]);
  };
  return (
    <View className="gap-3">
      <View role="radiogroup" aria-label="By which way" className="gap-1">
        {WAYS.map((each) => {
          const simulation = (each === 'chosen' ? exact.chosen : exact.ways[each])?.simulation;
          return (
            <WayRow key={each} way={each} good={simulation?.good ?? null} on={each === way} onLook={() => look(each)} />
          );
        })}
      </View>
      {way === 'chosen' ? field : null}
      {byWay ? (
        <>
          <Words look="quiet">
            {handsText(way === 'chosen' ? byWay.spread : spreadBy(way, { own, trade }), {
              ...{ way, meanMm, fine },
              known: own[way === 'eye' ? 'eye' : 'sizer'] !== undefined,
            })}
          </Words>
          <ExactMeasures {...byWay} along={along} lengths={basis.lengths} />
          {copies > 1 && height ? <Words>{pairText(height, along, fine)}</Words> : null}
          {onGhost ? (
            <SwitchRow
              label="One of the worst in twenty, over the drawing"
              value={ghost !== null}
              onChange={(on) => show(on ? byWay : null)}
            />
          ) : null}
        </>
      ) : null}
    </View>
  );
}

interface WayRowProps {
  way: Way;
  /** The share that shows nothing; null where it is not known. */
  good: number | null;
  on: boolean;
  onLook: () => void;
}

function WayRow({ way, good, on, onLook }: WayRowProps) {
  const said = good === null ? 'not known' : ofHundred(good);
  return (
    <Pressable
      role="radio"
      aria-checked={on}
      aria-label={`${WAY_WORDS[way]}: ${said}`}
      onPress={onLook}
      className={
        'min-h-[44px] flex-row items-center gap-2 rounded-[11px] border px-2 ' +
        `${on ? 'border-pine bg-pine-wash' : 'border-transparent'}`
      }
    >
      <Words look={on ? 'strong' : 'body'} className="w-[136px]">
        {WAY_WORDS[way]}
      </Words>
      <View className="h-2 flex-1 rounded-full bg-sunk">
        <View className="h-2 rounded-full bg-pine" style={{ width: `${100 * (good ?? 0)}%` }} />
      </View>
      <Words look="quiet" className="w-[74px] text-right tabular-nums">
        {said}
      </Words>
    </Pressable>
  );
}
