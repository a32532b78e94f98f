import { roundToStep, type SizeSpread } from '@leggero/core';
import { checkSpread, TRIALS, type SimulatedPiece } from '@leggero/core/building';
import { useState } from 'react';
import { View } from 'react-native';

import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { NumberField } from '@/ui/NumberField';
import { Progress } from '@/ui/Progress';
import { useOnScreen } from '@/ui/useOnScreen';
import { Words } from '@/ui/Words';
import { allowedText, exactProblemText, exactText } from '@/wording/exact';

import { ExactWays, type GhostOf } from './ExactWays';
import { MmField } from './Fields';
import { packingOf } from './material';
import type { PieceBasis } from './useBasis';
import { useExact } from './useExact';

interface ExactCardProps {
  piece: SimulatedPiece;
  /** How many of it are made. */
  copies: number;
  basis: PieceBasis;
  /** What its height is called where it lies or hangs. */
  along?: 'Height' | 'Length';
  /** What is seen of it over the drawing, null while nothing is; unset where the drawing shows none. */
  ghost?: GhostOf | null;
  onGhost?: (ghost: GhostOf | null) => void;
}

const USUAL_TRIALS = 10_000;
/** Someone who chooses begins with a spread between a sizer’s and an eye’s, a share. */
const FIRST_CHOSEN = 0.03;

/** Must every balloon be sized? The piece built again and again by eye, by sizer, with every balloon checked. */
export function ExactCard({ piece, copies, along = 'Height', basis, ghost = null, onGhost }: ExactCardProps) {
  const { lengths } = basis;
  const meanMm = meanWidthOf(piece);
  const [chosenSd, setChosenSd] = useState(
    () => roundToStep({ mm: 2 * FIRST_CHOSEN * meanMm, step: basis.lengths.stepMm }) / (2 * meanMm),
  );
  const [trials, setTrials] = useState(USUAL_TRIALS);
  const chosen: SizeSpread = { lean: 0, sd: chosenSd };
  const possible = checkSpread(chosen);
  const { packing } = packingOf(basis);
  // A phone does not build pieces ten thousand times for a card that nobody looks at.
  const { place, onScreen } = useOnScreen();
  const asked = useExact({ piece, packing, chosen: possible.ok ? chosen : null, trials }, onScreen);
  const { answer, last } = asked;
  const now = answer !== null && answer !== 'failed' && answer.ok ? answer.value : null;
  // While another question is worked on, what is looked at stays where it is.
  const exact = now ?? (last?.ok ? last.value : null);
  return (
    <Card title="How exact must it be?">
      <View ref={place} className="gap-3">
        {now ? (
          <View>
            <Words look="strong" role="status">
              {exactText(now)}
            </Words>
            <Words look="quiet">{allowedText(now, meanMm, lengths)}</Words>
          </View>
        ) : onScreen ? (
          <Waiting asked={asked} trials={trials} />
        ) : null}
        {exact ? (
          <ExactWays
            exact={exact}
            own={asked.own}
            {...{ meanMm, copies, along, basis, ghost, onGhost }}
            field={
              <MmField
                label="Nearly all within, either way"
                hint={`95 of 100 balloons, at ${lengths.text(meanMm)}.`}
                value={2 * chosenSd * meanMm}
                width
                basis={basis}
                error={possible.ok ? undefined : exactProblemText(possible.problem)}
                onChange={(mm) => setChosenSd(mm / (2 * meanMm))}
              />
            }
          />
        ) : null}
        <NumberField
          label="Pieces built to find out"
          value={trials}
          range={{ ...TRIALS, error: exactProblemText({ code: 'bad-trials', detail: TRIALS }) }}
          onChange={(many) => setTrials(Math.round(many))}
        />
      </View>
    </Card>
  );
}

const meanWidthOf = ({ layers }: SimulatedPiece): number =>
  layers.reduce((sum, { count, widthMm }) => sum + count * widthMm, 0) /
  layers.reduce((sum, { count }) => sum + count, 0);

function Waiting({ asked, trials }: { asked: ReturnType<typeof useExact>; trials: number }) {
  const { answer, share, stopped, stop, again } = asked;
  if (answer === 'failed') return <Words look="error">It could not be worked out here. Load the page again.</Words>;
  if (answer) return <Words look="error">{answer.ok ? '' : exactProblemText(answer.problem)}</Words>;
  if (stopped) return <Button title="Build them after all" onPress={again} />;
  return (
    <View className="gap-2">
      <Progress label={`Building ${trials.toLocaleString('en')} by each way`} share={share} />
      <Button title="Stop" onPress={stop} />
    </View>
  );
}
