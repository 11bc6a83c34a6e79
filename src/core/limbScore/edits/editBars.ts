import { sure } from '../../sure'
import { Refusal } from '../../problem'
import type { Chart } from '../../chart/chart'
import { holdIn, putOn, takeOff } from '../../chart/edits/holds'
import { moveIn, reactionIn } from '../../chart/edits/find'
import { runIn } from '../../chart/edits/runs'
import { holder, sharesLimb, type Hold } from '../../chart/hold'
import type { HoldId } from '../../chart/ids'
import type { Move } from '../../chart/move'
import type { Reaction } from '../../chart/reaction'
import { play, type Beat } from '../play'

/** A range of beats: indices into the beats, both included. */
export interface Stretch {
  from: number
  to: number
}

/**
 * Changes when a hold is on in a run: from the range `before` (null: a new bar) to the range `want` (null: removed). It
 * edits the hold lists of the moves, reactions and positions of the run. Throws an Error with the reason where no such
 * edit gives that range.
 */
export function setBar(
  chart: Chart,
  runId: string,
  holdId: string,
  before: Stretch | null,
  want: Stretch | null,
): void {
  const run = runIn(chart, runId)
  const hold = holdIn(chart, holdId)
  const { beats } = play(chart, run)
  if (want && !fits(want, beats.length)) throw new Refusal('there is no such step')
  beats.forEach((beat, n) => {
    const [was, is] = [covers(before, n), covers(want, n)]
    if (was && !is) comesOff(chart, beat, hold, covers(want, n - 1))
    else if (is && !was && covers(want, n - 1)) staysOn(chart, beat, hold)
    else if (is && !was) comesOn(chart, beat, hold)
  })
  if (want) mendEnds(chart, beats, hold, before, want)
  verify(chart, runId, hold, want)
}

const covers = (stretch: Stretch | null, beat: number) => stretch !== null && beat >= stretch.from && beat <= stretch.to
const fits = ({ from, to }: Stretch, beats: number) => from >= 0 && from <= to && to < beats

/** Moves the ends of an existing bar: the step at its new start puts it on, the step after its new end takes it off. */
function mendEnds(chart: Chart, beats: readonly Beat[], hold: Hold, before: Stretch | null, want: Stretch): void {
  if (before && covers(before, want.from) && want.from > before.from) comesOn(chart, sure(beats[want.from]), hold)
  if (before && want.from < before.from && covers(want, before.from)) staysOn(chart, sure(beats[before.from]), hold)
  if (want.to + 1 < beats.length && !covers(before, want.to + 1)) comesOff(chart, sure(beats[want.to + 1]), hold, true)
}

const without = (ids: HoldId[] | undefined, id: HoldId) => ids?.filter((other) => other !== id)

/** Replaces one of the hold lists of a move or reaction; an empty list is removed. */
function setList<K extends 'adds' | 'drops' | 'keeps' | 'strips' | 'needs'>(
  record: { [key in K]?: HoldId[] },
  key: K,
  ids: HoldId[] | undefined,
): void {
  if (ids?.length) record[key] = ids
  else delete record[key]
}
const include = (ids: HoldId[] | undefined, id: HoldId) => [...(without(ids, id) ?? []), id]

interface Doing {
  move?: Move
  reaction?: Reaction
}

function doingOf(chart: Chart, { step }: Beat): Doing {
  if (!step) return {}
  return {
    ...(step.reaction ? { reaction: reactionIn(chart, step.reaction) } : {}),
    ...(step.move && !step.reaction ? { move: moveIn(chart, step.move) } : {}),
  }
}

