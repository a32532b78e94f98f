/** A moment as records have it, from milliseconds since 1970. */
export function isoAt(ms: number): string {
  return new Date(ms).toISOString();
}
