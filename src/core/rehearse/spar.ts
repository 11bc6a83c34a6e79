import { randomLcg } from 'd3-random'
import { askedKey, type Asked } from '../club/rehearsed'
import { actionName, cueId, isProbe, positionId, reactionId } from '../game/describe'
import { NONE, OUTCOME, TERMINAL, TERMINALS } from '../game/game'
import { MAX_SHARPNESS } from '../game/scenario'
import { seedOf } from '../seed'
import { Exchange } from '../simulate/playOut'
import type { Solution } from '../solve/solution'
import { present, sure } from '../sure'
import { CONCEDE, WAIT } from './choices'

/** Something that can be done now. `does`: id of a move, `wait` or `concede`; `worth`: with the best plan after it. */
export interface Option {
  action: number
  does: string
  isShown: boolean
  worth: number
}

/** What came of a choice. `place`: id of the position where one is then. */
export type Came =
  | { of: 'lands' | 'stalls' | 'slips' | 'elsewhere' | 'held' | 'conceded'; place: string }
  | { of: 'reaction'; reaction: string }
  | { of: 'end'; how: HowEnded }

/** How an exchange ended: in a terminal, by being broken up, with the clock, or where the chart goes no further. */
export type HowEnded = keyof typeof TERMINAL | 'broken up' | 'time' | 'beyond'

/** A choice that was made, against the best one. `cost`: in worth, 0 to 2, exactly. `t`: seconds left before it. */
export interface Choice {
  asked: Asked
  t: number
  chosen: Option
  best: Option
  cost: number
  came: Came
}

/** An exchange with a partner so far: what was chosen, and what can be done now, or how it ended. */
export interface Spar {
  /** Of the start, as the plan foretells it, and what it came to. */
  value: number
  choices: Choice[]
  turn: { asked: Asked; t: number; options: Option[] } | null
  ended: { how: HowEnded; worth: number } | null
}

/**
 * Spars with the plan: a partner does what the chart says, with dice that follow from the seed and the number of the
 * choice. `chosen`: the actions so far; what comes after an action that cannot be done now is left out. The solution
 * must have a clock and have kept every second.
 */
export function sparWith(solution: Solution, seed: number, chosen: readonly number[]): Spar {
  const sparring = new Sparring(solution, seed)
  for (const action of chosen) if (!sparring.choose(action)) break
  return sparring.soFar()
}

class Sparring {
  private random = () => 0
  private readonly exchange: Exchange
  private readonly choices: Choice[] = []
  private before: Asked | null = null

  constructor(
    private readonly solution: Solution,
    private readonly seed: number,
  ) {
    this.roll()
    this.exchange = new Exchange(solution, () => this.random())
  }

  /** The partner's dice for the next choice: the same whatever was chosen before. */
  private roll(): void {
    this.random = randomLcg(seedOf(`${this.seed} ${this.choices.length}`))
  }

  soFar(): Spar {
    const { solution, choices, exchange } = this
    const options = this.options()
    const value = sure(solution.values[solution.game.start])
    const { ended } = exchange
    if (!ended && this.isBeyond(options)) {
      const worth = sure(options[0]).worth
      return { value, choices, turn: null, ended: { how: 'beyond', worth } }
    }
    if (!ended && options.length)
      return { value, choices, turn: { asked: this.asked(), t: exchange.t, options }, ended: null }
    // Where something could be done if there were time, it is the clock that ends it.
    const how = ended ? this.how() : exchange.t <= 0 || this.withTime().length ? 'time' : 'broken up'
    if (!ended) exchange.take(NONE)
    return { value, choices, turn: null, ended: { how, worth: present(exchange.ended).worth } }
  }

  choose(action: number): boolean {
    const options = this.options()
    const picked = options.find((one) => one.action === action)
    if (!picked) return false
    const best = options.reduce((most, one) => (one.worth > most.worth ? one : most))
    const asked = this.asked()
    const { t } = this.exchange
    this.roll()
    const outcome = this.exchange.take(action)
    this.before = {
      position: asked.position,
      ...(picked.does === WAIT || picked.does === CONCEDE ? {} : { move: picked.does }),
    }
    const cost = best.worth - picked.worth
    this.choices.push({ asked, t, chosen: picked, best, cost, came: this.came(outcome, action) })
    return true
  }

