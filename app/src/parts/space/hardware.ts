import type { Scene } from './scene';

/** Whether a browser can draw in space at all. */
const HAS_SPACE = 'WebGL2RenderingContext' in globalThis;
/** Without graphics hardware more balloons than this are drawn more quickly in strokes. */
const MOST_SOFT = 1000;

/** What draws without hardware calls itself. */
const SOFT = /swiftshader|llvmpipe|software|basic render/i;

let hardware: boolean | undefined;

/** Whether there is graphics hardware that draws in space; asked once. */
export function hasHardware(): boolean {
  if (hardware !== undefined) return hardware;
  const context = document.createElement('canvas').getContext('webgl2');
  const named = context?.getExtension('WEBGL_debug_renderer_info')?.UNMASKED_RENDERER_WEBGL;
  hardware = context !== null && !SOFT.test(String(context.getParameter(named ?? context.RENDERER)));
  // Browsers keep few of them.
  context?.getExtension('WEBGL_lose_context')?.loseContext();
  return hardware;
}

/** Whether a scene is drawn in space in this browser; else it is a still drawing. */
export const drawsInSpace = ({ balloons }: Pick<Scene, 'balloons'>): boolean =>
  HAS_SPACE && (balloons.length <= MOST_SOFT || hasHardware());
