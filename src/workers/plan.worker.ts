import { pause } from './pause'
import type { ToPlan } from './planProtocol'
import { PlanWorker } from './planWorker'

const worker = new PlanWorker((message) => self.postMessage(message), pause)
self.onmessage = ({ data }: MessageEvent<ToPlan>) => void worker.receive(data)
