/** A worker that works pieces out, and draws them. */
export const openPieceWorker = () => new Worker(new URL('./piece.worker', window.location.href));
