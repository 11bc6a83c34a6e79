import type { LayoutTask, SlopeLayout } from '../core/slope/places'
import type { FromLayout, ToLayout } from './protocol'
import type { WorkerLike } from './workerLike'

/** Has charts laid out in the background; only the newest task counts. */
export class LayoutClient {
  private worker: WorkerLike<ToLayout, FromLayout> | null = null
  private ticket = 0

  constructor(
    private readonly makeWorker: () => WorkerLike<ToLayout, FromLayout>,
    private readonly done: (layout: SlopeLayout) => void,
    private readonly failed: (message: string) => void,
  ) {}

  ask(task: LayoutTask): void {
    const ticket = ++this.ticket
    this.running().postMessage({ ticket, task })
  }

  stop(): void {
    this.ticket++
    this.worker?.terminate()
    this.worker = null
  }

  private running(): WorkerLike<ToLayout, FromLayout> {
    if (this.worker) return this.worker
    const worker = this.makeWorker()
    worker.onmessage = ({ data }) => data.ticket === this.ticket && this.done(data.layout)
    worker.onerror = (event) => {
      this.stop()
      this.failed(`the picture could not be laid out: ${event.message || 'the background worker stopped'}`)
    }
    return (this.worker = worker)
  }
}
