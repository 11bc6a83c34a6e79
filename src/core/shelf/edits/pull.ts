import { copyOf } from '../../typed'
import {
  isEndId,
  toCueId,
  toHoldId,
  toMoveId,
  toPositionId,
  toReactionId,
  type HoldId,
  type MoveId,
  type PlaceId,
} from '../../chart/ids'
import { present } from '../../sure'
import type { Chart } from '../../chart/chart'
import { moveIn, positionIn } from '../../chart/edits/find'
import { guessOut, isGuess, markGuess } from '../../chart/guesses'
import { lookUp } from '../../chart/lookUp'
import type { Checkpoint, Move } from '../../chart/move'
import type { Position } from '../../chart/position'
import type { Tries } from '../../chart/tries'
import { bare } from '../bare'
import { inChart } from '../search'
import type { Shelf } from '../shelf'
import { leaveUpdate } from './updates'

/** Which entries to copy into a chart; the entries that they refer to are copied as well. */
export interface Wanted {
  positions?: readonly string[]
  moves?: readonly string[]
  reactions?: readonly string[]
  /** How many further moves to copy from a position that is new to the chart, so that it leads somewhere. */
  onward?: number
}

/**
 * Copies entries of the Shelf into a chart (a draft) with their holds, reactions and answers. A record that the chart
 * has already, by id or by name, is not changed, and the copies refer to it; only a position of the Shelf from which
 * nothing was charted gets what they do there. Returns the ids of the copied moves.
 */
export function pullIn(chart: Chart, shelf: Shelf, wanted: Wanted): string[] {
  return new Pull(chart, shelf).run(wanted)
}

/** Everything of a region, and what it leads to. */
export function wantedOfRegion(shelf: Shelf, region: string): Wanted {
  const own = shelf.regions.find(({ id }) => id === region)
  return { positions: (own?.positions ?? []).map(({ id }) => id), moves: (own?.moves ?? []).map(({ id }) => id) }
}

/** The weight, in real tries, of the Shelf's tries, which are guesses for peers of equal skill. */
export const GUESS_WEIGHT = 3

const guessed = (tries: Tries): Tries => ({ ...tries, weight: GUESS_WEIGHT })

class Pull {
  /** The chart's id for one of the Shelf's, of positions, holds and reactions. */
  private readonly ids = new Map<string, string>()
  private readonly came: string[] = []

  constructor(
    private readonly chart: Chart,
    private readonly shelf: Shelf,
  ) {}

  run({ positions = [], moves = [], reactions = [], onward = 0 }: Wanted): string[] {
    for (const id of positions) this.begun(id)
    for (const id of new Set(moves)) this.move(id, onward)
    for (const id of reactions) this.reaction(id)
    this.answers()
    this.needs()
    this.mirrors()
    return this.came
  }

  private position(id: string): string {
    const known = this.ids.get(`p ${id}`)
    if (known) return known
    const record = present(lookUp(this.shelf.positions, id))
    const own = inChart(this.chart.positions, record)
    this.ids.set(`p ${id}`, own?.id ?? id)
    if (own) return own.id
    const holds = record.holds?.map((hold) => this.hold(hold))
    const slipsTo = record.slipsTo && this.end(record.slipsTo)
    const seen = Object.entries(record.seen ?? {}).map(([cue, n]) => [this.cue(cue), n] as const)
    const position = {
      ...bare(record),
      ...(holds ? { holds: holds.map(toHoldId) } : {}),
      ...(slipsTo ? { slipsTo } : {}),
      ...(seen.length ? { seen: Object.fromEntries(seen) } : {}),
    }
    delete position.unprompted
    guessOut(position)
    this.chart.positions.push(position)
    // Where they are ahead, what they do is what threatens us, whatever we have to do there.
    if (record.ahead === 'theirs') this.unprompted(id, record)
    return id
  }

  /**
   * A position from which something is charted. Only there does it come along what they do unprompted: where we can do
   * nothing yet it would make of a place that we came to for good a place to be lost.
   */
  private begun(id: string): string {
    const record = present(lookUp(this.shelf.positions, id))
    const own = this.position(id)
    const position = positionIn(this.chart, toPositionId(own))
    const isFromShelf = own === record.id && record.frame !== undefined && position.frame === record.frame
    if (isFromShelf && !this.chart.moves.some(({ from }) => from === own)) this.unprompted(own, record)
    return own
  }

