import type { InflatorKind, TargetCaution } from '@leggero/core';

import { apartText } from './supply';
import { counted, dosed } from './trade';

type Write = (mm: number) => string;

interface Target {
  dose: number | null;
  kind: InflatorKind;
  fillMm: number;
  heldMm: number | null;
  cautions: readonly TargetCaution[];
}
interface Made {
  widthMm: number;
  target: Target | null;
}

const doseOf = (target: Target | null) => (target?.dose == null ? 'no dose yet' : dosed(target.dose, target.kind));

/** What of a size becomes another: "9½ in as before, 7 strokes become 2.6 s". */
export function changeText({ before, after }: { before: Made | null; after: Made }, text: Write): string {
  const [was, is] = [text(before?.target?.fillMm ?? before?.widthMm ?? 0), text(after.target?.fillMm ?? after.widthMm)];
  const width = before && was !== is ? `${was} becomes ${is}` : `${is}${before ? ' as before' : ''}`;
  const [from, to] = [doseOf(before?.target ?? null), doseOf(after.target)];
  return `${width} · ${from === to || !before ? to : `${from} becomes ${to}`}`;
}

/** What to mind of a balloon at its target; null where there is nothing. */
export function heldText({ heldMm, cautions }: Target, text: Write): string | null {
  if (heldMm !== null) return `It is held at ${text(heldMm)}: wider it is no longer round. Take a larger nominal.`;
  return cautions.some(({ code }) => code === 'nominal-too-large')
    ? 'Under its smallest useful width: take a smaller nominal.'
    : null;
}

/** How another line would do: "farthest colour: a little apart · has 3 of the 4 used here, the rest stays". */
export function lineText(
  { standIns, used, mostApart }: { standIns: readonly { id: string }[]; used: number; mostApart: number },
  justSeen: number,
): string {
  const has =
    standIns.length < used
      ? `has ${standIns.length} of the ${used} used here, the rest stays`
      : used === 1
        ? 'has the one used here'
        : `has all ${used} used here`;
  const kinds = new Set(standIns.map(({ id }) => id)).size;
  const merged = kinds < standIns.length ? ` · they become ${counted(kinds, 'balloon')}` : '';
  return `${standIns.length > 1 ? 'farthest colour: ' : ''}${apartText(mostApart, justSeen)} · ${has}${merged}`;
}
