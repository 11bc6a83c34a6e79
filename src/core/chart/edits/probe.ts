import type { Chart } from '../chart'
import type { MoveId } from '../ids'
import type { Probe } from '../probe'
import { moveIn } from './find'

/** Sets how a move goes when it is only shown, or (move null) all moves; what is absent is as usual. */
export function setProbe(chart: Chart, move: MoveId | null, probe: Probe): void {
  const said = Object.fromEntries(Object.entries(probe).filter(([, value]) => value !== undefined && value !== false))
  const owner: { probe?: Probe } = move ? moveIn(chart, move) : (chart.settings ??= {})
  if (Object.keys(said).length) owner.probe = { ...said }
  else delete owner.probe
}
