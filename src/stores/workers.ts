import { defineStore } from 'pinia'
import { markRaw, onScopeDispose } from 'vue'
import { Newest } from '../workers/newest'
import { WorkerPool } from '../workers/pool'

export const newWorker = () => new Worker(new URL('../workers/job.worker.ts', import.meta.url), { type: 'module' })

/** Number of workers in the pool: one a core, at least 2 and at most 6. */
const SIZE = Math.max(2, Math.min(6, typeof navigator === 'undefined' ? 2 : navigator.hardwareConcurrency))

/** The background workers that all screens share; a chart's figures have one of their own beside them. */
export const useWorkers = defineStore('workers', () => ({ pool: markRaw(new WorkerPool(newWorker, SIZE)) }))

/** One question at a time of a screen's own, which stops when the screen goes. */
export function useNewest(): Newest {
  const newest = new Newest(useWorkers().pool)
  onScopeDispose(() => newest.stop())
  return newest
}
