import type { Question } from '../../src/workers/jobs'
import type { FromWorker, ToWorker } from '../../src/workers/protocol'
import type { WorkerLike } from '../../src/workers/workerLike'

/** A worker that only remembers what it was asked, in place of a real one; the test answers for it. */
export class FakeWorker implements WorkerLike {
  readonly heard: ToWorker[] = []
  isEnded = false
  onmessage: WorkerLike['onmessage'] = null
  onerror: WorkerLike['onerror'] = null
  onmessageerror: WorkerLike['onmessageerror'] = null
  postMessage = (message: ToWorker) => void this.heard.push(message)
  terminate = () => void (this.isEnded = true)
  say = (data: FromWorker) => this.onmessage!({ data } as MessageEvent<FromWorker>)
  die = (message: string) => this.onerror!({ message } as ErrorEvent)

  /** The questions that it was asked, with their tickets and what it heard of the chart. */
  get asked() {
    return this.heard.flatMap((message) => (message.kind === 'ask' ? [message] : []))
  }
  get questions(): Question[] {
    return this.asked.map(({ question }) => question)
  }
}

export function fakeWorkers() {
  const workers: FakeWorker[] = []
  const make = () => {
    workers.push(new FakeWorker())
    return workers.at(-1)!
  }
  return { workers, make }
}

/** Timers that go off when the test says so. */
export function fakeTimer() {
  const due: { run: () => void; ms: number }[] = []
  const later = (run: () => void, ms: number) => {
    const timer = { run, ms }
    due.push(timer)
    return () => void due.splice(due.indexOf(timer), 1)
  }
  /** Lets time pass: those that are due by then go off. */
  const pass = (ms = Infinity) => {
    for (const timer of due.filter((one) => one.ms <= ms)) {
      due.splice(due.indexOf(timer), 1)
      timer.run()
    }
  }
  return { timer: { later }, due, pass }
}
