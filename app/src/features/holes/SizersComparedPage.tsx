import type { SizerRecord } from '@leggero/contract';
import { KINDS_OF_WORK, workToleranceMm, type Trade } from '@leggero/core';
import { View } from 'react-native';

import { holesNow, type HoleView } from '@/views/holes';
import { useLengths } from '@/data/lengths';
import { useSizers } from '@/data/records';
import { useTrade } from '@/data/trade';
import { Card } from '@/ui/Card';
import { Chip } from '@/ui/Chip';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { RowLink } from '@/ui/RowLink';
import { Empty, Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { workList } from '@/wording/works';
import { counted } from '@/wording/trade';

import { OffChart } from '@/parts/charts';

/** Holes whose labels claim one width. */
interface SameHole {
  labelledMm: number;
  label: string;
  holes: HoleView[];
  apartMm: number;
}

/** A hole of its label within this is the same hole, mm. */
const SAME_LABEL_MM = 0.6;
/** A hole sizes balloons of about this share of their nominal. */
const CLASSIC_SHARE = 0.91;

/** The sizers of the studio and its crew side by side: do balloons sized in one match those sized in another? */
export function SizersComparedPage() {
  const trade = useTrade();
  const sizers = useSizers().data;
  const wide = useWide();
  const back = wide ? undefined : '/gauges';
  if (!sizers) {
    return (
      <Page title="Sizers compared" back={back}>
        <Loading what="the sizers" />
      </Page>
    );
  }
  const used = sizers.filter(({ holes }) => holes.length > 0);
  if (used.length < 2) {
    return (
      <Page title="Sizers compared" back={back}>
        <Empty sentence="Two sizers with holes are needed: add the crew’s beside your own." />
      </Page>
    );
  }
  const shared = sharedHoles(used, trade);
  return (
    <Page title="Sizers compared" subtitle={counted(used.length, 'sizer')} back={back}>
      <Card title="How far each hole is off its label">
        <OffChart sizers={used} />
      </Card>
      <Card title="Holes they share">
        {shared.length === 0 ? (
          <Words>No two of these sizers have a hole of the same label.</Words>
        ) : (
          <View role="list">
            {shared.map((same) => (
              <SharedHole key={same.labelledMm} same={same} />
            ))}
          </View>
        )}
      </Card>
      {used.map(({ id, name }) => (
        <RowLink
          key={id}
          href={`/gauges/sizers/${id}/check`}
          title={`Check ${name}`}
          note="Hole by hole, with caliper or tape"
        />
      ))}
    </Page>
  );
}

function SharedHole({ same: { labelledMm, label, holes, apartMm } }: { same: SameHole }) {
  const trade = useTrade();
  const { text, exact, fine } = useLengths();
  const tooMuch = KINDS_OF_WORK.filter(
    (work) => apartMm > workToleranceMm({ work, nominalMm: labelledMm / CLASSIC_SHARE, trade }),
  );
  const measured = holes.every(({ now }) => now.origin === 'measured');
  const state = tooMuch.length > 0 ? 'differ' : measured ? 'match' : 'unknown';
  return (
    <View role="listitem" className="min-h-[56px] flex-row items-center gap-3 border-b border-line py-2">
      <Words look="figure" className="w-[44px] text-[22px] leading-7">
        {label}
      </Words>
      <View className="flex-1 gap-1">
        {holes.map(({ id, sizer, now }) => (
          <View key={id} className="flex-row">
            <Words className="flex-1" numberOfLines={1}>
              {sizer.keeper ? `${sizer.name} (${sizer.keeper})` : sizer.name}
            </Words>
            <Words className={`tabular-nums ${now.origin === 'measured' ? '' : 'text-quiet'}`}>
              {exact(now.widthMm)}
            </Words>
          </View>
        ))}
        <View className="flex-row items-center gap-2">
          <Chip {...STATES[state]} />
          {apartMm >= 0.25 ? (
            <Words look="quiet" className="flex-1">
              {tooMuch.length > 0
                ? `${text(apartMm)} apart: too much for ${workList(tooMuch)}.`
                : `${fine(apartMm)} apart: any work bears that.`}
            </Words>
          ) : null}
        </View>
      </View>
    </View>
  );
}

const STATES = {
  differ: { tone: 'out', word: 'differ' },
  match: { tone: 'measured', word: 'match' },
  unknown: { tone: 'plain', word: 'not all measured' },
} as const;

/** Holes of the same label in two sizers or more, those furthest apart first. */
function sharedHoles(sizers: readonly SizerRecord[], trade: Trade): SameHole[] {
  const all = sizers
    .flatMap((sizer) => holesNow(sizer, trade).map((hole) => ({ hole, labelledMm: hole.widthMm - hole.now.offMm })))
    .sort((a, b) => a.labelledMm - b.labelledMm);
  const groups: { labelledMm: number; holes: HoleView[] }[] = [];
  for (const { hole, labelledMm } of all) {
    const group = groups.at(-1);
    if (group && labelledMm - group.labelledMm < SAME_LABEL_MM) group.holes.push(hole);
    else groups.push({ labelledMm, holes: [hole] });
  }
  return groups
    .filter(({ holes }) => new Set(holes.map(({ sizer }) => sizer.id)).size > 1)
    .map(({ labelledMm, holes }) => {
      const widths = holes.map(({ widthMm }) => widthMm);
      return {
        labelledMm,
        holes,
        label: holes[0]!.label,
        apartMm: Math.max(...widths) - Math.min(...widths),
      };
    })
    .sort((a, b) => b.apartMm - a.apartMm || a.labelledMm - b.labelledMm);
}
