import { useEffect, useLayoutEffect, useRef, useState } from 'react';

import { useLatest } from '@/ui/useLatest';
import { usePalette } from '@/ui/theme';

import type { Outline } from './balloonRows';
import type { CameraStore } from './cameraStore';
import { hasHardware } from './hardware';
import { paintRoom } from './paintRoom';
import type { Scene, SceneBalloon } from './scene';
import type { Stage } from './stage';
import { viewOf } from './view';

interface SpaceCanvasProps {
  scene: Scene;
  camera: CameraStore;
  /** px. */
  width: number;
  height: number;
  built: number;
  outlineOf: (balloon: SceneBalloon, i: number) => Outline;
  /** It draws; or it cannot, and never will here. */
  onDrawing: (drawing: boolean) => void;
}

/** A scene drawn by the graphics hardware, in front of its room. What draws it comes when it is first wanted. */
export function SpaceCanvas({ scene, camera, width, height, built, outlineOf, onDrawing }: SpaceCanvasProps) {
  const room = useRef<HTMLCanvasElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const [stage, setStage] = useState<Stage | null>(null);
  const palette = usePalette();
  const tell = useLatest(onDrawing);
  useEffect(() => {
    const element = canvas.current!;
    let opened: Stage | null = null;
    let left = false;
    const lost = () => tell.current(false);
    element.addEventListener('webglcontextlost', lost);
    import('./stage').then(
      ({ openStage }) => {
        if (left) return;
        try {
          opened = openStage(element, hasHardware());
          setStage(opened);
        } catch {
          lost();
        }
      },
      // Without a network its code may be missing: the still drawing goes on standing in.
      lost,
    );
    return () => {
      left = true;
      element.removeEventListener('webglcontextlost', lost);
      opened?.close();
    };
  }, [tell]);
  useLayoutEffect(() => stage?.paint(palette), [stage, palette]);
  useLayoutEffect(() => stage?.set(scene, outlineOf), [stage, scene, outlineOf]);
  useLayoutEffect(() => {
    if (!stage) return undefined;
    const context = room.current!.getContext('2d')!;
    let frame = 0;
    const draw = () => {
      frame = 0;
      const view = viewOf(scene, camera.getState(), width, height);
      stage.draw(view, built);
      paintRoom(context, scene, view, palette);
    };
    const sharp = devicePixelRatio;
    [context.canvas.width, context.canvas.height] = [width * sharp, height * sharp];
    context.scale(sharp, sharp);
    draw();
    tell.current(true);
    const forget = camera.subscribe(() => {
      frame ||= requestAnimationFrame(draw);
    });
    return () => {
      forget();
      cancelAnimationFrame(frame);
    };
  }, [stage, scene, outlineOf, camera, width, height, built, palette, tell]);
  const place = { position: 'absolute', left: 0, top: 0, width, height, pointerEvents: 'none' } as const;
  return (
    <>
      <canvas ref={room} aria-hidden style={place} />
      <canvas ref={canvas} aria-hidden style={place} />
    </>
  );
}
