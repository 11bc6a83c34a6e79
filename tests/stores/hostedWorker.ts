import { WorkerHost } from '../../src/workers/host'
import type { FromWorker, ToWorker } from '../../src/workers/protocol'
import type { WorkerLike } from '../../src/workers/workerLike'

const turn = () => new Promise<void>((resume) => setImmediate(resume))

/** A worker in the test's own thread: the real host, and messages that are copied on the way as a browser does. */
export class HostedWorker implements WorkerLike {
  static all: HostedWorker[] = []
  /** The question over which every worker dies. */
  static deadly: string | null = null
  onmessage: WorkerLike['onmessage'] = null
  onerror: WorkerLike['onerror'] = null
  onmessageerror: WorkerLike['onmessageerror'] = null
  readonly heard: ToWorker[] = []
  isEnded = false
  private readonly host = new WorkerHost((message) => this.say(message), turn)

  constructor() {
    HostedWorker.all.push(this)
  }

  postMessage(message: ToWorker): void {
    const copy = structuredClone(message)
    this.heard.push(copy)
    if (copy.kind === 'ask' && copy.question.of === HostedWorker.deadly) {
      setImmediate(() => this.onerror?.({ message: 'out of memory' } as ErrorEvent))
    } else setImmediate(() => void this.host.receive(copy))
  }

  terminate(): void {
    this.isEnded = true
  }

  private say(message: FromWorker): void {
    if (!this.isEnded) this.onmessage?.({ data: structuredClone(message) } as MessageEvent<FromWorker>)
  }

  /** What all workers were asked, by name. */
  static get asked(): string[] {
    return HostedWorker.all.flatMap(({ heard }) =>
      heard.flatMap((one) => (one.kind === 'ask' ? [one.question.of] : [])),
    )
  }
}
