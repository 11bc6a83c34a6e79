import type { Chart } from '../core/chart/chart'
import { WorkerClient, type AskEvents, type Asked, type ClientTimer } from './client'
import type { Question } from './jobs'
import type { WorkerLike } from './workerLike'

/** Several workers that share what is asked: each question goes to the one that has the least to do. */
export class WorkerPool {
  private readonly clients: readonly WorkerClient[]

  /** `size`: how many workers at the most; one is begun when it is first needed. */
  constructor(
    makeWorker: () => WorkerLike,
    readonly size: number,
    timer?: ClientTimer,
  ) {
    this.clients = Array.from({ length: size }, () => new WorkerClient(makeWorker, timer))
  }

  ask<Q extends Question>(question: Q, chart?: Chart, events?: AskEvents<Q>): Asked<Q> {
    const idlest = this.clients.reduce((least, client) => (client.load < least.load ? client : least))
    return idlest.ask(question, chart, events)
  }
}
