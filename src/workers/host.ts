import { withChanged } from '../core/chart/changes'
import { Compiler } from '../core/game/compiler'
import { failure, messageOf, type Problem, type Result } from '../core/problem'
import { JOBS, type Answer, type Bench, type Part, type Question } from './jobs'
import type { ChartNews, FromWorker, ToWorker } from './protocol'

/** Progress that is less than this is not said: it would be drawn anew for nothing. */
const WORTH_SAYING = 0.02

type Working = Generator<number | { part: Part<Question> }, Result<Answer<Question>>, void>

/** The worker's side: does the jobs that it is asked for a step at a time, so that it hears when one is stopped. */
export class WorkerHost {
  private readonly bench: Bench = { chart: null, solved: null, compiler: new Compiler() }
  private readonly live = new Set<number>()

  constructor(
    private readonly send: (message: FromWorker) => void,
    /** Lets messages that have come in be heard before going on. */
    private readonly pause: () => Promise<void>,
  ) {}

  /** Resolves once what the message asked for is done or stopped. Never rejects: what goes wrong is sent. */
  async receive(message: ToWorker): Promise<void> {
    switch (message.kind) {
      case 'ask':
        return this.answer(message)
      case 'stop':
        this.stop(message.ticket)
        return
      default:
        this.refuse(message)
    }
  }

  private stop(ticket: number): void {
    if (this.live.delete(ticket)) this.send({ kind: 'stopped', ticket })
  }

  private async answer({ ticket, question, chart }: ToWorker & { kind: 'ask' }): Promise<void> {
    this.live.add(ticket)
    try {
      this.learn(chart)
      const answer = await this.workOn(ticket, question)
      if (!answer) return
      if (answer.ok) this.send({ kind: 'answer', ticket, answer: answer.value })
      else this.send({ kind: 'failed', ticket, problems: answer.problems })
    } catch (error) {
      this.send({ kind: 'failed', ticket, problems: [unexpected(error)] })
    } finally {
      this.live.delete(ticket)
    }
  }

  /** The answer, or null where the question was stopped. */
  private async workOn(ticket: number, question: Question): Promise<Result<Answer<Question>> | null> {
    if (!Object.hasOwn(JOBS, question.of)) return failure(unknownQuestion(question.of))
    const job = JOBS[question.of] as (bench: Bench, question: Question) => Working
    const working = job(this.bench, question)
    for (let said = -Infinity; ;) {
      await this.pause()
      if (!this.live.has(ticket)) return null
      const { done, value } = working.next()
      if (done) return value
      if (typeof value === 'object') this.send({ kind: 'part', ticket, part: value.part })
      else if (value >= said + WORTH_SAYING) this.send({ kind: 'progress', ticket, share: (said = value) })
    }
  }

  private learn(news: ChartNews | undefined): void {
    if (!news) return
    this.bench.chart = 'whole' in news ? news.whole : withChanged(this.bench.chart, news.changed)
  }

  private refuse(message: never): void {
    const problem: Problem = {
      code: 'unknown-question',
      path: [],
      message: `the background worker does not know the message "${String((message as { kind?: unknown }).kind)}"`,
    }
    this.send({ kind: 'confused', problem })
  }
}

const unknownQuestion = (name: string): Problem => ({
  code: 'unknown-question',
  path: [],
  message: `the background worker does not know the question "${name}"`,
})

const unexpected = (error: unknown): Problem => ({
  code: 'unexpected',
  path: [],
  message: `it could not be computed: ${messageOf(error)}`,
})
