/** Whether a host is this very machine: a name or an address that no other one is reached by. */
export const isLoopback = (host: string): boolean =>
  host === 'localhost' || host === '::1' || /^127(\.\d+){3}$/.test(host);
