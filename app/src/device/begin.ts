/** The address that the app was opened by in this tab. */
export const OPENED_AT: string =
  typeof window === 'undefined' ? '/' : window.location.pathname + window.location.search;

/** Begins the app anew, for whoever this device is for from now on. */
export function beginAnew(address: string): void {
  window.location.assign(address);
}
