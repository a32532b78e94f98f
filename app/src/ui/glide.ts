const DURATION_MS = 280;

/** Whether motion is unwelcome on this device. */
export function reducedMotion(): boolean {
  return typeof matchMedia === 'function' && matchMedia('(prefers-reduced-motion: reduce)').matches;
}

/**
 * Shows every frame of a movement, by the share of it that is done, eased out; then calls `arrive`. What comes back ends
 * it on the way.
 */
export function glide(show: (share: number) => void, arrive: () => void): () => void {
  const start = performance.now();
  let frame = requestAnimationFrame(function next(now) {
    const part = Math.min(1, Math.max(0, (now - start) / DURATION_MS));
    if (part === 1) return arrive();
    show(1 - (1 - part) ** 3);
    frame = requestAnimationFrame(next);
  });
  return () => cancelAnimationFrame(frame);
}
