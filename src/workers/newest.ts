import type { Chart } from '../core/chart/chart'
import type { Result } from '../core/problem'
import type { AskEvents, Asked } from './client'
import type { Answer, Question } from './jobs'

/** Who can be asked: a worker's client, or a pool. */
export interface Asks {
  ask: <Q extends Question>(question: Q, chart?: Chart, events?: AskEvents<Q>) => Asked<Q>
}

/** One question at a time: a newer one stops the older. */
export class Newest {
  private asked: { stop: () => void } | null = null

  constructor(private readonly to: Asks) {}

  /** The answer; or why there is none; or null where it was stopped, or a newer question was asked. */
  async ask<Q extends Question>(question: Q, chart?: Chart, events?: AskEvents<Q>): Promise<Result<Answer<Q>> | null> {
    this.stop()
    const asked = this.to.ask(question, chart, events)
    this.asked = asked
    const answer = await asked.answer
    if (this.asked !== asked) return null
    this.asked = null
    return answer
  }

  stop(): void {
    this.asked?.stop()
    this.asked = null
  }
}
