import { SHAPES, WAYS, type LearnedError, type LearnedMargin } from '@leggero/core';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { useKnowledge } from '@/data/knowledge';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { counted, percent, SHAPE_WORDS, WAY_WORDS } from '@/wording/trade';

interface Row {
  key: string;
  title: string;
  means: string;
  sd: string;
  assumed: string;
  readings: number;
}

/** What makes readings differ: measuring, balloons and inflators, each kept apart; assumed first, then learned. */
export function WaysCard() {
  const knowledge = useKnowledge();
  const { exact } = useLengths();
  if (!knowledge) return null;
  const { ways, height, balloon, doses } = knowledge.shelf.errors;
  const rows: Row[] = WAYS.map((way) => {
    const { sdMm, assumedMm, readings } = ways[way];
    return { key: way, ...WAY_WORDS[way], sd: `±${exact(sdMm)}`, assumed: exact(assumedMm), readings };
  });
  rows.push({
    key: 'height',
    title: 'Height',
    means: 'crown to neck',
    sd: `±${exact(height.sd)}`,
    assumed: exact(height.assumed),
    readings: height.readings,
  });
  rows.push({ key: 'balloon', title: 'Balloons', means: 'one to the next, of its width', ...share(balloon) });
  for (const { id, name, kind } of knowledge.pumps) {
    const found = doses.get(id);
    const means = `one ${kind === 'hand' ? 'stroke' : 'second'} to the next`;
    if (found) rows.push({ key: id, title: name, means, ...share(found) });
  }
  const { answers, margins } = knowledge.shelf;
  for (const shape of SHAPES) {
    const { aspect, assumed, readings } = answers[shape];
    const title = `Answer “${SHAPE_WORDS[shape].toLowerCase()}”`;
    rows.push({
      key: shape,
      title,
      means: 'height over width',
      sd: aspect.toFixed(2),
      assumed: assumed.toFixed(2),
      readings,
    });
  }
  rows.push({ key: 'hard', title: 'Felt hard', means: 'targets stay under it', ...under(margins.hard) });
  rows.push({ key: 'burst', title: 'Burst', means: 'targets stay under it', ...under(margins.burst) });
  return (
    <Card title="How sure a reading is">
      <View role="table" aria-label="How sure a reading is">
        {rows.map(({ key, title, means, sd, assumed, readings }) => (
          <View key={key} role="row" className="min-h-[44px] flex-row items-center gap-3 border-b border-line py-1">
            <View role="cell" className="flex-1">
              <Words look="strong">{title}</Words>
              <Words look="quiet">{means}</Words>
            </View>
            <View role="cell" className="items-end">
              <Words look="figure" className="text-[20px] leading-7">
                {sd}
              </Words>
              <Words look="quiet">
                {readings > 0 ? `${counted(readings, 'reading')}, ${assumed} assumed` : 'assumed, from memory'}
              </Words>
            </View>
          </View>
        ))}
      </View>
      <Words look="quiet" className="mt-2">
        One standard deviation each, learned from how far readings lie from their curves. Strokes add up: what they err
        by is shared by readings of one balloon filled on.
      </Words>
    </Card>
  );
}

function under({ margin, assumed, readings }: LearnedMargin): Pick<Row, 'sd' | 'assumed' | 'readings'> {
  return { sd: `by ${percent(1 - margin)}`, assumed: percent(1 - assumed), readings };
}

function share({ sd, assumed, readings }: LearnedError): Pick<Row, 'sd' | 'assumed' | 'readings'> {
  return { sd: `±${(100 * sd).toFixed(1)} %`, assumed: `${(100 * assumed).toFixed(1)} %`, readings };
}
