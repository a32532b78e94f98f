import { MM_PER_INCH } from '@leggero/core';
import { sphereInClear, type SphereInClear } from '@leggero/core/stuffing';
import { View } from 'react-native';
import { G } from 'react-native-svg';

import { useLengths } from '@/data/lengths';
import { useTrade } from '@/data/trade';
import { Balloon } from '@/parts/Balloon';
import { Card } from '@/ui/Card';
import { Cautions } from '@/parts/Cautions';
import { Labelled } from '@/ui/Field';
import { useWide } from '@/ui/layout';
import { LengthField } from '@/parts/LengthField';
import { Page } from '@/ui/Page';
import { Picture } from '@/ui/Picture';
import { Segmented } from '@/ui/Segmented';
import { Steps } from '@/ui/Steps';
import { useAddress } from '@/ui/useAddress';
import { Words } from '@/ui/Words';
import { sphereProblemText, sphereSteps } from '@/wording/stuffing';

const FIRST_MM = 15 * MM_PER_INCH;

/** A stretchy foil sphere in a clear balloon: sizes that match, and when to let air out. */
export function OrbPage() {
  const trade = useTrade();
  const [params, ask] = useAddress<'latex' | 'sphere' | 'vents'>();
  const lengths = useLengths();
  const wide = useWide();
  const typedMm = (typed: string | undefined) => (typed === undefined ? FIRST_MM : Number(typed));
  const [latexNominalMm, sphereMm] = [typedMm(params.latex), typedMm(params.sphere)];
  const vents = params.vents === '3' ? 3 : 2;
  const made = sphereInClear({ latexNominalMm, sphereMm, vents, trade });
  const problem = made.ok ? null : made.problem;
  const wrong = (field: string) => (problem?.field === field ? sphereProblemText(problem, lengths.text) : undefined);
  return (
    <Page title="Foil sphere in clear latex" subtitle="The same size for both" back={wide ? undefined : '/shelf'}>
      <View className={wide ? 'flex-row items-start gap-6' : 'gap-4'}>
        <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>
          {made.ok ? <OrbPicture made={made.value} text={lengths.text} /> : null}
          <View className="flex-row gap-3">
            <View className="flex-1">
              <LengthField
                label="Clear latex"
                hint="Its nominal."
                value={latexNominalMm || null}
                lengths={lengths}
                error={wrong('latexNominalMm')}
                onChange={(mm) => ask({ latex: String(mm ?? 0) })}
              />
            </View>
            <View className="flex-1">
              <LengthField
                label="Foil sphere"
                hint="Across when full."
                value={sphereMm || null}
                lengths={lengths}
                error={wrong('sphereMm')}
                onChange={(mm) => ask({ sphere: String(mm ?? 0) })}
              />
            </View>
          </View>
          <Labelled label="Let latex air out">
            <Segmented
              label="Let latex air out"
              options={VENTS}
              value={vents === 3 ? '3' : '2'}
              onChange={(to) => ask({ vents: to })}
            />
          </Labelled>
        </View>
        <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>
          {made.ok ? (
            <Card title="Step by step">
              <Steps steps={sphereSteps(made.value, lengths.text)} />
              <Words look="quiet" className="mt-2">
                Without a gap the latex sticks to the foil and splits. Fill by hand: an automatic shut-off stops too
                soon.
              </Words>
            </Card>
          ) : null}
          <Cautions names={['burst', 'power', 'latex', 'choking']} />
        </View>
      </View>
    </Page>
  );
}

const VENTS = [
  { value: '2', title: 'Twice' },
  { value: '3', title: 'Three times' },
];

/** The sphere and the latex around it at each point where air is let out, and at the end, to one scale. */
function OrbPicture({ made, text }: { made: SphereInClear; text: (mm: number) => string }) {
  const { vents, sphereMm, outsideMm, gapMm } = made;
  const stages = [
    ...vents.map((vent) => ({ outsideMm: vent.outsideMm, sphereMm: vent.sphereMm, gapMm: vent.gapBeforeMm })),
    { outsideMm, sphereMm, gapMm },
  ];
  const widest = Math.max(...stages.map((stage) => stage.outsideMm));
  const scaleOf = (width: number) => (width / stages.length - 14) / widest;
  const caption = (
    <View className="flex-row pb-2">
      {stages.map((stage, i) => (
        <View key={i} className="flex-1 items-center">
          <Words look="label">{i < vents.length ? `${i + 1}. let out` : 'full'}</Words>
          <Words look="quiet">{`gap ${text(stage.gapMm)}`}</Words>
        </View>
      ))}
    </View>
  );
  return (
    <Picture
      label={
        `${vents.length} times air is let out, then the full sphere of ${text(sphereMm)} with ` +
        `${text(gapMm)} of air all around`
      }
      height={(width) => Math.max(0, widest * scaleOf(width) * 1.18) + 20}
      caption={caption}
    >
      {(width) => {
        const scale = scaleOf(width);
        return stages.map((stage, i) => (
          <G
            key={i}
            transform={`translate(${(width / stages.length) * (i + 0.5)} ${14 + (widest * scale) / 2}) scale(${scale})`}
          >
            <Balloon
              widthMm={stage.sphereMm}
              heightMm={stage.sphereMm}
              nominalMm={stage.sphereMm}
              colourHex="#d8c7b8"
              finish="mirror"
            />
            <Balloon
              widthMm={stage.outsideMm}
              heightMm={stage.outsideMm}
              nominalMm={widest}
              colourHex="#b9d3da"
              finish="clear"
            />
          </G>
        ));
      }}
    </Picture>
  );
}
