import { useEffect, useEffectEvent, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import Svg from 'react-native-svg';

import { FillScreen } from '@/ui/FillScreen';
import { glide, reducedMotion } from '@/ui/glide';
import { Picture } from '@/ui/Picture';

import type { Outline } from './balloonRows';
import { useView, type CameraStore } from './cameraStore';
import { balloonAt } from './balloonAt';
import { between, facing } from './facing';
import { byKey, Hands } from './Hands';
import { drawsInSpace } from './hardware';
import { Room } from './Room';
import type { Scene, SceneBalloon } from './scene';
import { SpaceCanvas } from './SpaceCanvas';
import { StillSpace } from './StillSpace';
import { usePrinting } from './usePrinting';
import { viewOf, type Camera, type View } from './view';

interface SpacePictureProps {
  /** The same in words. */
  label: string;
  scene: Scene;
  /** As high as it is on its page, px; what it comes to may follow from the width. */
  height: number | ((width: number) => number);
  /** How it is looked at, and at first. */
  camera: CameraStore;
  first: Camera;
  /** Steps that are built so far; all of them where absent. */
  built?: number;
  outlineOf: (balloon: SceneBalloon, i: number) => Outline;
  onTap: (balloon: number) => void;
  /** Drawn over it, and what of that answers to hands. */
  marks?: ((view: View) => ReactNode) | undefined;
  grips?: ((view: View) => ReactNode) | undefined;
  /** The step that is built now: it is turned to. null while all of it is seen. */
  facingStep?: number | null;
  tools?: ReactNode;
}

const OVER = { position: 'absolute', pointerEvents: 'none' } as const;

/**
 * What is built of balloons, in space and to scale: turned by fingers, mouse and keys, tapped for a balloon's target,
 * and over the whole screen for a client. Where that cannot be drawn, and on paper, a still drawing from the same places
 * stands in.
 */
export function SpacePicture({ label, height, tools, ...drawn }: SpacePictureProps) {
  return (
    <FillScreen title={label} once tools={tools}>
      {(whole) => <Drawn {...drawn} label={label} height={whole ?? height} whole={whole !== null} />}
    </FillScreen>
  );
}

function Drawn(props: Omit<SpacePictureProps, 'tools'> & { whole: boolean }) {
  const { label, scene, height, camera, first, built = Infinity, facingStep = null, whole } = props;
  const { outlineOf, onTap, marks, grips } = props;
  const printing = usePrinting();
  // Not known before it has tried.
  const [drawing, setDrawing] = useState<boolean | null>(null);
  const tries = drawing !== false && !printing && drawsInSpace(scene);
  const inSpace = drawing === true && tries;
  return (
    <Picture
      label={label}
      height={height}
      framed={!whole}
      root={{
        tabIndex: 0,
        onKeyDown: (event: KeyboardEvent) => {
          const { key, shiftKey, ctrlKey, metaKey, altKey } = event;
          const next = ctrlKey || metaKey || altKey ? null : byKey(camera.getState(), first, key, shiftKey);
          if (!next) return;
          event.preventDefault();
          camera.setState(next);
        },
      }}
      over={(width, high) => (
        <>
          {tries ? (
            <SpaceCanvas {...{ scene, camera, width, built, outlineOf }} height={high} onDrawing={setDrawing} />
          ) : null}
          <Facing {...{ scene, camera, first, width, high }} step={facingStep} glides={inSpace} />
          {marks ? (
            <Svg width={width} height={high} style={OVER}>
              <Viewed {...{ scene, camera, width, high }}>{marks}</Viewed>
            </Svg>
          ) : null}
          <Hands
            camera={camera}
            whole={whole}
            onTap={(x, y) => {
              const hit = balloonAt(scene, viewOf(scene, camera.getState(), width, high), x, y, built);
              if (hit !== null) onTap(hit);
            }}
          />
          {grips ? <Viewed {...{ scene, camera, width, high }}>{grips}</Viewed> : null}
        </>
      )}
    >
      {(width, high) =>
        inSpace ? null : (
          <Viewed {...{ scene, camera, width, high }}>
            {(view) => (
              <>
                <Room scene={scene} view={view} />
                <StillSpace {...{ scene, view, built, outlineOf }} />
              </>
            )}
          </Viewed>
        )
      }
    </Picture>
  );
}

interface FacingProps {
  scene: Scene;
  camera: CameraStore;
  first: Camera;
  step: number | null;
  width: number;
  high: number;
  /** Whether it can be drawn many times a second. */
  glides: boolean;
}

/** Turns a piece to the step that is built, and back as it was at first once all of it is seen. */
function Facing({ scene, camera, first, step, width, high, glides }: FacingProps) {
  const turned = useRef(false);
  const turn = useEffectEvent(() => {
    if (step === null && !turned.current) return undefined;
    turned.current = step !== null;
    const from = camera.getState();
    const to = step === null ? first : facing(scene, step, first, width, high);
    const arrive = () => camera.setState(to);
    if (!glides || reducedMotion()) return arrive();
    return glide((share) => camera.setState(between(from, to, share)), arrive);
  });
  useEffect(() => turn(), [step]);
  return null;
}

interface ViewedProps {
  scene: Scene;
  camera: CameraStore;
  width: number;
  high: number;
  children: (view: View) => ReactNode;
}

/** What follows every move of the camera. */
function Viewed({ scene, camera, width, high, children }: ViewedProps) {
  return children(useView(scene, camera, width, high));
}
