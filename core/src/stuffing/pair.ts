/** What every list that shows pairs needs; the rest of stuffing is an entry of its own. */
export * from './pairTarget';
export * from './stuffedCurve';
