/** The look of one of several: chosen, or not. */
export function chosenBox(chosen: boolean): string {
  return chosen ? 'border-pine bg-pine-wash' : 'border-line bg-surface';
}
