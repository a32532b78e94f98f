import { chooseNominal } from '@leggero/core';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { useTrade } from '@/data/trade';
import { figureOf, modelName, type TierTarget } from '@/views/modelView';
import { Aperture } from '@/parts/Aperture';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { percent } from '@/wording/trade';

import type { ShownModel } from '@/parts/WithModel';

interface NominalProposalProps extends ShownModel {
  chosen: TierTarget;
  daysStanding: number;
}

const PROPOSED = 2;
/** Cautions that say the nominal is the wrong one. */
const WRONG = new Set(['nominal-too-small', 'nominal-too-large', 'smaller-than-useful', 'below-tier']);

/** When the width wanted does not suit this nominal: balloons of the shelf which do. */
export function NominalProposal({ model, knowledge, chosen, daysStanding }: NominalProposalProps) {
  const trade = useTrade();
  const { text } = useLengths();
  const { target, tier } = chosen;
  // A pair is two nominals: which of them is wrong its stuffing says.
  if (model.outerId !== null || !target.cautions.some(({ code }) => WRONG.has(code))) return null;
  const wantedMm = tier.fraction * model.nominalMm;
  const others = knowledge.models.filter(
    ({ id, nominalMm, kind, outerId }) =>
      outerId === null && id !== model.id && nominalMm !== model.nominalMm && kind === model.kind,
  );
  const choice = chooseNominal({ widthMm: wantedMm, daysStanding, models: others, trade });
  const suited = choice.ok ? choice.value.suited.slice(0, PROPOSED) : [];
  return (
    <View className="gap-2">
      <Words look="label">
        {suited.length > 0
          ? `For ${text(wantedMm)} these suit better:`
          : `No other balloon on the shelf suits ${text(wantedMm)} for so long.`}
      </Words>
      {suited.map(({ model: other, fraction }) => (
        <RowLink
          key={other.id}
          href={`/shelf/${other.id}`}
          title={`${modelName(other)}, ${other.colourName}`}
          note={`${percent(fraction)} of its nominal`}
        >
          <Aperture {...figureOf(other, null, wantedMm)} size={44} label={other.colourName} />
        </RowLink>
      ))}
    </View>
  );
}
