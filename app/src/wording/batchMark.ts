/** The mark of a batch, as it is written on its bags: A to Z, then AA. */
export function batchMark(at: number): string {
  const letter = String.fromCharCode(65 + (at % 26));
  return at < 26 ? letter : `${batchMark(Math.floor(at / 26) - 1)}${letter}`;
}
