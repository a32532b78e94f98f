import { STEP_MM } from '@leggero/core';
import type { OneWrong } from '@leggero/core/linking';
import { View } from 'react-native';

import type { Lengths } from '@/views/lengths';
import { Card } from '@/ui/Card';
import { Chip } from '@/ui/Chip';
import { Stepper } from '@/ui/Stepper';
import { Words } from '@/ui/Words';
import { CLOSING_WORDS, oneWrongText } from '@/wording/linking';

interface PullCardProps {
  offMm: number;
  /** None for a balloon that is in no ring. */
  wrong: OneWrong | null;
  /** How far it moves for it, mm. */
  movedMm: number;
  tie: boolean;
  lengths: Lengths;
  onOff: (mm: number) => void;
}

/** An inch off is a balloon for another layer. */
const MOST_STEPS = 8;

/** The tapped balloon pulled off its size: what its ring does. */
export function PullCard({ offMm, wrong, movedMm, tie, lengths, onOff }: PullCardProps) {
  const step = lengths.unit === 'in' ? STEP_MM.eighthInch : 2 * STEP_MM.millimetre;
  const steps = Math.round(offMm / step);
  const shown = steps === 0 ? 'exact' : `${steps > 0 ? '+' : '−'}${lengths.text(Math.abs(offMm))}`;
  return (
    <Card title="If this one is off">
      <View className="gap-3">
        <Stepper
          label="this balloon alone"
          value={steps}
          shown={shown}
          step={1}
          least={-MOST_STEPS}
          most={MOST_STEPS}
          onChange={(to) => onOff(to * step)}
        />
        {wrong ? (
          <View role="status" className="gap-1">
            <Chip {...CLOSING_WORDS[wrong.state]} />
            <Words>{oneWrongText(wrong, movedMm, lengths.text, lengths.fine)}</Words>
            <Words look="quiet">
              {`The others exact, it may be ${lengths.fine(wrong.mostMm.large)} too large or ` +
                `${lengths.fine(wrong.mostMm.small)} too small.`}
            </Words>
          </View>
        ) : (
          <Words look="quiet">
            {tie
              ? 'It fills a gap: too small it hangs loose, too large it pushes its neighbours apart.'
              : 'It stands on the inner spoke balloon and holds up the ring: off its size the ring sits askew.'}
          </Words>
        )}
      </View>
    </Card>
  );
}
