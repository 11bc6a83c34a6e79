/** The worker that solves a chart as it could be; a screen that tries something has one of its own. */
export const trialsWorker = () =>
  new Worker(new URL('../workers/trials.worker.ts', import.meta.url), { type: 'module' })
