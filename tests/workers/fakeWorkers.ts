import type { WorkerLike } from '../../src/workers/workerLike'

/** Workers that only remember what they were asked, in place of real ones. */
export function fakeWorkers<To, From>() {
  const workers: (WorkerLike<To, From> & { asked: To[]; ended: boolean })[] = []
  const make = () => {
    const worker = { asked: [] as To[], ended: false, onmessage: null, onerror: null } as (typeof workers)[number]
    worker.postMessage = (message) => worker.asked.push(message)
    worker.terminate = () => (worker.ended = true)
    workers.push(worker)
    return worker
  }
  return { workers, make }
}
