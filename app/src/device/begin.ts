/** The address that the app was opened by in this tab. */
export const OPENED_AT: string =
  typeof window === 'undefined' ? '/' : window.location.pathname + window.location.search;

let begun = false;

/** Begins the app anew, for whoever this device is for from now on. */
export function beginAnew(address: string): void {
  begun = true;
  // A browser may keep the page as it was for its way back: what it shows is not for whoever comes now.
  window.addEventListener('pageshow', ({ persisted }) => {
    if (persisted) window.location.reload();
  });
  window.location.assign(address);
}

/** Whether the page that is still shown is on its way out. */
export const isBegun = (): boolean => begun;
