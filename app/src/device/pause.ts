/** Waits so long, or until one of the signals ends. */
export function pause(ms: number, ...signals: readonly AbortSignal[]): Promise<void> {
  return new Promise((resolve) => {
    const timer = setTimeout(done, ms);
    function done(): void {
      clearTimeout(timer);
      for (const signal of signals) signal.removeEventListener('abort', done);
      resolve();
    }
    for (const signal of signals) signal.addEventListener('abort', done);
    if (signals.some(({ aborted }) => aborted)) done();
  });
}
