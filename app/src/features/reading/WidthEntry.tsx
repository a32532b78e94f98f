import type { SizerRecord } from '@leggero/contract';
import { NARROWEST_FRACTION, WAYS, WIDEST_FRACTION, type ReadingProblemCode } from '@leggero/core';
import { View } from 'react-native';

import type { Lengths } from '@/api/lengths';
import { LengthEntry } from '@/ui/LengthEntry';
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
  const leastMm = NARROWEST_FRACTION * nominalMm;
  const mostMm = WIDEST_FRACTION * nominalMm;
  const holes = draft.way === 'hole' ? holesOf(sizers, leastMm, mostMm) : [];
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
            ? `This balloon cannot be ${lengths.text(draft.widthMm)} across: ${lengths.text(leastMm)} to ${lengths.text(mostMm)} is possible.`
            : undefined
        }
        onChange={(widthMm) => onChange({ widthMm })}
      />
      {around ? <Words look="quiet">{`That is ${lengths.text(draft.widthMm)} across.`}</Words> : null}
      {holes.length > 0 ? (
        <PickChips
          label="Just passes"
          options={holes}
          value={nearest(holes, draft.widthMm)}
          onChange={(mm) => onChange({ widthMm: Number(mm) })}
        />
      ) : null}
    </View>
  );
}

function Holes({ draft, nominalMm, lengths, sizers, wrong, onChange }: WidthEntryProps) {
  const { bracket } = draft;
  const most = WIDEST_FRACTION * nominalMm;
  const holes = holesOf(sizers, 0.2 * nominalMm, 1.1 * nominalMm);
  const side = (key: 'stopsMm' | 'passesMm', label: string) => (
    <View className="gap-1">
      <LengthEntry
        label={label}
        value={bracket[key]}
        least={lengths.stepMm}
        most={most}
        lengths={lengths}
        error={wrong?.field === key ? WRONG[wrong.code] : undefined}
        onChange={(mm) => onChange({ bracket: { ...bracket, [key]: mm } })}
      />
      {holes.length > 0 ? (
        <PickChips
          label={`${label}, hole`}
          options={holes}
          value={nearest(holes, bracket[key])}
          onChange={(mm) => onChange({ bracket: { ...bracket, [key]: Number(mm) } })}
        />
      ) : null}
    </View>
  );
  return (
    <>
      {side('passesMm', 'Passes')}
      {side('stopsMm', 'Stops at')}
    </>
  );
}

const WRONG: Partial<Record<ReadingProblemCode, string>> = {
  'bracket-upside-down':
    'It stops at the smaller hole and passes the larger one: these are the other way round.',
  'bad-bracket': 'This balloon does not fit a hole of that size.',
};

interface HoleOption {
  value: string;
  title: string;
}

/** The holes of all sizers within reach of this balloon, each width once. */
function holesOf(sizers: readonly SizerRecord[], leastMm: number, mostMm: number): HoleOption[] {
  const holes = sizers
    .flatMap((sizer) => sizer.holes)
    .filter(({ widthMm }) => widthMm >= leastMm && widthMm <= mostMm)
    .sort((a, b) => a.widthMm - b.widthMm);
  return holes
    .filter(({ widthMm }, i) => i === 0 || widthMm - holes[i - 1]!.widthMm > 0.5)
    .map(({ widthMm, label }) => ({ value: String(widthMm), title: label }));
}

function nearest(holes: readonly HoleOption[], mm: number): string | null {
  return holes.find(({ value }) => Math.abs(Number(value) - mm) < 0.5)?.value ?? null;
}
