import type { FinishedGarland } from '@leggero/contract';
import { useMemo, useState } from 'react';

import { useTrade } from '@/data/trade';
import { LengthField } from '@/parts/LengthField';
import { openGarlandWorker } from '@/parts/piece/openGarlandWorker';
import { finishedClusters, type LearnQuestion } from '@/parts/piece/softness';
import type { LearnAnswer } from '@/parts/piece/useSoftness';
import { useAsked, useSameFigures } from '@/parts/useAsked';
import { Button } from '@/ui/Button';
import { Words } from '@/ui/Words';
import type { Lengths } from '@/views/lengths';

interface FinishedFormProps {
  /** What is tied along it, as it would be kept. */
  made: Pick<FinishedGarland, 'kinds' | 'clusters'>;
  lengths: Lengths;
  onKeep: (lengthMm: number) => void;
}

/** How long a garland came out: how soft its packing is learned from it. */
export function FinishedForm({ made, lengths, onKeep }: FinishedFormProps) {
  const trade = useTrade();
  const [lengthMm, setLengthMm] = useState<number | null>(null);
  const [asked, setAsked] = useState(false);
  const kept = lengthMm === null ? null : { ...made, lengthMm };
  const figures = useSameFigures(kept);
  // What nobody's garland of these clusters is as long as teaches nothing: it is a slip of the tape, or another garland.
  const question = useMemo(
    (): LearnQuestion | null => figures && { garlands: finishedClusters([{ ...figures, id: '', takenAt: '' }]), trade },
    [figures, trade],
  );
  const { answer } = useAsked<LearnQuestion, LearnAnswer>(openGarlandWorker, question);
  const problem = answer && answer !== 'failed' && !answer.ok ? answer.problem : null;
  const wrong = () => {
    if (lengthMm === null) return asked ? 'How long it is from its first balloon to its last.' : undefined;
    if (problem?.code !== 'implausible-length') return undefined;
    const { leastMm, mostMm } = problem.detail;
    return `Clusters like these come out ${lengths.text(leastMm)} to ${lengths.text(mostMm)} long.`;
  };
  const keep = () => {
    setAsked(true);
    if (kept && !problem) onKeep(kept.lengthMm);
  };
  return (
    <>
      <Words>
        Lay it along the floor as it hangs, pushed on until nothing rattles, and measure along it from its first balloon
        to its last. What is tied over it, or glued on, does not count.
      </Words>
      <LengthField
        label="Length along it"
        long
        value={lengthMm}
        lengths={lengths}
        error={wrong()}
        onChange={setLengthMm}
      />
      <Button
        title={lengthMm !== null && answer === null ? 'Looking whether that can be' : 'Keep this measure'}
        look="primary"
        tall
        disabled={lengthMm !== null && answer === null}
        onPress={keep}
      />
    </>
  );
}
