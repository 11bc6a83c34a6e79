import { NONE, TERMINAL, TERMINALS } from '../game/game'
import { follow, Ways } from '../solve/follow'
import type { Solution } from '../solve/solution'
import { present, sure } from '../sure'

/** Whose choices are played: the best plan's, or any that can be made, each as likely as the others. */
export const POLICIES = ['best', 'random'] as const
export type Policy = (typeof POLICIES)[number]

/** How an exchange can end: NONE where it is over without a terminal; worth −1 to 1. */
interface End {
  terminal: number
  worth: number
}

/** What many exchanges came to. `error`: the standard error of `worth`; the rest are shares of all of them, 0 to 1. */
export interface Played {
  games: number
  worth: number
  error: number
  /** By terminal; the last is without one. */
  ended: number[]
}

/** Below this an entry of a row can no longer be rolled. */
const NEVER = 1e-15

/**
 * A solution made ready to be played with dice very often: for each situation and second that comes up, one row of
 * where it can lead, with what is done there, what may break it off meanwhile and what is seen next rolled into one.
 * Plays the same game as `playOut`, with one draw a decision instead of three a second.
 */
export class CompiledPlay {
  /** By second and state: where its row begins, or 0. */
  private readonly rows: Int32Array
  /** Chances summed up along a row; the last of a row is infinite. */
  private upTo = new Float64Array(1024)
  /** Second and state that an entry leads to, or −1 less an end. */
  private to = new Int32Array(1024)
  private size = 1
  private readonly ends: End[] = []
  private readonly ways = new Ways()
  private readonly states: number
  private readonly row = new Map<number, number>()

  /** The solution must have a clock and have kept every second. */
  constructor(
    private readonly solution: Solution,
    private readonly policy: Policy = 'best',
  ) {
    this.states = solution.game.stateCount
    this.rows = new Int32Array((present(solution.seconds) + 1) * this.states)
  }

  /** Plays exchanges with `random` (0 to 1) and says what they came to. */
  play(games: number, random: () => number): Played {
    const start = this.key(present(this.solution.seconds), this.solution.game.start)
    const counts: number[] = []
    for (let i = 0; i < games; i++) {
      const end = this.once(start, random)
      counts[end] = (counts[end] ?? 0) + 1
    }
    return this.summed(games, counts)
  }

  /** Plays one exchange; returns which end. */
  private once(start: number, random: () => number): number {
    let at = start
    while (at >= 0) {
      let i = sure(this.rows[at]) || this.compile(at)
      const dice = random()
      while (dice >= sure(this.upTo[i])) i++
      at = sure(this.to[i])
    }
    return -1 - at
  }

  private summed(games: number, counts: readonly number[]): Played {
    const ended = Array.from({ length: TERMINALS + 1 }, (_, terminal) => this.countOf(terminal, counts) / games)
    let [sum, squares] = [0, 0]
    this.ends.forEach(({ worth }, i) => {
      const n = counts[i] ?? 0
      sum += n * worth
      squares += n * worth * worth
    })
    const worth = sum / games
    const error = Math.sqrt(Math.max(0, squares / games - worth * worth) / Math.max(1, games - 1))
    return { games, worth, error, ended }
  }

  private countOf(terminal: number, counts: readonly number[]): number {
    const isIt = (end: End) => (end.terminal === NONE ? TERMINALS : end.terminal) === terminal
    return this.ends.reduce((sum, end, i) => sum + (isIt(end) ? (counts[i] ?? 0) : 0), 0)
  }

  private key(t: number, state: number): number {
    return t * this.states + state
  }

  private end(terminal: number, worth: number): number {
    const known = this.ends.findIndex((one) => one.terminal === terminal && one.worth === worth)
    return -1 - (known < 0 ? this.ends.push({ terminal, worth }) - 1 : known)
  }

  /** Writes the row of a second and state; returns where it begins. */
  private compile(at: number): number {
    const state = at % this.states
    const t = (at - state) / this.states
    this.row.clear()
    this.arrive(t, state, 1)
    const begins = this.size
    let sum = 0
    for (const [to, chance] of this.row) this.write(to, (sum += chance))
    this.upTo[this.size - 1] = Infinity
    this.rows[at] = begins
    return begins
  }

  private write(to: number, upTo: number): void {
    if (this.size === this.to.length) {
      const [before, wasTo] = [this.upTo, this.to]
      this.upTo = new Float64Array(2 * this.size)
      this.to = new Int32Array(2 * this.size)
      this.upTo.set(before)
      this.to.set(wasTo)
    }
    this.upTo[this.size] = upTo
    this.to[this.size++] = to
  }

  private add(to: number, chance: number): void {
    if (chance > NEVER) this.row.set(to, (this.row.get(to) ?? 0) + chance)
  }

  /** What happens in a state with t seconds left, which comes up with a chance. */
  private arrive(t: number, state: number, chance: number): void {
    const { game, evaluator } = this.solution
    if (state >= game.arrivalsFrom && t > 0) {
      const i = state - game.arrivalsFrom
      const from = sure(game.sights[i])
      const shares = [...evaluator.dealtSights(state, t).subarray(0, sure(game.sights[i + 1]) - from)]
      shares.forEach((share, s) => this.arrive(t, sure(game.sightState[from + s]), chance * share))
      return
    }
    const actions = t > 0 ? this.actions(t, state) : []
    if (!actions.length) this.add(this.end(NONE, sure(game.groupWorth[sure(game.stateGroup[state])])), chance)
    for (const action of actions) this.act(t, state, action, chance / actions.length)
  }

  private actions(t: number, state: number): number[] {
    const { game, evaluator, policy } = this.solution
    if (this.policy === 'best') {
      const best = sure(present(policy)[this.key(t, state)])
      return best === NONE ? [] : [best]
    }
    const g = sure(game.stateGroup[state])
    const from = sure(game.groupActions[g])
    const all = Array.from({ length: sure(game.groupActions[g + 1]) - from }, (_, i) => from + i)
    return all.filter((action) => evaluator.actionInState(action, t, state) > -Infinity)
  }

  private act(t: number, state: number, action: number, chance: number): void {
    const { game, evaluator } = this.solution
    const group = sure(game.stateGroup[state])
    const breaks = sure(game.groupBreak[group])
    const threat = (1 - breaks) * sure(game.groupThreat[group])
    const out = (1 - breaks - threat) * sure(game.groupOut[group])
    const seconds = sure(game.actionSeconds[action])
    const alive = 1 - breaks - threat - out
    // The chance that a given second is still come to, summed over those that the action takes.
    const come = alive === 1 ? seconds : (1 - alive ** seconds) / (1 - alive)
    this.add(this.end(NONE, sure(game.groupWorth[group])), chance * breaks * come)
    this.terminal(TERMINAL.caught, chance * threat * come)
    this.terminal(TERMINAL.over, chance * out * come)
    follow(evaluator, action, t, state, this.ways)
    const left = t - seconds
    for (let i = 0; i < this.ways.count; i++) {
      const next = sure(this.ways.state[i])
      const share = chance * alive ** seconds * sure(this.ways.chance[i])
      if (next < TERMINALS) this.terminal(next, share)
      else this.add(this.key(left, next), share)
    }
  }

  private terminal(terminal: number, chance: number): void {
    this.add(this.end(terminal, sure(this.solution.game.terminalWorths[terminal])), chance)
  }
}