  /** What can be done now, or could be with `t` seconds left: of what has the same name, the best. */
  private options(t = this.exchange.t): Option[] {
    const { game, evaluator } = this.solution
    const { state, ended } = this.exchange
    if (ended || t <= 0) return []
    const g = sure(game.stateGroup[state])
    const byName = new Map<string, Option>()
    for (let a = sure(game.groupActions[g]); a < sure(game.groupActions[g + 1]); a++) {
      const worth = evaluator.actionInState(a, t, state)
      if (worth === -Infinity) continue
      const one = { action: a, does: actionName(game, a), isShown: isProbe(game, a), worth }
      const name = `${one.does} ${one.isShown}`
      const known = byName.get(name)
      if (!known || known.worth < worth) byName.set(name, one)
    }
    return [...byName.values()]
  }

  /** What could be done here if the clock stood at its beginning. */
  private withTime = (): Option[] => this.options(present(this.solution.seconds))

  /** It is said what it is worth here, and nothing can come of holding still but that: there is nothing to choose. */
  private isBeyond([only]: readonly Option[]): boolean {
    const { game } = this.solution
    const g = sure(game.stateGroup[this.exchange.state])
    if (only?.does !== WAIT || this.withTime().length > 1 || sure(game.groupIsReaction[g])) return false
    const { record } = sure(game.meaning.index.positions[sure(game.meaning.groupPlace[g])])
    const { endWorth, unprompted, threat, out } = record
    return endWorth !== undefined && !unprompted && !threat && !out
  }

  /** The question that the situation puts, as a card would. */
  private asked(): Asked {
    const { game } = this.solution
    const g = sure(game.stateGroup[this.exchange.state])
    const place = sure(game.meaning.groupPlace[g])
    if (sure(game.groupIsReaction[g])) return { ...present(this.before), reaction: reactionId(game, place) }
    const position = positionId(game, place)
    const { groupSeen, index } = game.meaning
    const isSeen = index.positions[place]?.record.seen !== undefined
    return { position, ...(isSeen ? { cue: cueId(game, sure(groupSeen[g])) } : {}) }
  }

  private came(outcome: number, action: number): Came {
    const { game, evaluator } = this.solution
    const { ended, state } = this.exchange
    const kind = outcome === NONE ? undefined : game.meaning.outcomeKind[outcome]
    if (ended) return { of: 'end', how: this.how() }
    if (kind === OUTCOME.reaction)
      return { of: 'reaction', reaction: reactionId(game, sure(game.meaning.outcomeReaction[outcome])) }
    const place = positionId(game, sure(game.meaning.groupPlace[sure(game.stateGroup[state])]))
    if (kind === OUTCOME.lands) return { of: 'lands', place }
    if (kind === OUTCOME.slips) return { of: 'slips', place }
    if (kind === OUTCOME.elsewhere) return { of: 'elsewhere', place }
    if (actionName(game, action) === CONCEDE) return { of: 'conceded', place }
    return { of: evaluator.isWaiting(action, state) ? 'held' : 'stalls', place }
  }

  private how(): HowEnded {
    const { terminal } = present(this.exchange.ended)
    if (terminal !== NONE && terminal < TERMINALS) return present(ENDS.find(([, id]) => id === terminal))[0]
    return 'broken up'
  }
}

const ENDS = Object.entries(TERMINAL) as [keyof typeof TERMINAL, number][]

/** A choice that costs less is nothing to learn from. */
const NOTEWORTHY = 0.005

/** The choices that cost most, one for each question, the costliest first. */
export function costliest(choices: readonly Choice[], n: number): Choice[] {
  const costly = choices.filter(({ cost }) => cost > NOTEWORTHY).toSorted((a, b) => b.cost - a.cost)
  const isFirst = (one: Choice, i: number) =>
    costly.findIndex((other) => askedKey(other.asked) === askedKey(one.asked)) === i
  return costly.filter(isFirst).slice(0, n)
}

/** How sharp the next partner is, 0 to 0.9, after one who was so sharp and choices that cost so much in all. */
export function nextSharpness(sharpness: number, cost: number): number {
  const step = cost < WELL ? STEP : cost > BADLY ? -STEP : 0
  return Math.round(10 * Math.min(MAX_SHARPNESS, Math.max(0, sharpness + step))) / 10
}
const [WELL, BADLY, STEP] = [0.03, 0.15, 0.1]
