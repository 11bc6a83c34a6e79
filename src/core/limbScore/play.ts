import { sure, present } from '../sure'
import type { Chart } from '../chart/chart'
import { isEndId, type EndId, type HoldId, type PositionId, type ReactionId } from '../chart/ids'
import type { Run, RunStep } from '../chart/run'
import { indexChart, type ChartIndex } from '../game/chartIndex'
import { CAUGHT, FINISH, OVER } from '../game/tryCounts'
import { concession, landing, metHolds, ownPlace, type Place } from '../game/rules'
import type { HoldSet } from '../holds/holdTable'
import type { Orientation } from '../sides/frames'
import { landedSides, turned, turnsOf } from '../sides/turns'

export type BeatPlace =
  { kind: 'position'; id: PositionId } | { kind: 'reaction'; id: ReactionId } | { kind: 'finish' | EndId }

/** The state of a run after one of its steps. The first beat of a run is its start, before any step. */
export interface Beat {
  /** The step that led here; none for the start. */
  step: RunStep | null
  place: BeatPlace
  /** The holds that are on after the step, in the chart's order. */
  holds: HoldId[]
  /** Key of the frame after the step, on which the words for the limbs depend; undefined where none is set. */
  frame: string | undefined
  orientation: Orientation
  /** Seconds since the start of the run. */
  seconds: number
}

export interface Played {
  beats: Beat[]
  /** The first step that cannot be played (index into `run.steps`) and why; the beats end before it. Null: none. */
  broken: { step: number; reason: string } | null
}

interface Sides {
  holds: HoldSet
  sides: Orientation
  frame: string | undefined
}

interface InPosition extends Sides {
  kind: 'position'
  position: number
}

/** The run is in a reaction. `from`: the position in which the reaction met us. */
interface InReaction extends Sides {
  kind: 'reaction'
  reaction: number
  from: number
}

interface Over extends Sides {
  kind: 'finish' | EndId
}

type Next = InPosition | InReaction | Over

const isOver = (at: Next): at is Over => at.kind === 'finish' || isEndId(at.kind)

/**
 * Plays a run step by step with the game's rules for holds (method, "Holds"). A step that the game would not allow
 * because of holds (one that it needs is off, a reaction is shut) is played all the same: `remarksOn` reports it. A
 * step that does not start where the run is ends the play: see `broken`. The chart must be valid.
 */
export function play(chart: Chart, run: Run): Played {
  return new Player(chart).play(run)
}

const ENDS: Readonly<Record<number, Over['kind']>> = { [FINISH]: 'finish', [CAUGHT]: 'caught', [OVER]: 'over' }

class Player {
  private readonly index: ChartIndex
  private seconds = 0

  constructor(chart: Chart) {
    this.index = indexChart(chart)
  }

  play({ start, steps }: Run): Played {
    let at: Next = this.arrived(ownPlace(this.index, present(this.index.positionOf.get(start))), {}, undefined)
    const beats = [this.beat(null, at)]
    for (const [i, step] of steps.entries()) {
      const next: Next | string = this.next(at, step)
      if (typeof next === 'string') return { beats, broken: { step: i, reason: next } }
      at = next
      beats.push(this.beat(step, at))
    }
    return { beats, broken: null }
  }

  private beat(step: RunStep | null, at: Next): Beat {
    const { index } = this
    const place: BeatPlace =
      at.kind === 'position'
        ? { kind: 'position', id: sure(index.positions[at.position]).record.id }
        : at.kind === 'reaction'
          ? { kind: 'reaction', id: sure(index.reactions[at.reaction]).record.id }
          : { kind: at.kind }
    const { holds, frame, sides: orientation } = at
    return { step, place, holds: index.holds.idsOf(holds), frame, orientation, seconds: this.seconds }
  }

