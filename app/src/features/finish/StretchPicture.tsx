import type { ShelfModel } from '@leggero/contract';
import type { TwoBubbles } from '@leggero/core/finish';
import { View } from 'react-native';
import { G } from 'react-native-svg';

import { figureOf } from '@/views/modelView';
import { Balloon } from '@/parts/Balloon';
import { Picture } from '@/ui/Picture';
import { Words } from '@/ui/Words';
import { percent } from '@/wording/trade';

const FRACTIONS = [0.5, 0.62, 0.75, 0.88, 1];

/** Where each balloon begins, in nominals from the left, and how long they are together. */
const GAP = 0.08;
const LEFTS = FRACTIONS.map((_, i) => FRACTIONS.slice(0, i).reduce((sum, fraction) => sum + fraction + GAP, 0));
const TOTAL = LEFTS.at(-1)! + FRACTIONS.at(-1)!;

/** One balloon from slack to tight, to one scale, in the colour and shine it then has. */
export function StretchPicture({ model }: { model: ShelfModel }) {
  const { nominalMm } = model;
  const caption = (
    <View className="flex-row">
      {FRACTIONS.map((fraction) => (
        <Words key={fraction} look="quiet" className="text-center" style={{ flex: fraction + GAP }}>
          {percent(fraction)}
        </Words>
      ))}
    </View>
  );
  return (
    <Picture
      label={
        `${model.colourName} at ${FRACTIONS.map(percent).join(', ')} of nominal: ${model.finish}, deeper ` +
        'when slack, paler when tight'
      }
      height={(width) => (1.16 * width) / TOTAL + 8}
      framed={false}
      caption={caption}
    >
      {(width, height) => {
        // px of one nominal.
        const full = width / TOTAL;
        return FRACTIONS.map((fraction, i) => (
          <G
            key={fraction}
            transform={
              `translate(${(LEFTS[i]! + fraction / 2) * full} ${height - 0.62 * fraction * full - 4}) ` +
              `scale(${full / nominalMm})`
            }
          >
            <Balloon {...figureOf(model, null, fraction * nominalMm)} />
          </G>
        ));
      }}
    </Picture>
  );
}

interface TwoPictureProps {
  model: ShelfModel;
  two: TwoBubbles;
  label: string;
}

/** The balloon whole, and twisted into two, to one scale; as tight as each then is. */
export function TwoPicture({ model, two, label }: TwoPictureProps) {
  const { firstMm, secondMm, wholeMm, stretchGain } = two;
  const look = figureOf(model, null, wholeMm);
  // A bubble stretched further looks like the fuller fill of a smaller balloon.
  const tightOf = (mm: number) => model.nominalMm * (mm / (wholeMm * stretchGain));
  const start = wholeMm * 1.2;
  const balls = [
    { atMm: wholeMm / 2, mm: wholeMm, nominalMm: model.nominalMm },
    { atMm: start + firstMm / 2, mm: firstMm, nominalMm: tightOf(firstMm) },
    { atMm: start + firstMm + secondMm / 2, mm: secondMm, nominalMm: tightOf(secondMm) },
  ];
  return (
    <Picture label={label} height={130} framed={false}>
      {(width, height) => {
        const scale = Math.min((width - 30) / (start + firstMm + secondMm), (height - 10) / (1.2 * wholeMm));
        return balls.map(({ atMm, mm, nominalMm }, i) => (
          <G key={i} transform={`translate(${atMm * scale + 10} ${height / 2}) scale(${scale})`}>
            <Balloon {...look} widthMm={mm} heightMm={mm} nominalMm={nominalMm} />
          </G>
        ));
      }}
    </Picture>
  );
}
