import type { Position } from '../../src/core/chart/position'
import type { RuleSet, ScoringAction } from '../../src/core/chart/rules/ruleSet'
import type { PlainAction, PlainGame, PlainState } from './plainGame'
import { dealt, dealtSights, passing } from './plainSolve'

/** What is known of a match besides its state, by words. */
export interface Known {
  score: number
  last: 'feet' | 'under ours' | 'over theirs' | 'we hold' | 'they hold' | 'nowhere'
  /** "ours mount": controls that have counted. */
  counted: readonly string[]
  /** What has happened and was not held for long enough yet. */
  pending: readonly string[]
  waited: number
}

const PINS = ['side', 'knee-ride', 'mount', 'north-south']
const ON_THE_GROUND = [...PINS, 'turtle', 'ride', 'back', 'crucifix']
const CONTROLS: [ScoringAction, string[]][] = [
  ['kneeRide', ['knee-ride']],
  ['mount', ['mount']],
  ['back', ['back']],
  ['exposure', PINS],
]
const isControl = (what: string) => CONTROLS.some(([control]) => what.endsWith(` ${control}`))

/**
 * The chance to win a match, straight from the equations and the words of the scoring, one question after the other.
 * `game`: the exchange without goals, where only finishes count.
 */
export class PlainWin {
  private readonly found = new Map<string, number>()
  private readonly points: Partial<Record<ScoringAction, number>>
  private readonly heldFor: number
  private readonly restart: string | undefined

  constructor(
    private readonly game: PlainGame,
    { points = {}, heldFor = 0 }: Pick<RuleSet, 'points' | 'heldFor'>,
    restart: string | null = null,
  ) {
    this.points = points
    this.heldFor = heldFor
    const onTheFeet = game.chart.positions.find(({ family, ahead }) => family === 'standing' && ahead === 'even')
    this.restart = restart ?? onTheFeet?.id
  }

  startValue(seconds: number, score: number): number {
    const { start } = this.game
    return this.value(seconds, start, this.begin(start, score))
  }

  value(t: number, state: PlainState, known: Known): number {
    if (state.terminal === 'over') return this.again(t, known.score)
    if (state.terminal) return state.terminal === 'caught' ? 0 : 1
    const key = JSON.stringify([t, state.key, known])
    const before = this.found.get(key)
    if (before !== undefined) return before
    const value = this.best(t, state, known)
    this.found.set(key, value)
    return value
  }

  private best(t: number, state: PlainState, known: Known): number {
    if (t === 0) return wonBy(known.score)
    if (state.sights) {
      const value = (to: PlainState) => this.value(t, to, known)
      return dealtSights(this.game, state, value).reduce(
        (sum, share, i) => sum + share * value(state.sights![i].state),
        0,
      )
    }
    const fitting = state.actions.filter(({ seconds }) => seconds <= t)
    if (!fitting.length) return wonBy(known.score)
    return Math.max(...fitting.map((action) => this.tried(t, state, known, action)))
  }

  private tried(t: number, state: PlainState, known: Known, action: PlainAction): number {
    const left = t - action.seconds
    const { alive, broken, gone } = passing(state, action.seconds)
    const waits = action.name === 'wait'
    const after = waits ? known : this.held(known, action.seconds)
    const coming = (to: PlainState, byTakedown = false) => this.come(left, to, after, byTakedown)
    const nothing = waits ? this.value(left, state, this.waited(known)) : coming(action.nothing)
    const valueOf = (to: PlainState) => (to === action.nothing ? nothing : coming(to))
    const { shares, nothing: dealtNothing } = dealt(this.game, action, valueOf)
    const isTakedown =
      !['wait', 'concede'].includes(action.name) && this.game.rules.move(action.name).kind === 'takedown'
    let sum = (action.stalls + dealtNothing) * nothing
    action.fixed.forEach(([to, chance], i) => (sum += chance * coming(to, isTakedown && i === 0 && action.lands)))
    action.reactions.forEach(([, to], i) => (sum += shares[i] * coming(to)))
    return alive * sum + (broken + gone > 0 ? (broken + gone) * this.again(left, known.score) : 0)
  }

  private again(t: number, score: number): number {
    if (this.restart === undefined) return wonBy(score)
    const state = this.game.own(this.restart)
    this.game.exhaust()
    return this.value(t, state, this.begin(state, score))
  }

  private begin(state: PlainState, score: number): Known {
    const fresh: Known = { score, last: 'nowhere', counted: [], pending: [], waited: 0 }
    if (state.terminal) return fresh
    const { family, ahead } = this.game.rules.position(state.position!)
    const own = CONTROLS.filter(([control, families]) => this.points[control] && families.includes(family))
    const counted = ahead === 'even' || isGuard(family) ? [] : own.map(([control]) => `${ahead} ${control}`)
    return this.known(state, { ...fresh, counted }, false)
  }

