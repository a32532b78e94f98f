import { View } from 'react-native';

import { newId, nowUtc } from '@/device/id';
import { useLengths } from '@/data/lengths';
import type { TierTarget } from '@/views/modelView';
import { write } from '@/data/outbox';
import { Button } from '@/ui/Button';
import { Chip } from '@/ui/Chip';
import { Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { cautionText, lagText, noteText, reasonText, STATE_WORDS } from '@/wording/target';
import { dosed } from '@/wording/trade';

import { NominalProposal } from './NominalProposal';

import type { ShownModel } from '@/parts/WithModel';

interface WhySheetProps extends ShownModel {
  chosen: TierTarget;
  daysStanding: number;
  open: boolean;
  onClose: () => void;
}

/** The chain of reasons of a target, what to mind, and the target that was kept. */
export function WhySheet(props: WhySheetProps) {
  const { model, view, chosen, daysStanding, open, onClose } = props;
  const { tier, target } = chosen;
  const { text } = useLengths();
  const kept = model.targets.find(({ tierName }) => tierName === tier.name);
  const keep = () =>
    write({
      put: 'target',
      row: {
        id: newId(),
        modelId: model.id,
        tierId: tier.id,
        tierName: tier.name,
        widthMm: target.widthMm,
        toleranceMm: target.toleranceMm,
        dose: target.dose?.dose ?? null,
        origin: target.origin,
        daysStanding,
        acceptedAt: nowUtc(),
      },
    });
  const kind = view.curve?.inflator ?? 'hand';
  return (
    <Sheet title={`Why ${text(target.widthMm)}`} open={open} onClose={onClose}>
      <View role="list" className="gap-3">
        {target.reasons.map((reason) => (
          <View
            key={'of' in reason ? `${reason.code} ${reason.of}` : reason.code}
            role="listitem"
            className="flex-row items-start gap-3"
          >
            <View className="w-[104px]">
              <Chip {...('state' in reason ? STATE_WORDS[reason.state] : SAID[reason.code])} />
            </View>
            <Words className="flex-1">{reasonText(reason, text, { name: tier.name, widthMm: target.widthMm })}</Words>
          </View>
        ))}
      </View>
      {target.dose ? (
        <Words>
          {`${dosed(target.dose.dose, kind)} ${target.dose.dose === 1 ? 'gives' : 'give'} ` +
            `${text(target.dose.widthMm)} on average; the next single balloon lands between ` +
            `${text(target.dose.nextLowMm)} and ${text(target.dose.nextHighMm)}.`}
        </Words>
      ) : null}
      {[
        ...target.cautions.map((caution) => cautionText(caution, text)),
        ...(view.fit?.notes ?? []).map((note) => noteText(note, kind)),
        ...(view.fit ? [lagText(view.fit)] : []).filter(Boolean),
      ].map((sentence) => (
        <View key={sentence} className="flex-row items-start gap-3">
          <View className="w-[104px]">
            <Chip tone="edge" word="mind" />
          </View>
          <Words className="flex-1">{sentence}</Words>
        </View>
      ))}
      <NominalProposal {...props} />
      <View className="gap-2 border-t border-line pt-4">
        <Words look="quiet">
          {kept
            ? `Kept: ${text(kept.widthMm)} on ${new Date(kept.acceptedAt).toLocaleDateString()}, revision ` +
              `${kept.revision}. Later readings do not change it.`
            : 'Use this target to keep it as it is now; later readings then do not change it.'}
        </Words>
        <Button title="Use this target" onPress={keep} />
      </View>
    </Sheet>
  );
}

const SAID = { tier: { tone: 'plain', word: 'wish' } as const, 'oval-here': { word: 'oval', tone: 'plain' } } as const;
