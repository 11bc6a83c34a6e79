import { CostsWorker } from './costsWorker'
import { pause } from './pause'
import type { ToCosts } from './protocol'

const worker = new CostsWorker((message) => self.postMessage(message), pause)
self.onmessage = (event: MessageEvent<ToCosts>) => void worker.receive(event.data)
