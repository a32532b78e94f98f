import { useState } from 'react';

import { LengthField } from '@/parts/LengthField';
import { Button } from '@/ui/Button';
import { Words } from '@/ui/Words';
import type { Lengths } from '@/views/lengths';

interface BuiltFormProps {
  label: string;
  /** From where to where it is measured. */
  how: string;
  drawnMm: number;
  lengths: Lengths;
  onKeep: (builtMm: number) => void;
}

/** What came out lies within these shares of what was drawn; else another piece was measured, or the tape misread. */
const POSSIBLE = { least: 0.5, most: 2 };

/** How large a piece came out. */
export function BuiltForm({ label, how, drawnMm, lengths, onKeep }: BuiltFormProps) {
  const [builtMm, setBuiltMm] = useState<number | null>(null);
  const [asked, setAsked] = useState(false);
  const [leastMm, mostMm] = [POSSIBLE.least * drawnMm, POSSIBLE.most * drawnMm];
  const far = builtMm !== null && !(builtMm >= leastMm && builtMm <= mostMm);
  const wrong = () => {
    if (builtMm === null) return asked ? 'What the tape reads.' : undefined;
    return far
      ? `Drawn ${lengths.long(drawnMm)}, it comes out ${lengths.long(leastMm)} to ${lengths.long(mostMm)}.`
      : undefined;
  };
  const keep = () => {
    setAsked(true);
    if (builtMm !== null && !far) onKeep(builtMm);
  };
  return (
    <>
      <Words>{how}</Words>
      <LengthField label={label} long value={builtMm} lengths={lengths} error={wrong()} onChange={setBuiltMm} />
      <Button title="Keep this measure" look="primary" tall onPress={keep} />
    </>
  );
}
