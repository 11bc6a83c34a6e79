import type { ToSolver } from './protocol'
import { SolverWorker } from './solverWorker'

const worker = new SolverWorker((message) => self.postMessage(message))
self.onmessage = (event: MessageEvent<ToSolver>) => worker.receive(event.data)
