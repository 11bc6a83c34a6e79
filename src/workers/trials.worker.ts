import type { ToTrials } from './protocol'
import { TrialsWorker } from './trialsWorker'

const worker = new TrialsWorker((message) => self.postMessage(message))
self.onmessage = ({ data }: MessageEvent<ToTrials>) => worker.receive(data)
