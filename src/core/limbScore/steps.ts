import { sure, present } from '../sure'
import type { Chart } from '../chart/chart'
import type { HoldId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import { placeName } from '../chart/placeNames'
import type { Move } from '../chart/move'
import type { Reaction } from '../chart/reaction'
import type { Run } from '../chart/run'
import type { Beat } from './play'

/** A step of a run with the beats before and after it. */
export interface Taken {
  /** Counted from 1, as the score shows it. */
  number: number
  before: Beat
  after: Beat
  move: Move | undefined
  reaction: Reaction | undefined
  /** True where the step is a move that landed, so that the holds it adds are on. */
  lands: boolean
  /** Holds of either person that the step took off and put on. */
  off: HoldId[]
  on: HoldId[]
}

/** The steps between these beats, first to last. */
export function stepsTaken(chart: Chart, beats: readonly Beat[]): Taken[] {
  return beats.slice(1).map((after, i): Taken => {
    const before = sure(beats[i])
    const { move, reaction, elsewhere, stalls } = present(after.step)
    return {
      ...{ number: i + 1, before, after },
      move: lookUp(chart.moves, move),
      reaction: lookUp(chart.reactions, reaction),
      lands: Boolean(move && !reaction && !elsewhere && !stalls),
      off: before.holds.filter((id) => !after.holds.includes(id)),
      on: after.holds.filter((id) => !before.holds.includes(id)),
    }
  })
}

/** The name of a step: of its move, and of the outcome where the move did not land. */
export function stepName(chart: Chart, { step, place }: Beat, run: Run): string {
  if (!step) return lookUp(chart.positions, run.start)?.name ?? ''
  const move = lookUp(chart.moves, step.move)?.name
  if (step.reaction) return lookUp(chart.reactions, step.reaction)?.name ?? ''
  if (step.stalls) return `${move}: nothing`
  if (step.elsewhere) return `${move}: ${placeName(chart.positions, place.kind === 'position' ? place.id : place.kind)}`
  return move ?? 'We let it happen'
}

/** Id of the step's move, or else of its unprompted reaction; "concede" where they let it happen. */
export const doer = ({ move, reaction }: Taken): string => (move ?? reaction)?.id ?? 'concede'
