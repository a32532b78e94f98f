import { MM_PER_INCH } from '@leggero/core';
import { wrapPole, type PoleCover } from '@leggero/core/modelling';
import { View } from 'react-native';
import { ClipPath, Defs, G, Path, Rect } from 'react-native-svg';

import { useTrade } from '@/data/trade';
import { shade } from '@/parts/shade';
import { Cautions } from '@/parts/Cautions';
import { LengthField } from '@/parts/LengthField';
import { Picture } from '@/ui/Picture';
import { Stepper } from '@/ui/Stepper';
import { usePalette } from '@/ui/theme';
import { Tool } from '@/ui/Tool';
import { useAddress } from '@/ui/useAddress';
import { Words } from '@/ui/Words';
import { poleProblemText, poleText } from '@/wording/modelling';
import { percent } from '@/wording/trade';

import type { PartProps } from './LengthPart';

const FIRST = { diameterMm: MM_PER_INCH, lengthMm: 60 * MM_PER_INCH, overlap: 0.3 };

/** A pole wrapped with empty balloons pressed flat: how many, and how the turns lie. */
export function PolePart({ model, size, lengths }: PartProps) {
  const trade = useTrade();
  const [params, ask] = useAddress<'across' | 'along' | 'overlap'>();
  const diameterMm = Number(params.across ?? FIRST.diameterMm);
  const lengthMm = Number(params.along ?? FIRST.lengthMm);
  const overlap = Number(params.overlap ?? FIRST.overlap);
  const cover = wrapPole({ size, diameterMm, lengthMm, overlap, trade });
  const problem = cover.ok ? null : cover.problem;
  const wrong = (field: string) => (problem?.field === field ? poleProblemText(problem, lengths.long) : undefined);
  return (
    <>
      {cover.ok ? (
        <View className="gap-2" role="status">
          <PolePicture
            cover={cover.value}
            diameterMm={diameterMm}
            colourHex={model.colourHex}
            label={`A piece of the pole to scale. ${poleText(cover.value, lengths.long)}`}
          />
          <View className="flex-row gap-2">
            <Tool title="Balloons" figure={String(cover.value.balloons)} note="empty, pressed flat" />
            <Tool
              title="Turns"
              figure={String(Math.ceil(cover.value.turns))}
              note={`${lengths.long(cover.value.pitchMm)} on for each`}
            />
            <Tool title="One covers" figure={lengths.long(cover.value.coversMm)} note="of pole" />
          </View>
        </View>
      ) : null}
      <View className="flex-row gap-3">
        <View className="flex-1">
          <LengthField
            label="Pole across"
            value={diameterMm || null}
            lengths={lengths}
            error={wrong('diameterMm')}
            onChange={(mm) => ask({ across: String(mm ?? 0) })}
          />
        </View>
        <View className="flex-1">
          <LengthField
            label="Pole long"
            long
            value={lengthMm || null}
            lengths={lengths}
            error={wrong('lengthMm')}
            onChange={(mm) => ask({ along: String(mm ?? 0) })}
          />
        </View>
      </View>
      <Stepper
        label="each turn over the last"
        value={Math.round(100 * overlap)}
        shown={percent(overlap)}
        step={10}
        least={0}
        most={80}
        onChange={(to) => ask({ overlap: String(to / 100) })}
      />
      <Words look="quiet">
        Press the air out, tie the first end to the pole, pull to twice its length and lay each turn over the last.
      </Words>
      <Cautions names={['heights', 'latex', 'choking']} />
    </>
  );
}

interface PolePictureProps {
  cover: PoleCover;
  diameterMm: number;
  colourHex: string;
  label: string;
}

/** Strips beyond these no screen shows apart. */
const MOST_STRIPS = 120;

/** A few turns around the pole, to scale: each strip lies over the one before. */
function PolePicture({ cover, diameterMm, colourHex, label }: PolePictureProps) {
  const palette = usePalette();
  const { pitchMm, alongMm } = cover;
  return (
    <Picture label={label} height={120}>
      {(width, height) => {
        const scale = Math.min((height - 32) / diameterMm, width / (4 * Math.max(pitchMm, alongMm)));
        const thick = diameterMm * scale;
        const top = (height - thick) / 2;
        const bottom = top + thick;
        // A turn leans by half a pitch from one edge of the pole to the other.
        const [step, lean, along] = [pitchMm * scale, (pitchMm * scale) / 2, alongMm * scale];
        const count = Math.min(MOST_STRIPS, Math.ceil(width / step) + 3);
        return (
          <>
            <Defs>
              <ClipPath id="pole">
                <Rect x={0} y={top - 2} width={width * 0.82} height={thick + 4} rx={3} />
              </ClipPath>
            </Defs>
            <Rect x={0} y={top} width={width} height={thick} fill={palette.sunk} stroke={palette.line} />
            <G clipPath="url(#pole)">
              {Array.from({ length: count }, (_, i) => {
                const x = (i - 2) * step;
                return (
                  <Path
                    key={i}
                    d={`M${x} ${bottom}L${x + lean} ${top}h${along}L${x + along} ${bottom}z`}
                    fill={shade(colourHex, i % 2 === 0 ? 0 : 0.12)}
                    stroke={shade(colourHex, -0.35)}
                    strokeWidth={1}
                  />
                );
              })}
            </G>
          </>
        );
      }}
    </Picture>
  );
}
