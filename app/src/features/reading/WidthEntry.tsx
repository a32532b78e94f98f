import type { SizerRecord } from '@leggero/contract';
import { NARROWEST_FRACTION, WAYS, WIDEST_FRACTION, type ReadingProblemCode, type Trade } from '@leggero/core';
import { View } from 'react-native';

import { useTrade } from '@/data/trade';
import { holesNow, type HoleView } from '@/views/holes';
import type { Lengths } from '@/views/lengths';
import { LengthEntry } from '@/parts/LengthEntry';
import { PickChips } from '@/ui/PickChips';
import { Words } from '@/ui/Words';
import { WAY_WORDS } from '@/wording/trade';

import type { Draft } from './draft';

interface WidthEntryProps {
  draft: Draft;
  nominalMm: number;
  lengths: Lengths;
  sizers: readonly SizerRecord[];
  wrong: { code: ReadingProblemCode; field: string } | null;
  onChange: (by: Partial<Draft>) => void;
}

/** The width, by whichever way it is taken: on the dial, or by tapping the holes. */
export function WidthEntry(props: WidthEntryProps) {
  const { draft, onChange } = props;
  return (
    <>
      {draft.way === 'bracket' ? <Holes {...props} /> : <OneWidth {...props} />}
      <PickChips
        label="How the width is taken"
        options={WAYS.map((value) => ({ value, title: WAY_WORDS[value].title }))}
        value={draft.way}
        onChange={(way) => onChange({ way })}
      />
      <Words look="quiet">{WAY_WORDS[draft.way].means}</Words>
    </>
  );
}

function OneWidth({ draft, nominalMm, lengths, sizers, wrong, onChange }: WidthEntryProps) {
  const trade = useTrade();
  const leastMm = NARROWEST_FRACTION * nominalMm;
  const mostMm = WIDEST_FRACTION * nominalMm;
  const holes = draft.way === 'hole' ? holesOf(sizers, { leastMm, mostMm, trade }) : [];
  const around = draft.way === 'tape';
  return (
    <View className="gap-2">
      <LengthEntry
        label={around ? 'Tape around' : draft.way === 'hole' ? 'Hole' : 'Width'}
        value={draft.widthMm}
        least={leastMm}
        most={mostMm}
        lengths={lengths}
        around={around}
        error={
          wrong?.field === 'widthMm'
            ? `This balloon cannot be ${lengths.text(draft.widthMm)} across: ${lengths.text(leastMm)} to ` +
              `${lengths.text(mostMm)} is possible.`
            : undefined
        }
        onChange={(widthMm) => onChange({ widthMm, holeId: null })}
      />
      {around ? <Words look="quiet">{`That is ${lengths.text(draft.widthMm)} across.`}</Words> : null}
      {holes.length > 0 ? (
        <PickChips
          label="Just passes"
          options={holes.map(optionOf)}
          value={nearest(holes, draft.widthMm)}
          onChange={(id) => onChange({ widthMm: holeWidthMm(holes, id), holeId: id })}
        />
      ) : null}
    </View>
  );
}

function Holes({ draft, nominalMm, lengths, sizers, wrong, onChange }: WidthEntryProps) {
  const trade = useTrade();
  const { bracket } = draft;
  const most = WIDEST_FRACTION * nominalMm;
  const holes = holesOf(sizers, { leastMm: 0.2 * nominalMm, mostMm: 1.1 * nominalMm, trade });
  const side = (key: 'stopsMm' | 'passesMm', idKey: 'stopsHoleId' | 'holeId', label: string) => (
    <View className="gap-1">
      <LengthEntry
        label={label}
        value={bracket[key]}
        least={lengths.stepMm}
        most={most}
        lengths={lengths}
        error={wrong?.field === key ? WRONG[wrong.code] : undefined}
        onChange={(mm) => onChange({ bracket: { ...bracket, [key]: mm }, [idKey]: null })}
      />
      {holes.length > 0 ? (
        <PickChips
          label={`${label}, hole`}
          options={holes.map(optionOf)}
          value={nearest(holes, bracket[key])}
          onChange={(id) => onChange({ bracket: { ...bracket, [key]: holeWidthMm(holes, id) }, [idKey]: id })}
        />
      ) : null}
    </View>
  );
  return (
    <>
      {side('passesMm', 'holeId', 'Passes')}
      {side('stopsMm', 'stopsHoleId', 'Stops at')}
    </>
  );
}

const WRONG: Partial<Record<ReadingProblemCode, string>> = {
  'bracket-upside-down': 'It stops at the smaller hole and passes the larger one: these are the other way round.',
  'bad-bracket': 'This balloon does not fit a hole of that size.',
};

/** The holes of all sizers within reach of this balloon, as they measure now, each width once. */
function holesOf(
  sizers: readonly SizerRecord[],
  { leastMm, mostMm, trade }: { leastMm: number; mostMm: number; trade: Trade },
): HoleView[] {
  const holes = sizers
    .flatMap((sizer) => holesNow(sizer, trade))
    .filter(({ widthMm }) => widthMm >= leastMm && widthMm <= mostMm)
    .sort((a, b) => a.widthMm - b.widthMm);
  return holes.filter(({ widthMm }, i) => i === 0 || widthMm - holes[i - 1]!.widthMm > 0.5);
}

/** The label, with whose hole it is where two sizers have one of that label. */
function optionOf({ id, label, sizer }: HoleView, _: number, all: readonly HoleView[]) {
  const alone = all.filter((each) => each.label === label).length === 1;
  return { value: id, title: alone ? label : `${label} ${sizer.name}` };
}

function holeWidthMm(holes: readonly HoleView[], id: string): number {
  return holes.find((hole) => hole.id === id)!.widthMm;
}

function nearest(holes: readonly HoleView[], mm: number): string | null {
  return holes.find(({ widthMm }) => Math.abs(widthMm - mm) < 0.5)?.id ?? null;
}
