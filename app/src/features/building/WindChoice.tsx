import { WIND_FORCES, type WindForce } from '@leggero/core';

import type { PieceBasis } from '@/parts/piece/useBasis';
import { Labelled } from '@/ui/Field';
import { PickChips } from '@/ui/PickChips';
import { Words } from '@/ui/Words';
import { WIND_WORDS } from '@/wording/baseWeight';

const INDOORS = 'indoors';
const WINDS = [
  { value: INDOORS, title: 'Indoors' },
  ...WIND_FORCES.map((force) => ({ value: String(force), title: WIND_WORDS[force].title })),
];

interface WindChoiceProps {
  /** null indoors. */
  wind: WindForce | null;
  basis: PieceBasis;
  onChange: (wind: WindForce | null) => void;
}

/** In which wind a piece shall stand. */
export function WindChoice({ wind, basis, onChange }: WindChoiceProps) {
  return (
    <>
      <Labelled label="Wind">
        <PickChips
          label="Wind"
          options={WINDS}
          value={wind === null ? INDOORS : String(wind)}
          onChange={(value) => onChange(WIND_FORCES.find((force) => String(force) === value) ?? null)}
        />
      </Labelled>
      {basis.event?.outdoors && wind === null ? (
        <Words look="error" role="alert">
          The event is outdoors: choose the strongest wind that it shall stand in.
        </Words>
      ) : null}
    </>
  );
}

/** What weights that follow from a wind do not hold. */
export function WindCaution({ wind }: Pick<WindChoiceProps, 'wind'>) {
  return (
    <Words look="quiet">
      {wind === null
        ? 'An estimate for draughts alone: it does not hold a child who leans on the piece.'
        : 'An estimate, not a proof: ask whoever is responsible on site, and take it in when the wind grows.'}
    </Words>
  );
}