  /** What they do there may end where we are: the position is in the chart by now. */
  private unprompted(id: string, { unprompted, out }: Position): void {
    const position = positionIn(this.chart, toPositionId(id))
    if (!unprompted || position.unprompted) return
    if (out === undefined && isGuess(position, 'out')) {
      delete position.out
      markGuess(position, 'out', false)
    }
    position.unprompted = { ...unprompted, reactions: {} }
    position.unprompted.reactions = this.met(unprompted.reactions)
  }

  private hold(id: string): string {
    const record = present(lookUp(this.shelf.holds, id))
    const own = inChart(this.chart.holds ?? [], record)
    if (own) return own.id
    this.chart.holds = [...(this.chart.holds ?? []), copyOf(record)]
    return id
  }

  /** The counts of reactions, by the chart's ids. */
  private met(counts: Record<string, number>): Record<string, number> {
    return Object.fromEntries(Object.entries(counts).map(([id, n]) => [this.reaction(id), n]))
  }

  /** The lists of holds of a record, each with the chart's ids. */
  private lists<K extends 'needs' | 'adds' | 'drops' | 'keeps' | 'strips'>(
    record: Partial<Record<K, HoldId[]>>,
    names: readonly K[],
  ): Partial<Record<K, HoldId[]>> {
    const found: Partial<Record<K, HoldId[]>> = {}
    for (const name of names) {
      const ids = record[name]
      if (ids) found[name] = ids.map((hold) => toHoldId(this.hold(hold)))
    }
    return found
  }

  private gated(checkpoint: Checkpoint): Checkpoint {
    const { gate } = checkpoint
    const copy = copyOf(checkpoint)
    if (!gate) return copy
    return { ...copy, gate: { hold: toHoldId(this.hold(gate.hold)), next: toHoldId(this.hold(gate.next)) } }
  }

  private cue(id: string): string {
    const record = lookUp(this.shelf.cues, id)
    if (!record) return id
    const own = inChart(this.chart.cues ?? [], record)
    if (own) return own.id
    this.chart.cues = [...(this.chart.cues ?? []), copyOf(record)]
    return id
  }

  private end(id: PlaceId): PlaceId {
    return isEndId(id) ? id : toPositionId(this.position(id))
  }

  private reaction(id: string): string {
    const known = this.ids.get(`r ${id}`)
    if (known) return known
    const record = present(lookUp(this.shelf.reactions, id))
    const endsIn = this.end(record.endsIn)
    const own = this.ownReaction(id, endsIn)
    this.ids.set(`r ${id}`, own ?? id)
    if (own) return own
    this.chart.reactions.push({ ...bare(record), endsIn, ...this.lists(record, ['adds', 'strips']) })
    return id
  }

  /** The chart's reaction that is one of the Shelf's: with its id, or with its name and, if that is asked, its end. */
  private ownReaction(id: string, endsIn?: string): string | undefined {
    const own = inChart(this.chart.reactions, present(lookUp(this.shelf.reactions, id)))
    return own && (own.id === id || endsIn === undefined || own.endsIn === endsIn) ? own.id : undefined
  }

