import { circumferenceMm, type TargetCaution } from '@leggero/core';
import { View } from 'react-native';

import { useTrade } from '@/data/trade';
import { bestHole } from '@/views/holes';
import { viewModel } from '@/views/modelView';
import { Card } from '@/ui/Card';
import { LengthFigure } from '@/parts/LengthFigure';
import { Tool } from '@/ui/Tool';
import { Words } from '@/ui/Words';
import { doseText, doseUnit, ORIGIN_WORDS } from '@/wording/trade';

import type { PieceSize } from '@/parts/piece/sizes';
import { modelOf, nominalOf } from '@/parts/piece/material';
import type { PieceBasis } from './useBasis';

/** What one size is filled to, and how to hit it. */
export function TargetCard({ size, basis }: { size: PieceSize; basis: PieceBasis }) {
  const trade = useTrade();
  const { lengths, sizers } = basis;
  const { widthMm, toleranceMm } = size;
  const nominalMm = nominalOf(size.part, basis);
  const hole = bestHole(sizers, { targetMm: widthMm, toleranceMm, nominalMm }, trade);
  const found = targetFor(size, basis);
  const dose = found?.dose ?? null;
  const kind = found?.kind ?? 'hand';
  return (
    <Card title={size.title}>
      <View
        role="status"
        aria-label={`${size.title}: fill to ${lengths.text(widthMm)}, ±${lengths.bare(toleranceMm)}`}
        className="flex-row items-center gap-3"
      >
        <LengthFigure parts={lengths.parts(widthMm)} size={56} />
        <View className="flex-1">
          <Words>{`${lengths.unit} across, ±${lengths.fine(toleranceMm)}`}</Words>
          <Words look="quiet">{found ? ORIGIN_WORDS[found.origin] : 'choose its balloon, and doses follow'}</Words>
        </View>
      </View>
      <View className="mt-2 flex-row gap-2">
        <Tool
          title="Sizer hole"
          figure={hole ? hole.choice.hole.label : '–'}
          note={
            hole
              ? hole.choice.how === 'gap'
                ? `leave ${lengths.bare(hole.choice.gapMm)} gap`
                : 'just passes'
              : 'none is large enough'
          }
        />
        <Tool
          title="Dose"
          figure={dose === null ? '–' : doseText(dose, kind)}
          note={dose === null ? 'after a reading' : doseUnit(kind)}
        />
        <Tool
          title="Tape"
          figure={lengths.bare(circumferenceMm({ widthMm }))}
          note={lengths.unit === 'in' ? 'inches' : 'cm'}
        />
      </View>
      {found?.heldMm ? (
        <Words look="error" role="alert" className="mt-2">
          {`This balloon is held at ${lengths.text(found.heldMm)}: wider it is no longer round, and the ` +
            'piece does not close as drawn. Take a larger nominal.'}
        </Words>
      ) : null}
      {found?.cautions.some(({ code }) => code === 'nominal-too-large') ? (
        <Words look="error" className="mt-2">
          Under the smallest useful width of this balloon: take a smaller nominal.
        </Words>
      ) : null}
    </Card>
  );
}

interface Found {
  origin: keyof typeof ORIGIN_WORDS;
  dose: number | null;
  kind: 'hand' | 'timed' | 'twin';
  /** Where its own limits hold it below what the piece wants, mm. */
  heldMm: number | null;
  cautions: TargetCaution[];
}

/** The size as a target of its balloon, the balloon's own limits held; of a pair those of both. */
function targetFor(size: PieceSize, basis: PieceBasis): Found | null {
  const model = modelOf(size.part, basis);
  if (!model) return null;
  const { knowledge, studio } = basis;
  const { governingMm } = viewModel({ model, knowledge, studio, tiers: [] });
  const fraction = size.widthMm / governingMm;
  const { key: id, title: name } = size;
  const tier = {
    id,
    name,
    fraction,
    leastFraction: fraction,
    mostFraction: fraction,
    // Linked work asks for round bodies: an oval turns the next one.
    shape: 'round' as const,
    purpose: '',
    position: 0,
  };
  const view = viewModel({ model, knowledge, studio, tiers: [tier] });
  const target = view.targets[0]?.target;
  if (!target) return null;
  const { widthMm, origin, dose, cautions } = target;
  return {
    origin,
    dose: dose?.dose ?? null,
    kind: view.curve?.inflator ?? 'hand',
    heldMm: widthMm < size.widthMm - studio.stepMm / 2 ? widthMm : null,
    cautions,
  };
}
