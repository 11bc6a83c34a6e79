import { toReactionId, type MoveId, type PositionId, type ReactionId } from '../chart/ids'
import { present } from '../sure'
import type { Chart } from '../chart/chart'
import type { MetWhere } from '../insight/looseEnds'
import { withTallies, type Whole } from '../chart/tries'
import { withTries, type DrillTarget } from './target'

const sum = (map: Record<string, number> | undefined) => Object.values(map ?? {}).reduce((total, n) => total + n, 0)

/**
 * The tries if they use a reaction `times` as often (0: never). What it gains, their other reactions and doing nothing
 * lose, as far as they go; landing and elsewhere are not theirs to choose.
 */
export function usedMore(guess: Whole, reaction: string, times: number): Whole {
  const tries = counted(guess)
  const { stalls = 0, reactions = {} } = tries
  const now = reactions[reaction] ?? 0
  const others = stalls + sum(reactions) - now
  const more = Math.min(now * (times - 1), others)
  if (more === 0) return tries
  const keep = others > 0 ? 1 - more / others : 1
  const scaled = Object.fromEntries(
    Object.entries(reactions).map(([id, n]) => [id, id === reaction ? now + more : n * keep]),
  )
  return { ...tries, stalls: stalls * keep - (others > 0 ? 0 : more), reactions: scaled }
}

/** The tries as the plan counts them, with the rounds that were tallied. */
const counted = (guess: Whole): Whole => (guess.tallies ? withTallies(guess) : guess)

/** How often at most they can use a reaction more, where it is met: less than `times` where nothing else is left. */
export function timesPossible(chart: Chart, { met, position, reaction }: MetWhere, times: number): number {
  if (met.by === 'unprompted') {
    const { every, reactions } = present(chart.positions.find(({ id }) => id === position)?.unprompted)
    const now = reactions[reaction] ?? 0
    return Math.min(times, 1 + ((every - 1) * sum(reactions)) / now)
  }
  const guess = present(
    met.by === 'move' ? chart.moves.find(({ id }) => id === met.move)?.tries : chart.answers[met.answer]?.tries,
  )
  const now = counted(guess).reactions?.[reaction] ?? 0
  return (usedMore(guess, reaction, times).reactions?.[reaction] ?? 0) / now
}

/** Everything of one name that they do, wherever it is met: "they turn in, whatever we do". */
export function metByName(chart: Chart): { name: string; met: MetWhere[] }[] {
  const byName = new Map<string, { name: string; met: MetWhere[] }>()
  const names = new Map(chart.reactions.map(({ id, name }) => [id, name]))
  for (const met of allMet(chart)) {
    const name = names.get(met.reaction) ?? ''
    const known = byName.get(name.toLowerCase()) ?? { name, met: [] }
    known.met.push(met)
    byName.set(name.toLowerCase(), known)
  }
  return [...byName.values()]
}

/** The chart if they use a reaction `times` as often wherever it is met. */
export const withUsedMoreEverywhere = (chart: Chart, reaction: ReactionId, times: number): Chart =>
  allMet(chart)
    .filter((met) => met.reaction === reaction)
    .reduce((now, met) => withUsedMore(now, met, times), chart)

/** The chart if they use a reaction `times` as often where it is met. Unprompted, it comes so much sooner. */
export function withUsedMore(chart: Chart, { met, position, reaction }: MetWhere, times: number): Chart {
  if (met.by !== 'unprompted') {
    const target: DrillTarget =
      met.by === 'move' ? { of: 'move', move: met.move } : { of: 'answer', answer: met.answer }
    return withTries(chart, target, (tries) => usedMore(tries, reaction, times))
  }
  const positions = chart.positions.map((record) => {
    const { unprompted } = record
    const now = unprompted?.reactions[reaction] ?? 0
    if (record.id !== position || !unprompted || !now) return record
    const all = sum(unprompted.reactions)
    const more = now * (times - 1)
    const every = Math.max(1, (unprompted.every * all) / (all + more))
    return { ...record, unprompted: { every, reactions: { ...unprompted.reactions, [reaction]: now + more } } }
  })
  return { ...chart, positions }
}

/** Every reaction where it is met in a chart. */
export function allMet(chart: Chart): MetWhere[] {
  const ids = (reactions: Record<string, number> | undefined) =>
    Object.entries(reactions ?? {}).flatMap(([id, n]) => (n > 0 ? [toReactionId(id)] : []))
  const fromOf = new Map<MoveId, PositionId>(chart.moves.map(({ id, from }) => [id, from]))
  return [
    ...chart.moves.flatMap(({ id, from, tries }) =>
      ids(tries?.reactions).map((reaction): MetWhere => ({ met: { by: 'move', move: id }, position: from, reaction })),
    ),
    ...chart.answers.flatMap(({ move, tries }, answer) =>
      ids(tries?.reactions).map((reaction): MetWhere => ({
        met: { by: 'answer', move, answer },
        position: present(fromOf.get(move)),
        reaction,
      })),
    ),
    ...chart.positions.flatMap(({ id, unprompted }) =>
      ids(unprompted?.reactions).map((reaction): MetWhere => ({ met: { by: 'unprompted' }, position: id, reaction })),
    ),
  ]
}

export const keyOfMet = ({ met, position, reaction }: MetWhere): string =>
  `${met.by === 'move' ? met.move : met.by === 'answer' ? `answer ${met.answer}` : position} ${reaction}`
