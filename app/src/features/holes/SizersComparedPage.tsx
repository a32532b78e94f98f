import type { SizerRecord } from '@leggero/contract';
import { KINDS_OF_WORK, workToleranceMm } from '@leggero/core';
import { View } from 'react-native';

import { holesNow, type HoleView } from '@/api/holes';
import { useLengths } from '@/api/lengths';
import { useSizers } from '@/api/queries';
import { Card } from '@/ui/Card';
import { Chip } from '@/ui/Chip';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { Empty, Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { fineMm, workList } from '@/wording/sizer';
import { counted } from '@/wording/trade';

import { OffChart } from './OffChart';

/** Holes whose labels claim one width. */
interface SameHole {
  labelledMm: number;
  label: string;
  holes: HoleView[];
  apartMm: number;
}

/** A hole of its label within this is the same hole, mm. */
const SAME_LABEL_MM = 0.6;

/** The sizers of the studio and its crew side by side: do balloons sized in one match those sized in another? */
export function SizersComparedPage() {
  const sizers = useSizers().data;
  const wide = useWide();
  const { text } = useLengths();
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
  const shared = sharedHoles(used);
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
            {shared.map((same) => {
              const tooMuch = KINDS_OF_WORK.filter(
                (work) => same.apartMm > workToleranceMm({ work, nominalMm: same.labelledMm / 0.91 }),
              );
              return (
                <View
                  key={same.labelledMm}
                  role="listitem"
                  className="min-h-[56px] flex-row items-center gap-3 border-b border-line py-2"
                >
                  <Words look="figure" className="w-[52px] text-[22px] leading-7">
                    {same.label}
                  </Words>
                  <View className="flex-1">
                    <Words>
                      {same.holes.map(({ sizer, now }) => `${sizer.name} ${fineMm(now.widthMm)}`).join(' · ')}
                    </Words>
                    <Words look="quiet">
                      {tooMuch.length > 0
                        ? `${text(same.apartMm)} apart: too much for ${workList(tooMuch)}.`
                        : same.apartMm < 0.25
                          ? 'No difference is known.'
                          : `${fineMm(same.apartMm)} apart, within what any work bears.`}
                    </Words>
                  </View>
                  <Chip
                    tone={
                      tooMuch.length > 0
                        ? 'out'
                        : same.holes.every(({ now }) => now.origin === 'measured')
                          ? 'measured'
                          : 'plain'
                    }
                    word={
                      tooMuch.length > 0
                        ? 'differ'
                        : same.holes.every(({ now }) => now.origin === 'measured')
                          ? 'match'
                          : 'not all measured'
                    }
                  />
                </View>
              );
            })}
          </View>
        )}
      </Card>
    </Page>
  );
}

/** Holes of the same label in two sizers or more, from small to large. */
function sharedHoles(sizers: readonly SizerRecord[]): SameHole[] {
  const all = sizers
    .flatMap((sizer) => holesNow(sizer).map((hole) => ({ hole, labelledMm: hole.widthMm - hole.now.offMm })))
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
    });
}
