import type { ModelDetail } from '@leggero/contract';
import { modellingCode } from '@leggero/core';
import type { ModellingSize } from '@leggero/core/modelling';
import { View } from 'react-native';

import { useKnowledge } from '@/data/knowledge';
import { useLengths } from '@/data/lengths';
import { modelName } from '@/views/modelView';
import { EditDetails } from '@/parts/EditDetails';
import { Cautions } from '@/parts/Cautions';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { Segmented } from '@/ui/Segmented';
import { Empty, Loading } from '@/ui/States';
import { useAddress } from '@/ui/useAddress';
import { Words } from '@/ui/Words';
import { codeText } from '@/wording/modelling';

import { JoinPart } from './JoinPart';
import { LengthPart } from './LengthPart';
import { PolePart } from './PolePart';
import { ShapesPart } from './ShapesPart';
import { viewLength } from './viewLength';

const PARTS = [
  { value: 'length', title: 'Length' },
  { value: 'shapes', title: 'Shapes' },
  { value: 'join', title: 'Join' },
  { value: 'pole', title: 'Pole' },
] as const;

/** A modelling balloon: its code explained, and what it is good for. The part and its figures stand in the address. */
export function ModellingPage({ model }: { model: ModelDetail }) {
  const [params, ask] = useAddress<'for' | 'pump' | 'twists'>();
  const part = PARTS.find(({ value }) => value === params.for)?.value ?? 'length';
  const knowledge = useKnowledge();
  const lengths = useLengths();
  const wide = useWide();
  const size = sizeOf(model);
  const props = { model, size, lengths };
  const pumps = knowledge?.pumps ?? [];
  const last = model.calibrations[0]?.pumpId;
  const pump =
    pumps.find(({ id }) => id === params.pump) ??
    pumps.find(({ id }) => id === last) ??
    pumps.find(({ kind }) => kind === 'hand') ??
    pumps[0];
  return (
    <Page
      title={modelName(model)}
      subtitle={`modelling · ${model.colourName}`}
      back={wide ? undefined : '/shelf'}
      aside={<EditDetails modelId={model.id} />}
    >
      <View className={`gap-4 ${wide ? 'max-w-[640px]' : ''}`}>
        <Words look="quiet">{codeText(size, lengths.long)}</Words>
        <Segmented label="What it is for" options={PARTS} value={part} onChange={(value) => ask({ for: value })} />
        {part === 'shapes' ? <ShapesPart {...props} /> : null}
        {part === 'join' ? <JoinPart {...props} /> : null}
        {part === 'pole' ? <PolePart {...props} /> : null}
        {part !== 'length' ? null : !knowledge ? (
          <Loading what="the pumps" />
        ) : pump ? (
          <LengthPart
            {...props}
            view={viewLength(model, size, pump, knowledge)}
            pumps={pumps}
            twists={Number(params.twists ?? 1)}
            ask={ask}
          />
        ) : (
          <Empty sentence="Add a pump under Gauges, and it tells the strokes for a length." />
        )}
        {part === 'pole' ? null : <Cautions names={['latex', 'choking']} />}
      </View>
    </Page>
  );
}

function sizeOf({ nominalMm, lengthMm }: ModelDetail): ModellingSize {
  const size = { widthMm: nominalMm, lengthMm: lengthMm ?? 0 };
  return { ...size, code: modellingCode(size) };
}
