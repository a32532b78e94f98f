import { STEP_MM } from '@leggero/core';
import { proposeSizes, type SizerForm, type WantedWidth } from '@leggero/core/template';

import { useKnowledge } from '@/data/knowledge';
import { useLengths } from '@/data/lengths';
import { viewModel } from '@/views/modelView';
import { useStudio, useTiers } from '@/data/records';
import { Button } from '@/ui/Button';

import { labelOf } from './useMake';

/** So many holes serve most studios; a jaw board or a strip gets long with more. */
const MOST: Record<SizerForm, number> = { plate: 10, jaw: 6, strip: 6, box: 10 };
/** Balloons used most count; a shelf of hundreds is not gone through whole. */
const MOST_MODELS = 40;
const EIGHTH_MM = STEP_MM.eighthInch;

interface ProposedSizesProps {
  form: SizerForm;
  /** The larger side of the sheet. */
  sheetMm: number;
  onPropose: (sizes: string) => void;
}

/** Sizes from the targets the studio really uses: each balloon's tiers, by how often it was checked and kept. */
export function ProposedSizes({ form, sheetMm, onPropose }: ProposedSizesProps) {
  const knowledge = useKnowledge();
  const tiers = useTiers().data;
  const studio = useStudio().data;
  const { unit } = useLengths();
  const propose = () => {
    if (!knowledge || !tiers || !studio) return [];
    const models = [...knowledge.models].sort((a, b) => b.uses - a.uses).slice(0, MOST_MODELS);
    const wanted = models.flatMap((model): WantedWidth[] =>
      viewModel({ model, knowledge, tiers, studio }).targets.map(({ target }) => ({
        widthMm: target.widthMm,
        // A balloon nobody used yet still counts a little.
        weight: 1 + 3 * model.uses,
      })),
    );
    const fitting = wanted.filter(({ widthMm }) => widthMm < sheetMm - 60);
    const stepMm = unit === 'in' ? EIGHTH_MM : 5;
    const sizes = proposeSizes({ wanted: fitting, stepMm, most: MOST[form] });
    return sizes.ok ? sizes.value : [];
  };
  const proposed = propose();
  if (proposed.length === 0) return null;
  const sizes = proposed.map(({ widthMm }) => labelOf(widthMm, unit)).join(', ');
  return <Button title="Propose from the targets in use" onPress={() => onPropose(sizes)} />;
}
