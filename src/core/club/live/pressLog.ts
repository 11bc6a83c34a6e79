import type { Chart } from '../../chart/chart'
import { isEndId } from '../../chart/ids'
import { lookUp } from '../../chart/lookUp'
import type { Move } from '../../chart/move'
import { countsMet, wholeOf, type Whole } from '../../chart/tries'
import type { TryOutcome } from '../../match/tryLog'
import type { LiveRound, Standing } from './liveRecords'

/* Logging a round by presses: where it stands, what can be pressed there, and what a press makes of it. */

/** Something to press. */
export interface Choice {
  id: string
  name: string
}

/** What stands on the screen. `most`: the large buttons; `more`: what "Other" and "More" open. */
export type LogScreen =
  | { asks: 'try'; most: Choice[]; more: Choice[]; theirs: Choice[]; place: string }
  | { asks: 'outcome'; move: Choice; most: Choice[]; more: Choice[]; lands: string; place: string }
  | { asks: 'finish'; move: Choice; place: string }
  | { asks: 'over'; place: string }

/** Large buttons of tries, and of what they do. */
const [TRIES, REACTIONS] = [6, 4]

export const standingOf = ({ course }: LiveRound): Standing => course.at(-1) ?? {}

/** The move that is under way, else the one that was tried last. */
export const lastMoveOf = (round: LiveRound): string | undefined => standingOf(round).move ?? round.tries.at(-1)?.move

/** Whether something of the round was not seen: what one notices are finishes, so landing shares of it do not count. */
export const isPartial = ({ course }: LiveRound): boolean => course.some(({ isUnseen }) => isUnseen)

/** What can be pressed. `order`: moves of a position as the plan has them, the best first; others come after. */
export function logScreen(chart: Chart, at: Standing, order: readonly string[] = []): LogScreen {
  const place = lookUp(chart.positions, at.position)?.name ?? ''
  const move = lookUp(chart.moves, at.move)
  if (at.asks === 'over') return { asks: 'over', place }
  if (at.asks === 'finish' && move) return { asks: 'finish', move: choice(move), place }
  if (move) return outcomeScreen(chart, at, move, place)
  const tries = triesFrom(chart, at, order)
  return { asks: 'try', most: tries.slice(0, TRIES), more: tries.slice(TRIES), theirs: theirsAt(chart, at), place }
}

const choice = ({ id, name }: Choice): Choice => ({ id, name })

/** Answers first where they have just done something; then what is tried from here, in the order of the plan. */
function triesFrom(chart: Chart, { position, reply }: Standing, order: readonly string[]): Choice[] {
  const rank = ({ id }: Choice) => (order.includes(id) ? order.indexOf(id) : order.length)
  const answers = chart.answers
    .filter((one) => one.reaction === reply)
    .flatMap((one) => lookUp(chart.moves, one.move) ?? [])
  const cold = chart.moves.filter((one) => one.from === position && !one.reply && !answers.includes(one))
  return [...answers, ...cold.toSorted((a, b) => rank(a) - rank(b))].map(choice)
}

/** What they do from here by themselves. */
function theirsAt(chart: Chart, { position }: Standing): Choice[] {
  const { unprompted } = lookUp(chart.positions, position) ?? {}
  return mostFirst(unprompted?.reactions ?? {}).flatMap((id) => {
    const reaction = lookUp(chart.reactions, id)
    return reaction ? [choice(reaction)] : []
  })
}

const mostFirst = (counts: Record<string, number>) =>
  Object.entries(counts)
    .sort(([, a], [, b]) => b - a)
    .map(([id]) => id)

function outcomeScreen(chart: Chart, at: Standing, move: Move, place: string): LogScreen {
  const met = mostFirst(countsMet(goesBy(chart, at, move)))
  const known = met.flatMap((id) => lookUp(chart.reactions, id) ?? [])
  const others = chart.reactions.filter((one) => !known.includes(one))
  return {
    ...{ asks: 'outcome', move: choice(move), place },
    lands: move.to === 'finish' ? '' : (lookUp(chart.positions, move.to)?.name ?? ''),
    most: known.slice(0, REACTIONS).map(choice),
    more: [...known.slice(REACTIONS), ...others].map(choice),
  }
}

