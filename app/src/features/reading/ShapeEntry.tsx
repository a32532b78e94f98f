import { SHAPES } from '@leggero/core';
import { useState } from 'react';

import type { Lengths } from '@/views/lengths';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Field';
import { LengthEntry } from '@/parts/LengthEntry';
import { Segmented } from '@/ui/Segmented';
import { SHAPE_WORDS } from '@/wording/trade';

import type { Draft } from './draft';

interface ShapeEntryProps {
  draft: Draft;
  lengths: Lengths;
  wrong: boolean;
  onChange: (by: Partial<Draft>) => void;
}

/** The shape: told in one of three words, or by the height measured. Between two holes only told. */
export function ShapeEntry({ draft, lengths, wrong, onChange }: ShapeEntryProps) {
  const [asked, setTall] = useState(false);
  const holes = draft.way === 'bracket';
  const tall = asked && !holes;
  return (
    <>
      {tall ? (
        <LengthEntry
          label="Height, crown to neck"
          value={draft.heightMm ?? draft.widthMm}
          least={0.5 * draft.widthMm}
          most={2.5 * draft.widthMm}
          lengths={lengths}
          error={wrong ? 'A balloon of this width cannot be that high.' : undefined}
          onChange={(heightMm) => onChange({ heightMm })}
        />
      ) : (
        <Labelled label="Shape">
          <Segmented
            label="Shape"
            options={SHAPES.map((value) => ({ value, title: SHAPE_WORDS[value] }))}
            value={draft.shape}
            onChange={(shape) => onChange({ shape })}
          />
        </Labelled>
      )}
      {holes ? null : (
        <Button
          title={tall ? 'Give the shape instead' : 'Measure the height instead'}
          look="plain"
          onPress={() => {
            setTall(!tall);
            onChange({ heightMm: tall ? null : draft.widthMm, shape: null });
          }}
        />
      )}
    </>
  );
}
