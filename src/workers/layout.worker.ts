import { layOutSlope } from '../core/slope/layout'
import type { FromLayout, ToLayout } from './protocol'

self.onmessage = ({ data: { ticket, task } }: MessageEvent<ToLayout>) => {
  const answer: FromLayout = { ticket, layout: layOutSlope(task) }
  self.postMessage(answer)
}
