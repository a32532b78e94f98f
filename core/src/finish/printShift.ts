import { bodyVolumeL, widthForVolumeMm } from '../balloon';
import { TRADE, type Trade } from '../trade';

/** What rounding off does to a print. */
export interface PrintShift {
  /** Width after rounding, mm. */
  widthMm: number;
  /** The print's size across after against before. */
  growth: number;
  /** How far its middle lies below the crown, before and after, mm. */
  beforeMm: number;
  afterMm: number;
}

/**
 * Pressing crown against neck makes the same air rounder: the body goes from its aspect to `roundedAspect`, and a
 * print grows with the width there and comes nearer the crown's level (common practice: prints grow and sharpen when
 * air is pushed into the crown). The skin stays where it is: the print's middle keeps its share of the way from crown
 * to neck (`TRADE.printNoted`), on a spheroid.
 */
export function printShift({
  widthMm,
  heightMm,
  roundedAspect = 1,
  trade = TRADE,
}: {
  widthMm: number;
  heightMm: number;
  roundedAspect?: number;
  trade?: Trade | undefined;
}): PrintShift {
  const aspect = Math.min(roundedAspect, heightMm / widthMm);
  const afterWidthMm = widthForVolumeMm({ volumeL: bodyVolumeL({ widthMm, heightMm }), aspect });
  const down = (1 - Math.cos(Math.PI * trade.printNoted)) / 2;
  return {
    widthMm: afterWidthMm,
    growth: afterWidthMm / widthMm,
    beforeMm: heightMm * down,
    afterMm: afterWidthMm * aspect * down,
  };
}