  private come(t: number, to: PlainState, known: Known, byTakedown: boolean | undefined): number {
    if (to.terminal) return this.value(t, to, known)
    if (to.reaction) return this.value(t, to, { ...known, waited: 0 })
    return this.value(t, to, this.known(to, known, byTakedown ?? false))
  }

  /** What is known once a position is come to: what scores is counted, or is pending until it was held. */
  private known(to: PlainState, before: Known, byTakedown: boolean): Known {
    const position = this.game.rules.position(to.position!)
    const { family } = position
    const ahead = isGuard(family) ? 'even' : position.ahead
    const where = zoneOf(position)
    const happened = this.happenings(position, before.last, byTakedown)
    const onTop = { ours: ['we hold', 'over theirs'], theirs: ['they hold', 'under ours'] }
    const stays = (what: string) => {
      const [side, name] = what.split(' ') as ['ours' | 'theirs', ScoringAction]
      if (!isControl(what)) return onTop[side].includes(where ?? '')
      return side === ahead && CONTROLS.find(([control]) => control === name)![1].includes(family)
    }
    const counted = before.counted.filter((what) => what.startsWith(`${ahead} `))
    const pending = before.pending.filter(stays)
    const controls = CONTROLS.filter(
      ([control, families]) =>
        this.points[control] &&
        ahead !== 'even' &&
        ON_THE_GROUND.includes(family) &&
        families.includes(family) &&
        !counted.includes(`${ahead} ${control}`),
    ).map(([control]) => `${ahead} ${control}`)
    const now = { ...before, last: where ?? before.last, counted, waited: 0 }
    const fresh = [...controls, ...happened]
    const all = [...new Set([...pending, ...fresh])].sort()
    return this.heldFor > 0 ? { ...now, pending: all } : this.scored({ ...now, pending: [] }, fresh)
  }

  private happenings(position: Position, last: Known['last'], byTakedown: boolean): string[] {
    const { family, ahead } = position
    const some: string[] = []
    const add = (side: string, what: ScoringAction) => this.points[what] && some.push(`${side} ${what}`)
    if (isGuard(family)) return this.intoGuard(position, last, byTakedown)
    if (!ON_THE_GROUND.includes(family) || ahead === 'even') return some
    const [under, over] = ahead === 'ours' ? ['under ours', 'over theirs'] : ['over theirs', 'under ours']
    if (last === 'feet') add(ahead, 'takedown')
    if (last === under && !['back', 'crucifix'].includes(family)) add(ahead, 'sweep')
    if (last === over && PINS.includes(family)) add(ahead, 'pass')
    return some
  }

  private intoGuard(position: Position, last: Known['last'], byTakedown: boolean): string[] {
    const isOurs = position.orientation?.below === 'ours'
    if (isOurs) return last === 'over theirs' && this.points.sweep ? ['theirs sweep'] : []
    return [
      ...(byTakedown && last === 'feet' && this.points.takedown ? ['ours takedown'] : []),
      ...(last === 'under ours' && this.points.sweep ? ['ours sweep'] : []),
    ]
  }

  private held(known: Known, seconds: number): Known {
    const { pending } = known
    if (pending.length && seconds >= this.heldFor) return this.scored({ ...known, pending: [], waited: 0 }, pending)
    return { ...known, waited: 0 }
  }

  private waited(known: Known): Known {
    const { pending, waited } = known
    if (!pending.length) return known
    if (waited + 1 >= this.heldFor) return this.scored({ ...known, pending: [], waited: 0 }, pending)
    return { ...known, waited: waited + 1 }
  }

  private scored(known: Known, what: readonly string[]): Known {
    let { score } = known
    const counted = new Set(known.counted)
    for (const one of [...what].sort((a, b) => Number(b.startsWith('ours')) - Number(a.startsWith('ours')))) {
      const [side, name] = one.split(' ') as ['ours' | 'theirs', ScoringAction]
      score += (side === 'ours' ? 1 : -1) * (this.points[name] ?? 0)
      score = Math.min(10, Math.max(-10, score))
      if (isControl(one)) counted.add(one)
    }
    return { ...known, score, counted: [...counted].sort() }
  }
}

const wonBy = (score: number) => (score === 0 ? 0.5 : score > 0 ? 1 : 0)
const isGuard = (family: string) => family === 'guard' || family === 'half-guard'

/** Where a position counts as; undefined: wherever they were before. */
function zoneOf({ family, ahead, orientation }: Position): Known['last'] | undefined {
  if (isGuard(family)) return orientation?.below === 'ours' ? 'under ours' : 'over theirs'
  if (family === 'standing' || family === 'clinch') return 'feet'
  if (!ON_THE_GROUND.includes(family) || ahead === 'even') return undefined
  return ahead === 'ours' ? 'we hold' : 'they hold'
}