  private next(at: Next, step: RunStep): Next | string {
    if (isOver(at)) return 'the exchange is over before it'
    if (step.move) return this.try(at, step)
    if (at.kind === 'reaction') return step.reaction ? 'a reaction is not answered by another' : this.concede(at)
    return step.reaction ? this.unprompted(at, step) : 'nothing happens in it'
  }

  private try(at: InPosition | InReaction, step: RunStep): Next | string {
    const { index } = this
    const move = present(index.moves.find(({ record }) => record.id === step.move))
    if (at.kind === 'position' && move.from !== at.position) return `${move.record.name} is not done from here`
    if (
      at.kind === 'reaction' &&
      !sure(index.reactions[at.reaction]).answers.some(({ record }) => record.move === step.move)
    ) {
      return `${move.record.name} is no answer to ${sure(index.reactions[at.reaction]).record.name}`
    }
    const { frame } = at
    this.seconds += move.seconds
    if (step.reaction) {
      const reaction = index.reactions.findIndex(({ record }) => record.id === step.reaction)
      const holds = metHolds(index, sure(index.reactions[reaction]), at.holds, move.drops)
      return { kind: 'reaction', reaction, holds, sides: at.sides, frame, from: move.from }
    }
    if (step.elsewhere) {
      return this.arrived(
        ownPlace(index, index.positionOf.get(step.elsewhere) ?? (step.elsewhere === 'over' ? OVER : CAUGHT)),
        at.sides,
        frame,
      )
    }
    if (step.stalls) return this.stalled(at, step)
    const home =
      at.kind === 'position' || (at.from === sure(index.reactions[at.reaction]).endsIn && at.from === move.from)
    const sides = turned(at.sides, turnsOf(move.record), move.across)
    const landed = landing(index, move, at.holds, home)
    // What is on at the finish no longer matters to the game; a coach wants to see it all the same.
    if (landed.position === FINISH) return { kind: 'finish', holds: this.onPaper(at.holds, move), sides, frame }
    return this.arrived(landed, sides, frame)
  }

  private onPaper(holds: HoldSet, { drops, strips, adds }: ChartIndex['moves'][number]): HoldSet {
    return this.index.holds.settle(holds & ~drops & ~strips, adds)
  }

  private stalled(at: InPosition | InReaction, step: RunStep): Next {
    const { index } = this
    const { stallsIn } =
      at.kind === 'position'
        ? present(index.moves.find(({ record }) => record.id === step.move))
        : present(sure(index.reactions[at.reaction]).answers.find(({ record }) => record.move === step.move))
    if (stallsIn !== undefined) return this.arrived(ownPlace(index, stallsIn), at.sides, at.frame)
    return at.kind === 'position' ? at : this.conceded(at)
  }

  private unprompted(at: InPosition, step: RunStep): Next {
    const reaction = this.index.reactions.findIndex(({ record }) => record.id === step.reaction)
    const holds = metHolds(this.index, sure(this.index.reactions[reaction]), at.holds, 0n)
    return { kind: 'reaction', reaction, holds, sides: at.sides, frame: at.frame, from: at.position }
  }

  private concede(at: InReaction): Next {
    this.seconds += sure(this.index.reactions[at.reaction]).seconds
    return this.conceded(at)
  }

  private conceded(at: InReaction): Next {
    const record = sure(this.index.reactions[at.reaction])
    return this.arrived(concession(this.index, record, at.holds, record.endsIn === at.from), at.sides, at.frame)
  }

  /** A side that the position leaves open is taken over from before, as long as the frame does not change. */
  private arrived({ position, holds }: Place, brought: Orientation, frame: string | undefined): Next {
    if (position < 0) return { kind: ENDS[position] ?? 'caught', holds: 0n, sides: brought, frame }
    const { record } = sure(this.index.positions[position])
    const sides =
      record.frame && record.frame === frame ? landedSides(brought, record.orientation) : (record.orientation ?? {})
    return { kind: 'position', position, holds, sides, frame: record.frame }
  }
}
