/** Work at which balloons are lost: in filling, and from then on until the piece stands. */
export const LOSS_WORKS = ['inflate', 'build'] as const;
export type LossWork = (typeof LOSS_WORKS)[number];

/** What happened to a stock of one balloon. */
export const STOCK_CHANGES = ['bought', 'counted', 'out', 'back', 'spoiled'] as const;
export type StockChange = (typeof STOCK_CHANGES)[number];

/** The most of a price that may be margin, as a share. */
export const MOST_MARGIN = 0.9;
