/** A moment as a day of the year: "5 Oct", as the device's language has it. */
export function dayText(instant: string): string {
  return new Date(instant).toLocaleDateString(undefined, { day: 'numeric', month: 'short' });
}