/** Makes the hold off at this beat. `begins`: it was on at the beat before, so this step has to take it off. */
function comesOff(chart: Chart, beat: Beat, hold: Hold, begins: boolean): void {
  const { move, reaction } = doingOf(chart, beat)
  if (beat.place.kind === 'position') takeOff(chart, beat.place.id, hold.id)
  if (move) {
    setList(move, 'adds', without(move.adds, hold.id))
    setList(move, 'keeps', without(move.keeps, hold.id))
    const gone = holder(hold) === 'ours' ? 'drops' : 'strips'
    if (begins) setList(move, gone, include(move[gone], hold.id))
    else setList(move, gone, without(move[gone], hold.id))
    if (!begins) setList(move, 'needs', without(move.needs, hold.id))
  }
  if (reaction) {
    setList(reaction, 'adds', without(reaction.adds, hold.id))
    if (begins && holder(hold) === 'ours') setList(reaction, 'strips', include(reaction.strips, hold.id))
  }
}

/** Makes the hold stay on at this beat: the step no longer takes it off, and keeps it where the frame changes. */
function staysOn(chart: Chart, { step, place }: Beat, hold: Hold): void {
  const reaction = step?.reaction && reactionIn(chart, step.reaction)
  const move = step?.move && moveIn(chart, step.move)
  if (reaction) setList(reaction, 'strips', without(reaction.strips, hold.id))
  if (!move) return
  setList(move, 'drops', without(move.drops, hold.id))
  setList(move, 'strips', without(move.strips, hold.id))
  setList(move, 'adds', without(move.adds, hold.id))
  if (place.kind === 'position' && !reaction && leaves(chart, move) && holder(hold) === 'ours') {
    setList(move, 'keeps', include(move.keeps, hold.id))
  }
}

/** Whether a move changes the frame or the side, so that only what it keeps comes along. */
function leaves(chart: Chart, { from, to, across }: Move): boolean {
  const frame = (id: string) => chart.positions.find((position) => position.id === id)?.frame
  return Boolean(across) || frame(from) !== frame(to)
}

/** Makes the hold come on at this beat. */
function comesOn(chart: Chart, beat: Beat, hold: Hold): void {
  const { move, reaction } = doingOf(chart, beat)
  if (!beat.step) {
    if (beat.place.kind === 'position') putOn(chart, beat.place.id, hold.id)
    return
  }
  if (holder(hold) === 'theirs') {
    if (!reaction) throw new Refusal(`“${hold.name}” is theirs: only what they do can put it on`)
    return setList(reaction, 'adds', include(reaction.adds, hold.id))
  }
  if (!move || beat.step.stalls || beat.step.elsewhere) {
    throw new Refusal(`“${hold.name}” can only come on with a move that lands`)
  }
  const rival = move.adds
    ?.map((id) => holdIn(chart, id))
    .find((other) => other.id !== hold.id && sharesLimb(other, hold))
  if (rival) throw new Refusal(`“${move.name}” puts “${rival.name}” on with the same limb`)
  setList(move, 'drops', without(move.drops, hold.id))
  setList(move, 'adds', include(move.adds, hold.id))
}

/** Plays the run again; throws an Error where the hold is not on in the range that was asked for. */
function verify(chart: Chart, runId: string, hold: Hold, want: Stretch | null): void {
  if (!want) return
  const { beats } = play(chart, runIn(chart, runId))
  const isOn = (beat: number) => beats[beat]?.holds.includes(hold.id) ?? false
  for (let beat = want.from; beat <= want.to; beat++) {
    if (isOn(beat)) continue
    const rival = beats[beat]?.holds.map((id) => holdIn(chart, id)).find((other) => sharesLimb(other, hold))
    const why = rival ? `the same limb does “${rival.name}” there` : 'what happens there leaves nothing on'
    throw new Refusal(`“${hold.name}” cannot be on ${beat === 0 ? 'at the start' : `after step ${beat}`}: ${why}`)
  }
  const outside = [want.from - 1, want.to + 1].find(isOn)
  if (outside === undefined) return
  throw new Refusal(
    `“${hold.name}” is on ${outside === 0 ? 'at the start' : `after step ${outside}`} all the same: other moves of this run share that place`,
  )
}
