import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import Rotate from 'lucide-react-native/icons/rotate-3d';
import Again from 'lucide-react-native/icons/refresh-cw';
import { useCallback, useMemo, useState, type ReactNode } from 'react';
import { View as Box } from 'react-native';

import { IconButton } from '@/ui/Button';
import { Segmented } from '@/ui/Segmented';
import { Words } from '@/ui/Words';

import type { Outline } from './balloonRows';
import { cameraStore, useCamera } from './cameraStore';
import { stepsOf, type Scene, type SceneBalloon } from './scene';
import { SpacePicture } from './SpacePicture';
import { TILT, type Camera, type View } from './view';

/** One way that a piece may come out. */
export interface Outcome {
  /** `drawn`, `checked`, `eye`, `rest`. */
  value: string;
  title: string;
  /** It comes out so every time. */
  always?: boolean | undefined;
  /** The piece as it came out once: the same seed is the same time. */
  scene: (seed: number) => Scene;
  /** That in words. */
  text: (scene: Scene) => string;
}

interface BuiltPictureProps {
  label: string;
  height: number | ((width: number) => number);
  /** As it is drawn up, and as it may come out. */
  scene: Scene;
  outcomes: readonly Outcome[];
  first: Camera;
  /** One step of its building, in words: "Layer 3 of 8: 2 kelp, 2 foam". */
  stepText: (step: number, steps: number) => string;
  /** How that step is done: how it is turned, where it is locked, what goes wrong there. */
  howText: (step: number, steps: number) => string;
  /** All of it, in words: "All 8 layers". */
  allText: (steps: number) => string;
  /** What a balloon's outline says while the piece is seen as it is drawn up. */
  outlineOf: (balloon: SceneBalloon, i: number) => Outline;
  onTap: (balloon: number) => void;
  marks?: ((view: View) => ReactNode) | undefined;
  grips?: ((view: View) => ReactNode) | undefined;
}

const DRAWN = 'drawn';
/** From here on a piece is seen from above; and how it is seen from its side, radians. */
const STEEP = 0.9;
const LEVEL = 0.1;

/** A piece in space, step by step as it is built, and as it comes out in this artist's hands. */
export function BuiltPicture(props: BuiltPictureProps) {
  const { scene: drawn, outcomes, first, stepText, howText, allText, outlineOf, onTap, ...picture } = props;
  const [camera] = useState(() => cameraStore(first));
  const [step, setStep] = useState<number | null>(null);
  const [seen, setSeen] = useState(DRAWN);
  const [seed, setSeed] = useState(1);
  const outcome = outcomes.find(({ value }) => value === seen);
  const scene = useMemo(() => outcome?.scene(seed) ?? drawn, [outcome, seed, drawn]);
  const steps = stepsOf(scene);
  const above = useCamera(camera, ({ tilt }) => tilt > STEEP);
  const at = step === null ? null : Math.min(step, steps - 1);
  // Of a piece that is seen step by step, what is put on now stands out.
  const outline = useCallback(
    (balloon: SceneBalloon, i: number): Outline =>
      at === null ? outlineOf(balloon, i) : balloon.step === at ? 'chosen' : 'none',
    [at, outlineOf],
  );
  return (
    <>
      <SpacePicture
        {...picture}
        scene={scene}
        camera={camera}
        first={first}
        built={at === null ? Infinity : at + 1}
        facingStep={at}
        outlineOf={outline}
        onTap={onTap}
        tools={
          <Box className="gap-2">
            <Box role="group" aria-label="Building order" className="min-h-[44px] flex-row items-center gap-2">
              {steps > 1 ? (
                <IconButton
                  label="One step back"
                  icon={ChevronLeft}
                  disabled={at === 0}
                  onPress={() => setStep(at === null ? steps - 1 : at - 1)}
                />
              ) : null}
              <Words look="label" className="flex-1 text-center" aria-live="polite">
                {at === null ? allText(steps) : stepText(at, steps)}
              </Words>
              {steps > 1 ? (
                <IconButton
                  label={at === null ? 'From the first step' : 'One step on'}
                  icon={ChevronRight}
                  onPress={() => setStep(at === null ? 0 : at === steps - 1 ? null : at + 1)}
                />
              ) : null}
              <IconButton
                label={above ? 'From the side' : 'From above'}
                icon={Rotate}
                onPress={() => camera.setState({ tilt: above ? LEVEL : TILT.most })}
              />
            </Box>
            {at === null ? null : (
              <Words look="quiet" className="text-center">
                {howText(at, steps)}
              </Words>
            )}
            {outcomes.length > 0 ? (
              <Box className="flex-row items-center gap-2">
                <Box className="flex-1">
                  <Segmented
                    label="Seen"
                    options={[{ value: DRAWN, title: 'As drawn' }, ...outcomes]}
                    value={outcome ? seen : DRAWN}
                    onChange={setSeen}
                  />
                </Box>
                {outcome && !outcome.always ? (
                  <IconButton label="Build it once more" icon={Again} onPress={() => setSeed(seed + 1)} />
                ) : null}
              </Box>
            ) : null}
            {outcome ? (
              <Words look="quiet" role="status">
                {outcome.text(scene)}
              </Words>
            ) : null}
          </Box>
        }
      />
      {outcomes.every(({ always }) => always) ? (
        <Words look="quiet">
          Measure a batch, or test your eye: then it is also shown as it comes out in your hands.
        </Words>
      ) : null}
    </>
  );
}
