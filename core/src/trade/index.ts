export { numberAt, tradeWith, type OwnNumber } from './ownTrade';
export { TRADE, type Trade } from './trade';
export { sameIn, watchedTrade } from './watchedTrade';
