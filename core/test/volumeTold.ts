import { bodyVolumeL, volumeAtL, type Reading, type ShapeLaw } from '../src';

/**
 * The volume of a reading, and what a millimetre of its width and of its height and a share of all of it are worth
 * there, litres: by differences. Without a height the body is as a law has it; a balloon that is larger than its like
 * is so in all directions where both were measured.
 */
export function volumeTold({ widthMm = NaN, heightMm }: Pick<Reading, 'widthMm' | 'heightMm'>, law: ShapeLaw) {
  const at = (wider: number, taller: number) =>
    heightMm === undefined
      ? volumeAtL({ law, widthMm: widthMm + wider })
      : bodyVolumeL({ widthMm: widthMm + wider, heightMm: heightMm + taller });
  const step = 1e-4;
  const volumeL = at(0, 0);
  const perWidthMm = (at(step, 0) - at(-step, 0)) / (2 * step);
  const perHeightMm = (at(0, step) - at(0, -step)) / (2 * step);
  return { volumeL, perWidthMm, perHeightMm, perShare: heightMm === undefined ? widthMm * perWidthMm : 3 * volumeL };
}