  private move(id: string, onward: number): void {
    const record = present(lookUp(this.shelf.moves, id))
    const from = this.begun(record.from)
    const own = this.chart.moves.find((one) => one.id === id || (one.from === from && sameName(one, record)))
    this.ids.set(`m ${id}`, own?.id ?? id)
    if (own) return
    const leads = lookUp(this.shelf.positions, record.to)
    const isNew = leads && !inChart(this.chart.positions, leads)
    const met = this.met(record.tries?.reactions ?? {})
    const tries = record.tries && {
      ...guessed(record.tries),
      ...(Object.keys(met).length ? { reactions: met } : {}),
    }
    const race = record.race && { ...record.race, reaction: toReactionId(this.reaction(record.race.reaction)) }
    // A position that the chart had before may not show what the move waits for: then it waits for nothing.
    const { seen } = positionIn(this.chart, toPositionId(from))
    const when = record.when?.map((cue) => toCueId(this.cue(cue))).filter((cue) => seen?.[cue] !== undefined)
    const { when: _, ...copy } = bare(record)
    this.chart.moves.push({
      ...copy,
      ...(when?.length ? { when } : {}),
      from: toPositionId(from),
      to: record.to === 'finish' ? record.to : toPositionId(this.position(record.to)),
      ...(tries ? { tries } : {}),
      ...(race ? { race } : {}),
      ...this.lists(record, ['needs', 'adds', 'drops', 'keeps', 'strips']),
      ...(record.checkpoints ? { checkpoints: record.checkpoints.map((one) => this.gated(one)) } : {}),
    })
    this.came.push(id)
    leaveUpdate(this.chart, record)
    if (isNew && onward > 0) this.onward(leads.id, onward - 1)
  }

  private onward(position: string, onward: number): void {
    for (const { id, from } of this.shelf.moves) if (from === position) this.move(id, onward)
  }

  /**
   * A position that the chart had before may not have what a move needs: what nothing puts on there is no need then,
   * and stands in the notes of the move.
   */
  private needs(): void {
    const { positions, moves, holds } = this.chart
    for (const id of this.came) {
      const move = moveIn(this.chart, toMoveId(id))
      const on = new Set<string>(positionIn(this.chart, move.from).holds)
      for (const into of moves) {
        if (into.to !== move.from) continue
        for (const hold of [...(into.adds ?? []), ...(lookUp(positions, into.from)?.holds ?? [])]) on.add(hold)
      }
      const lacking = (move.needs ?? []).filter((hold) => !on.has(hold))
      if (!lacking.length) continue
      const names = lacking.flatMap((hold) => lookUp(holds, hold)?.name ?? []).join(', ')
      move.notes = [move.notes, `First: ${names}.`].filter(Boolean).join(' ')
      const left = (move.needs ?? []).filter((hold) => on.has(hold))
      if (left.length) move.needs = left
      else delete move.needs
    }
  }

  private mirrors(): void {
    for (const position of this.chart.positions) keepMirror(position, this.chart.positions)
    for (const reaction of this.chart.reactions) keepMirror(reaction, this.chart.moves)
  }

  /**
   * Copies answers of which reaction and move are both in the chart, and removes breaks of checkpoints that are not.
   */
  private answers(): void {
    const moves = new Map<string, MoveId>(this.chart.moves.map(({ id }) => [id, id]))
    for (const answer of this.shelf.answers) {
      const move = this.ids.get(`m ${answer.move}`) ?? moves.get(answer.move)
      const reaction = move && (this.ids.get(`r ${answer.reaction}`) ?? this.ownReaction(answer.reaction))
      if (!reaction || this.chart.answers.some((one) => one.reaction === reaction && one.move === move)) continue
      const tries = answer.tries ? { tries: guessed(answer.tries) } : {}
      const { race: raced } = answer
      const race = raced ? { race: { ...raced, reaction: toReactionId(this.reaction(raced.reaction)) } } : {}
      const ids = { reaction: toReactionId(reaction), move: toMoveId(move) }
      const { reason: _, ...own } = copyOf(answer)
      this.chart.answers.push({ ...own, ...tries, ...race, ...ids })
    }
    const known = new Set(this.chart.moves.flatMap(({ checkpoints }) => (checkpoints ?? []).map(({ id }) => id)))
    for (const reaction of this.chart.reactions) {
      const breaks = reaction.breaks?.filter((id) => known.has(id))
      if (!breaks || breaks.length === present(reaction.breaks).length) continue
      if (breaks.length) reaction.breaks = breaks
      else delete reaction.breaks
    }
  }
}

/** Removes a mirror that names a record which is not in the chart. */
function keepMirror(record: { mirror?: string }, known: readonly { id: string }[]): void {
  if (record.mirror && !known.some(({ id }) => id === record.mirror)) delete record.mirror
}

const sameName = (one: Move, other: Move) => one.name.trim().toLowerCase() === other.name.trim().toLowerCase()
