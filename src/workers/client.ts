import { changedSince } from '../core/chart/changes'
import type { Chart } from '../core/chart/chart'
import { present } from '../core/sure'
import { failure, messageOf, success, type Problem, type Result } from '../core/problem'
import type { Answer, Part, Question } from './jobs'
import type { FromWorker } from './protocol'
import type { WorkerLike } from './workerLike'

/** What is heard of a question before its answer. */
export interface AskEvents<Q extends Question> {
  /** How far it is, 0 to 1. */
  progress?: (share: number) => void
  part?: (part: Part<Q>) => void
}

/** A question that was asked. */
export interface Asked<Q extends Question> {
  /** The answer; or why there is none; or null once it was stopped. Never rejects. */
  readonly answer: Promise<Result<Answer<Q>> | null>
  /** The answer is no longer wanted. */
  stop: () => void
}

interface Pending {
  question: Question
  chart: Chart | undefined
  /** Whether a worker has died over it before. */
  isAskedAgain: boolean
  progress: (share: number) => void
  part: (part: Part<Question>) => void
  end: (answer: Result<Answer<Question>> | null) => void
}

/** What the client takes from the world; passed in, so that tests can stand in for it. */
export interface ClientTimer {
  later: (run: () => void, ms: number) => () => void
}

/** How long a worker may go on with something that nobody wants any more, before it is ended and a new one begun. */
const PATIENCE_MS = 1200
/** How long a worker that has something to do may say nothing before it counts as dead. */
const SILENCE_MS = 20_000

/**
 * The page's side of one worker: keeps tickets, sends of a chart only what the worker does not know yet, and begins a
 * new worker after one has died, falls silent or does not stop. Questions asked at the same time are worked on side by
 * side; what a worker dies over is asked once more.
 */
export class WorkerClient {
  private worker: WorkerLike | null = null
  /** The chart as the worker has it. */
  private known: Chart | null = null
  private ticket = 0
  private readonly pending = new Map<number, Pending>()
  /** Tickets that were stopped, of which the worker has not said yet that it has heard; each with its time-out. */
  private readonly stopping = new Map<number, () => void>()
  private endSilence: () => void = () => undefined

  constructor(
    private readonly makeWorker: () => WorkerLike,
    private readonly timer: ClientTimer = { later },
  ) {}

  /** How many questions are worked on. */
  get load(): number {
    return this.pending.size
  }

  /** `chart`: the one that the question is about, where it is about one. */
  ask<Q extends Question>(question: Q, chart?: Chart, events: AskEvents<Q> = {}): Asked<Q> {
    const ticket = ++this.ticket
    const answer = new Promise<Result<Answer<Q>> | null>((resolve) => {
      this.pending.set(ticket, {
        ...{ question, chart, isAskedAgain: false },
        progress: (share) => events.progress?.(share),
        part: (part) => events.part?.(part),
        end: (found) => resolve(found),
      })
    })
    this.post(ticket)
    return { answer, stop: () => this.stop(ticket) }
  }

  /** Sends a pending question to the worker, which is begun where there is none. */
  private post(ticket: number): void {
    const { question, chart } = present(this.pending.get(ticket))
    try {
      const worker = this.running()
      const news = chart && { chart: this.known ? { changed: changedSince(this.known, chart) } : { whole: chart } }
      if (chart) this.known = chart
      worker.postMessage({ kind: 'ask', ticket, question, ...news })
      this.waitForWord()
    } catch (error) {
      // The chart was not taken in either.
      this.died(messageOf(error))
    }
  }

  /** Ends the worker for good; nothing that was asked is answered any more. */
  end(): void {
    this.finish(null)
  }

  private stop(ticket: number): void {
    const asked = this.pending.get(ticket)
    if (!asked) return
    this.pending.delete(ticket)
    asked.end(null)
    this.stopping.set(
      ticket,
      this.timer.later(() => this.losePatience(), PATIENCE_MS),
    )
    this.worker?.postMessage({ kind: 'stop', ticket })
    this.waitForWord()
  }

  /** Begins to count the silence anew. */
  private waitForWord(): void {
    this.endSilence()
    const quiet = () => this.died(`the background worker has said nothing for ${SILENCE_MS / 1000} seconds`)
    this.endSilence = this.pending.size ? this.timer.later(quiet, SILENCE_MS) : () => undefined
  }

  /** A worker that is busy with what nobody wants is ended, unless it is also busy with what somebody wants. */
  private losePatience(): void {
    if (this.pending.size === 0) this.finish(null)
  }

  private running(): WorkerLike {
    if (this.worker) return this.worker
    const worker = this.makeWorker()
    worker.onmessage = ({ data }) => this.receive(data)
    worker.onerror = (event) => this.died(event.message || 'the background worker stopped')
    worker.onmessageerror = () => this.died('the background worker sent what cannot be read')
    return (this.worker = worker)
  }

  private receive(message: FromWorker): void {
    if (message.kind === 'confused') return this.died(message.problem.message)
    this.stopping.get(message.ticket)?.()
    this.stopping.delete(message.ticket)
    const asked = this.pending.get(message.ticket)
    this.waitForWord()
    if (!asked) return
    if (message.kind === 'progress') return asked.progress(message.share)
    if (message.kind === 'part') return asked.part(message.part)
    this.pending.delete(message.ticket)
    this.waitForWord()
    if (message.kind === 'answer') asked.end(success(message.answer))
    else asked.end(message.kind === 'failed' ? failure(...message.problems) : null)
  }

  /** Asks anew, of a new worker, what this one has died over for the first time; the rest fails. */
  private died(message: string): void {
    const problem: Problem = { code: 'worker-died', path: [], message: `it could not be computed: ${message}` }
    const again = [...this.pending].filter(([, { isAskedAgain }]) => !isAskedAgain)
    for (const [ticket] of again) this.pending.delete(ticket)
    this.finish(failure(problem))
    for (const [ticket, asked] of again) this.pending.set(ticket, { ...asked, isAskedAgain: true })
    for (const [ticket] of again) if (this.pending.has(ticket)) this.post(ticket)
  }

  /** Ends the worker and every question that it was asked; the next one gets a new worker. */
  private finish(answer: Result<never> | null): void {
    this.endSilence()
    this.worker?.terminate()
    this.worker = this.known = null
    const asked = [...this.pending.values()]
    this.pending.clear()
    for (const cancel of this.stopping.values()) cancel()
    this.stopping.clear()
    for (const one of asked) one.end(answer)
  }
}

function later(run: () => void, ms: number): () => void {
  const timer = setTimeout(run, ms)
  return () => clearTimeout(timer)
}
