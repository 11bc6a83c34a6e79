import { WorkerHost } from './host'
import { pause } from './pause'
import type { ToWorker } from './protocol'

const host = new WorkerHost((message) => self.postMessage(message), pause)
self.onmessage = ({ data }: MessageEvent<ToWorker>) => void host.receive(data)