/** How the move goes here: as the answer says where it answers something and says so, else as the move. */
function goesBy(chart: Chart, { reply }: Standing, move: Move): Whole {
  const answer = chart.answers.find((one) => one.move === move.id && one.reaction === reply)
  return wholeOf(answer?.tries || answer?.race ? answer : move)
}

/** A round that begins now in a position of the chart. */
export const newRound = (us: string, them: string, position: string | undefined, now: number): LiveRound => ({
  ...{ us, them, since: now, tries: [], marks: [0] },
  course: [position === undefined ? {} : { position }],
})

function goOn(round: LiveRound, next: Standing): void {
  round.course.push(next)
  round.marks.push(round.tries.length)
}

/** The one who attacks tries a move. */
export function pressMove(round: LiveRound, move: string): void {
  goOn(round, { ...standingOf(round), move })
}

/** They do something by themselves. */
export function pressTheirs(chart: Chart, round: LiveRound, reaction: string): void {
  goOn(round, afterReaction(chart, reaction))
}

/** What came of the move under way; `unseen`: nobody knows, so that the round is not known whole. */
export function pressOutcome(chart: Chart, round: LiveRound, outcome: TryOutcome | 'unseen'): void {
  const at = standingOf(round)
  const move = lookUp(chart.moves, at.move)
  if (!move) return
  const answer = chart.answers.find((one) => one.move === move.id && one.reaction === at.reply)
  const { move: _, ...before } = at
  if (outcome === 'unseen') return goOn(round, { ...before, isUnseen: true })
  round.tries.push({ move: move.id, ...(answer ? { reply: answer.reaction } : {}), outcome })
  if (outcome === 'lands') goOn(round, move.to === 'finish' ? { ...at, asks: 'finish' } : { position: move.to })
  else if (typeof outcome === 'object' && 'reaction' in outcome) goOn(round, afterReaction(chart, outcome.reaction))
  else goOn(round, standsIn(stalledIn(chart, move, answer)))
}

/** Where it stands when a move came to nothing: as an answer where conceding leads. */
function stalledIn(chart: Chart, move: Move, answer: { reaction: string; stallsIn?: string } | undefined): string {
  if (!answer) return move.stallsIn ?? move.from
  return answer.stallsIn ?? lookUp(chart.reactions, answer.reaction)?.endsIn ?? move.from
}

const standsIn = (place: string): Standing => (isEndId(place) ? { asks: 'over' } : { position: place })

/** After a reaction an answer can be given, wherever it leads. */
function afterReaction(chart: Chart, id: string): Standing {
  const endsIn = lookUp(chart.reactions, id)?.endsIn
  const isAnswered = chart.answers.some(({ reaction }) => reaction === id)
  if (endsIn === undefined || isEndId(endsIn)) return isAnswered ? { reply: id } : { asks: 'over' }
  return { position: endsIn, reply: id }
}

/** It was not the finish after all: it came to nothing where it was tried. */
export function pressNotIt(round: LiveRound): void {
  const tried = round.tries.at(-1)
  if (tried) tried.outcome = 'stalls'
  const { move: _, asks: __, ...before } = standingOf(round)
  goOn(round, before)
}

/** Takes back the last press; whether there was one. */
export function pressUndo(round: LiveRound): boolean {
  if (round.course.length < 2) return false
  round.course.pop()
  round.marks.pop()
  const last = standingOf(round)
  round.tries.length = Math.min(round.tries.length, round.marks.at(-1) ?? 0)
  const tried = round.tries.at(-1)
  if (last.asks === 'finish' && tried) tried.outcome = 'lands'
  return true
}
