import { createStore, useStore, type StoreApi } from 'zustand';

import { viewOf, type Camera, type View } from './view';
import type { Scene } from './scene';

/**
 * How a piece is looked at, beside React: a hand that turns it changes this many times a second, and only what must
 * follow does.
 */
export type CameraStore = StoreApi<Camera>;

export const cameraStore = (first: Camera): CameraStore => createStore<Camera>(() => first);

/** Some of how a piece is looked at, drawn anew when that changes. */
export function useCamera<Part>(camera: CameraStore, part: (at: Camera) => Part): Part {
  return useStore(camera, part);
}

/** A scene as it is looked at now, in a picture of so many px. */
export function useView(scene: Scene, camera: CameraStore, width: number, height: number): View {
  return viewOf(scene, useStore(camera), width, height);
}
