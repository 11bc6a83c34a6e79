import type { ToWorker } from './protocol'
import { SolverWorker } from './solverWorker'

const channel = new MessageChannel()
const waiting: (() => void)[] = []
channel.port1.onmessage = () => waiting.shift()?.()

/** A message to oneself queues behind those that have come in already. */
const pause = (ms: number) =>
  new Promise<void>((resume) => {
    if (ms > 0) return void setTimeout(resume, ms)
    waiting.push(resume)
    channel.port2.postMessage(null)
  })

const worker = new SolverWorker((message) => self.postMessage(message), pause)
self.onmessage = (event: MessageEvent<ToWorker>) => void worker.receive(event.data)
