import { DOSE_SCALES, MOST_DOSE, NOZZLES, OUTCOMES, type InflatorKind, type ReadingProblemCode } from '@leggero/core';

import type { Lengths } from '@/views/lengths';
import type { ShownModel } from '@/parts/WithModel';
import { Labelled } from '@/ui/Field';
import { Segmented } from '@/ui/Segmented';
import { Stepper } from '@/ui/Stepper';
import { Words } from '@/ui/Words';
import { FILLING_CAUTION } from '@/wording/cautions';
import { doseText, doseUnit, NOZZLE_WORDS, OUTCOME_WORDS } from '@/wording/trade';

import type { Draft } from './draft';
import { PumpChoice, type CalibrationStart } from './PumpChoice';
import { ShapeEntry } from './ShapeEntry';
import { WidthEntry } from './WidthEntry';

const BALLOON_OPTIONS = [
  { value: 'on', title: 'The same, filled on' },
  { value: 'fresh', title: 'A fresh balloon' },
] as const;

interface ReadingFormProps {
  shown: ShownModel;
  start: CalibrationStart;
  draft: Draft;
  kind: InflatorKind;
  /** Counts the readings added: each begins with a fresh form. */
  count: number;
  /** The balloon of the reading before can be filled on to this dose. */
  canFillOn: boolean;
  lengths: Lengths;
  wrong: { code: ReadingProblemCode; field: string } | null;
  onChange: (by: Partial<Draft>) => void;
}

/** What one reading asks for, in the order of the hands: dose, width, shape, how it felt. */
export function ReadingForm({
  shown,
  start,
  draft,
  kind,
  count,
  canFillOn,
  lengths,
  wrong,
  onChange,
}: ReadingFormProps) {
  const { model, sizers } = shown;
  const { step } = DOSE_SCALES[kind];
  return (
    <>
      <Stepper
        label={`${doseUnit(kind)} in all`}
        value={draft.dose}
        shown={doseText(draft.dose, kind)}
        step={step}
        least={step}
        most={MOST_DOSE}
        onChange={(dose) => onChange({ dose: Number(dose.toFixed(3)) })}
      />
      {kind === 'twin' ? (
        <Segmented
          label="Nozzle"
          options={NOZZLES.map((value) => ({ value, title: `${NOZZLE_WORDS[value]} nozzle` }))}
          value={draft.nozzle}
          onChange={(nozzle) => onChange({ nozzle })}
        />
      ) : null}
      {canFillOn ? (
        <Segmented
          label="Which balloon"
          options={BALLOON_OPTIONS}
          value={draft.fresh ? 'fresh' : 'on'}
          onChange={(value) => onChange({ fresh: value === 'fresh' })}
        />
      ) : null}
      {draft.outcome === 'burst' ? (
        <Words look="quiet">A burst keeps its dose and no width. Collect the pieces at once.</Words>
      ) : (
        <>
          <WidthEntry
            draft={draft}
            nominalMm={model.nominalMm}
            lengths={lengths}
            sizers={sizers}
            wrong={wrong}
            onChange={onChange}
          />
          <ShapeEntry
            key={count}
            draft={draft}
            lengths={lengths}
            wrong={wrong?.field === 'heightMm'}
            onChange={onChange}
          />
        </>
      )}
      <Labelled label="Felt">
        <Segmented
          label="Felt"
          options={OUTCOMES.map((value) => ({ value, title: OUTCOME_WORDS[value] }))}
          value={draft.outcome}
          onChange={(outcome) => onChange({ outcome })}
        />
      </Labelled>
      <PumpChoice {...shown} start={start} />
      <Words look="quiet">{FILLING_CAUTION}</Words>
    </>
  );
}
