import { modelAtWidth, type ModelAtWidth } from '@leggero/core/calibrating';
import { useWindowDimensions, View } from 'react-native';

import { useLengths } from '@/data/lengths';
import type { Lengths } from '@/views/lengths';
import { comparedModel, figureOf, modelName } from '@/views/modelView';
import { Aperture } from '@/parts/Aperture';
import { useWide } from '@/ui/layout';
import { Words } from '@/ui/Words';
import { doseText, dosed, percent } from '@/wording/trade';

import type { Compared } from './compared';

interface SideBySideProps {
  compared: readonly Compared[];
  widthMm: number;
}

/** The balloons to one scale, and line by line what differs. */
export function SideBySide({ compared, widthMm }: SideBySideProps) {
  const lengths = useLengths();
  const { text } = lengths;
  const window = useWindowDimensions();
  const wide = useWide();
  const all = compared.map(({ model, view }) => {
    const at = modelAtWidth({ model: comparedModel(model, view), widthMm });
    return { model, view, at: at.ok ? at.value : null };
  });
  const most = Math.min(240, (window.width - (wide ? 600 : 60)) / all.length);
  const largest = Math.max(...all.map(({ model }) => model.nominalMm));
  const rows = ROWS.map(({ name, of }) => ({
    name,
    cells: all.map(({ at, view }) => (at ? of(at, view.curve?.inflator ?? 'hand', lengths) : '–')),
  }));
  return (
    <View className="gap-2">
      <View className="flex-row items-end gap-3">
        {all.map(({ model, view }) => (
          <View key={model.id} className="flex-1 items-center">
            <Aperture
              {...figureOf(model, view.curve, widthMm)}
              size={(most * model.nominalMm) / largest}
              label={
                `${modelName(model)}, ${model.colourName}, ${text(widthMm)} ` +
                'across in the outline of its nominal size'
              }
            />
          </View>
        ))}
      </View>
      <View className="flex-row gap-3">
        {all.map(({ model, view }) => (
          <View key={model.id} className="flex-1">
            <Words look="strong" className="text-center">
              {modelName(model)}
            </Words>
            <Words look="quiet" className="text-center">
              {`${model.colourName} · ${view.fit ? 'measured' : view.estimate ? 'estimated' : 'rule of thumb'}`}
            </Words>
          </View>
        ))}
      </View>
      <View role="table" aria-label="Side by side" className="rounded-card border border-line bg-surface">
        {rows.map(({ name, cells }) => (
          <View key={name} role="row" className="flex-row items-center gap-2 border-b border-line px-3 py-2">
            <Words role="rowheader" look="quiet" className="w-[76px]">
              {name}
            </Words>
            {cells.map((cell, i) => (
              <Words key={all[i]!.model.id} role="cell" className="flex-1 tabular-nums">
                {cell}
              </Words>
            ))}
          </View>
        ))}
      </View>
    </View>
  );
}

type Kind = Parameters<typeof dosed>[1];

const ROWS: readonly { name: string; of: (at: ModelAtWidth, kind: Kind, lengths: Lengths) => string }[] = [
  { name: 'Of nominal', of: ({ fraction }) => percent(fraction) },
  {
    name: 'Dose',
    of: ({ dose, doseLow, doseHigh }, kind) =>
      dose === null || doseLow === null || doseHigh === null
        ? 'not known'
        : `${dosed(dose, kind)} (${doseText(doseLow, 'timed')}–${doseText(doseHigh, 'timed')})`,
  },
  {
    name: 'Aspect',
    of: ({ aspect, aspectMargin }) =>
      aspect === null ? 'not known' : `${aspect.toFixed(2)} ±${aspectMargin.toFixed(2)}`,
  },
  {
    name: 'Turns oval',
    of: ({ roundLimit }, _, { text }) =>
      roundLimit.kind === 'shown'
        ? text(roundLimit.widthMm)
        : roundLimit.kind === 'above'
          ? `above ${text(roundLimit.widthMm)}`
          : roundLimit.kind === 'below'
            ? `below ${text(roundLimit.widthMm)}`
            : 'not known',
  },
  { name: 'Spread', of: ({ spreadMm }, _, { eitherWay }) => (spreadMm === null ? 'not known' : eitherWay(spreadMm)) },
  { name: 'Loss a day', of: ({ lostADayMm }, _, { fine }) => fine(lostADayMm) },
  {
    name: 'Bursts',
    of: ({ bursts }) => (bursts === null ? 'none filled' : `${percent(bursts.share)} (up to ${percent(bursts.high)})`),
  },
];
