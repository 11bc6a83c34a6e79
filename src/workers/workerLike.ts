import type { FromWorker, ToWorker } from './protocol'

/** The part of a Worker that is used; tests stand in for it. */
export interface WorkerLike {
  postMessage: (message: ToWorker) => void
  terminate: () => void
  onmessage: ((event: MessageEvent<FromWorker>) => void) | null
  onerror: ((event: ErrorEvent) => void) | null
  onmessageerror: ((event: MessageEvent) => void) | null
}
