/** A worker that packs garlands. */
export const openGarlandWorker = () => new Worker(new URL('./garland.worker', window.location.href));
