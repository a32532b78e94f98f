import { joinersFor, tyingFor, TYINGS } from '@leggero/core/modelling';
import { View } from 'react-native';

import { useTrade } from '@/data/trade';
import { Segmented } from '@/ui/Segmented';
import { Stepper } from '@/ui/Stepper';
import { SwitchRow } from '@/ui/SwitchRow';
import { Tool } from '@/ui/Tool';
import { useAddress } from '@/ui/useAddress';
import { Words } from '@/ui/Words';
import { joinerProblemText, joinerText, TYING_WORDS } from '@/wording/modelling';

import { JoinPicture } from './JoinPicture';
import type { PartProps } from './LengthPart';

const WAYS = TYINGS.map((value) => ({ value, title: TYING_WORDS[value].title }));
const MOST_CLUSTERS = 200;

/** Empty balloons as joiners: how far one reaches, how many for so many clusters, and which way of tying. */
export function JoinPart({ model, size, lengths }: PartProps) {
  const trade = useTrade();
  const [params, ask] = useAddress<'clusters' | 'of' | 'way' | 'half'>();
  const clusters = Number(params.clusters ?? 12);
  const balloons = Number(params.of ?? 4);
  const suggested = tyingFor({ balloons });
  const way = TYINGS.find((each) => each === params.way) ?? suggested;
  const halved = params.half === '1';
  const plan = joinersFor({ size, clusters, way, halved, trade });
  const { long: text } = lengths;
  return (
    <>
      {plan.ok ? (
        <View className="gap-2" role="status">
          <View className="flex-row gap-2">
            <Tool title="Balloons" figure={String(plan.value.balloons)} note={halved ? 'cut in halves' : 'whole'} />
            <Tool title="Reach" figure={lengths.bare(plan.value.reachMm)} note={`${lengths.unit}, pulled`} />
            <Tool title="Each join" figure={lengths.bare(plan.value.takesMm)} note={`${lengths.unit}, pulled`} />
          </View>
          <JoinPicture
            clusters={clusters}
            balloons={balloons}
            joinsAPiece={plan.value.joinsAPiece}
            colourHex={model.colourHex}
            label={joinerText(plan.value, halved)}
          />
          <Words look="strong">{joinerText(plan.value, halved)}</Words>
        </View>
      ) : (
        <Words look="error" role="alert">
          {joinerProblemText(plan.problem, text)}
        </Words>
      )}
      <Stepper
        label="clusters in a line"
        value={clusters}
        shown={String(clusters)}
        step={1}
        least={2}
        most={MOST_CLUSTERS}
        onChange={(to) => ask({ clusters: String(to) })}
      />
      <Stepper
        label="balloons in a cluster"
        value={balloons}
        shown={String(balloons)}
        step={1}
        least={2}
        most={12}
        onChange={(to) => ask({ of: String(to), way: undefined })}
      />
      <Segmented label="Way of tying" options={WAYS} value={way} onChange={(to) => ask({ way: to })} />
      <Words look="quiet">
        {`${TYING_WORDS[way].title}: ${TYING_WORDS[way].means}.${way === suggested ? ' Suits these clusters.' : ''}`}
      </Words>
      <SwitchRow label="Cut in halves: often enough" value={halved} onChange={(is) => ask({ half: is ? '1' : '0' })} />
    </>
  );
}
