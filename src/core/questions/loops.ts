import { sure, present } from '../sure'
import { toPositionId, type PositionId } from '../chart/ids'
import { NONE, TERMINAL, type Game } from '../game/game'
import type { Solution } from '../solve/solution'
import { walkPlan } from './walkPlan'

/** What of a step of the script says where it leads. */
interface LoopStep {
  key: number
  position: string
  reaction?: string
  reach: number
  /** `to`: the key of a step, or how it ends. */
  ways: readonly { to: number | string; share: number }[]
}

/** A set of places from each of which the plan comes back to the others. */
export interface Loop {
  /** Keys of the steps, those come to most first. */
  steps: number[]
  /** The position of it that exchanges come to most. */
  position: PositionId
  /** Of exchanges that come to that position, by the whole plan: the chance that they finish in the end; */
  finish: number
  /** and that they leave it and come to it again. */
  again: number
}

/**
 * The loops of a script, those that exchanges come to most first. Strongly connected components (Tarjan 1972) of its
 * steps; what comes of them is followed along the whole plan.
 */
export function loopsOf(solution: Solution, steps: readonly LoopStep[]): Loop[] {
  const byKey = new Map(steps.map((step) => [step.key, step]))
  const reachOf = (key: number) => present(byKey.get(key)).reach
  return components(steps)
    .filter((keys) => new Set(keys.map((key) => present(byKey.get(key)).position)).size > 1)
    .flatMap((keys): Loop[] => {
      const sorted = [...keys].sort((a, b) => reachOf(b) - reachOf(a))
      const most = sorted.map((key) => present(byKey.get(key))).find(({ reaction }) => reaction === undefined)
      if (!most) return []
      const position = toPositionId(most.position)
      return [{ steps: sorted, position, ...whatComesOf(solution, position) }]
    })
    .sort((a, b) => reachOf(sure(b.steps[0])) - reachOf(sure(a.steps[0])))
}

const targets = ({ ways }: LoopStep) =>
  ways.flatMap(({ to, share }) => (typeof to === 'number' && share > 0 ? [to] : []))

function components(steps: readonly LoopStep[]): number[][] {
  const byKey = new Map(steps.map((step) => [step.key, step]))
  const index = new Map<number, number>()
  const low = new Map<number, number>()
  const stack: number[] = []
  const found: number[][] = []
  const visit = (key: number) => {
    index.set(key, index.size)
    low.set(key, present(index.get(key)))
    stack.push(key)
    for (const to of targets(present(byKey.get(key)))) {
      if (!byKey.has(to)) continue
      if (!index.has(to)) visit(to)
      if (stack.includes(to)) low.set(key, Math.min(present(low.get(key)), present(low.get(to))))
    }
    if (low.get(key) !== index.get(key)) return
    found.push(stack.splice(stack.indexOf(key)))
  }
  for (const { key } of steps) if (!index.has(key)) visit(key)
  return found
}

/** Where an exchange is: it has not come to the place, is in it, has left it, or has come again. */
const MARK = { before: 0, inside: 1, left: 2, again: 3 } as const

/** What comes of exchanges that come to a position on their way along the plan. */
function whatComesOf(solution: Solution, position: PositionId): Pick<Loop, 'finish' | 'again'> {
  const isThere = statesOf(solution.game, position)
  let [came, again, finish] = [0, 0, 0]
  walkPlan(solution, {
    enter: (state, { mark, chance }) => {
      if (!isThere[state]) return mark === MARK.inside ? MARK.left : mark
      if (mark === MARK.before) came += chance
      if (mark === MARK.left) again += chance
      return mark === MARK.before ? MARK.inside : mark === MARK.left ? MARK.again : mark
    },
    end: (terminal, mark, chance) => {
      if (mark !== MARK.before && (terminal === TERMINAL.finish || terminal === TERMINAL.goal)) finish += chance
    },
  })
  return { finish: finish / came, again: again / came }
}

/** By state: 1 in the position, whatever is on and has stalled. What they do that ends there does not leave it. */
function statesOf({ stateGroup, groupIsReaction, meaning }: Game, position: PositionId): Uint8Array {
  const wanted = present(meaning.index.positionOf.get(position))
  return Uint8Array.from(stateGroup, (g) => {
    if (g === NONE) return 0
    const place = sure(meaning.groupPlace[g])
    return Number((groupIsReaction[g] ? sure(meaning.index.reactions[place]).endsIn : place) === wanted)
  })
}
