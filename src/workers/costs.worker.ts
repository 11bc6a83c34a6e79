import { CostsWorker } from './costsWorker'
import type { ToCosts } from './protocol'

const channel = new MessageChannel()
const waiting: (() => void)[] = []
channel.port1.onmessage = () => waiting.shift()?.()

/** A message to oneself queues behind those that have come in already. */
const pause = () =>
  new Promise<void>((resume) => {
    waiting.push(resume)
    channel.port2.postMessage(null)
  })

const worker = new CostsWorker((message) => self.postMessage(message), pause)
self.onmessage = (event: MessageEvent<ToCosts>) => void worker.receive(event.data)
