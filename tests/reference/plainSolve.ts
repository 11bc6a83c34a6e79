import type { PlainAction, PlainGame, PlainState } from './plainGame'

/** The equations of the method, as they stand, over the plain game. */

export interface Reach {
  finish: number
  caught: number
  ended: Record<'ours' | 'even' | 'theirs', number>
  /** Expected meetings by what met it ("move x", "answer 3" with tries of its own, "unprompted y") and the reaction. */
  meetings: Map<string, number>
  /** A sharp defender had to choose between ways equally bad for us, so that rounding may settle which is met. */
  tied: boolean
}

interface Deal {
  shares: number[]
  nothing: number
  tied: boolean
}

/** Shares of an action's reactions and of nothing, dealt by a defender of this sharpness. */
export function dealt(game: PlainGame, action: PlainAction, value: (state: PlainState) => number): Deal {
  const k = game.scenario.sharpness
  const mass = action.reactions.reduce((sum, [, , weight]) => sum + weight, 0)
  const cards = action.reactions.map(([, state, weight], i) => ({ i, value: value(state), most: weight / (1 - k) }))
  cards.push({ i: -1, value: value(action.nothing), most: k * mass })
  cards.sort((a, b) => a.value - b.value || (a.i < 0 ? 1 : b.i < 0 ? -1 : a.i - b.i))
  const shares: number[] = action.reactions.map(() => 0)
  let nothing = 0
  let left = mass
  for (const { i, most } of cards) {
    const share = Math.min(left, most)
    left -= share
    if (i < 0) nothing = share
    else shares[i] = share
    if (share > 0 && k > 0) game.rules.rule(i < 0 ? 'a sharp defender does nothing' : 'a sharp defender chooses')
  }
  const tied = k > 0 && cards.some(({ value }, i) => i > 0 && value - cards[i - 1].value < 1e-12)
  return { shares, nothing, tied }
}

/** Shares of what is seen on coming to a position, dealt worst for us first. */
export function dealtSights(game: PlainGame, { sights }: PlainState, value: (state: PlainState) => number): number[] {
  const k = game.scenario.sharpness
  const cards = sights!.map(({ state, share }, i) => ({ i, value: value(state), most: share / (1 - k) }))
  cards.sort((a, b) => a.value - b.value || a.i - b.i)
  const shares: number[] = sights!.map(() => 0)
  let left = 1
  for (const { i, most } of cards) {
    shares[i] = Math.min(left, most)
    left -= shares[i]
  }
  game.rules.rule(k > 0 ? 'a sharp defender makes us see it' : 'what is seen is dealt')
  return shares
}

const worthOfSights = (game: PlainGame, state: PlainState, value: (state: PlainState) => number): number =>
  dealtSights(game, state, value).reduce((sum, share, i) => sum + share * value(state.sights![i].state), 0)

export function passing({ breaks, threat, out }: PlainState, seconds: number) {
  let alive = 1
  let broken = 0
  let caught = 0
  let gone = 0
  for (let s = 0; s < seconds; s++) {
    broken += alive * breaks
    caught += alive * (1 - breaks) * threat
    gone += alive * (1 - breaks) * (1 - threat) * out
    alive *= (1 - breaks) * (1 - threat) * (1 - out)
  }
  return { alive, broken, caught, gone }
}

const caughtWorth = (game: PlainGame) => (game.scenario.objective === 'careful' ? -1 : 0)
const overWorth = ({ scenario }: PlainGame) => (scenario.objective === 'careful' ? scenario.ends.even : 0)

export function worthOf(
  game: PlainGame,
  state: PlainState,
  action: PlainAction,
  value: (state: PlainState) => number,
): number {
  const { alive, broken, caught, gone } = passing(state, action.seconds)
  const { shares, nothing } = dealt(game, action, value)
  let sum = (action.stalls + nothing) * value(action.nothing)
  for (const [to, chance] of action.fixed) sum += chance * value(to)
  action.reactions.forEach(([, to], i) => (sum += shares[i] * value(to)))
  return broken * state.worth + caught * caughtWorth(game) + gone * overWorth(game) + alive * sum
}

/** Fills every state's values for 0 to `seconds` seconds left. */
export function solvePlain(game: PlainGame, seconds: number): void {
  const states = [...game.states.values()]
  for (let t = 0; t <= seconds; t++) {
    for (const state of states) {
      if (state.terminal || t === 0) {
        state.values[t] = state.worth
        continue
      }
      if (state.sights) continue
      const fitting = state.actions.filter((action) => action.seconds <= t)
      if (!fitting.length) game.rules.rule('no action fits the clock')
      state.values[t] = fitting.length
        ? Math.max(...fitting.map((action) => worthOf(game, state, action, (to) => to.values[t - action.seconds])))
        : state.worth
    }
    for (const state of states)
      if (state.sights && t > 0) state.values[t] = worthOfSights(game, state, (to) => to.values[t])
  }
}

/** Values without a clock, by stepping until nothing moves; kept in `values[0]`. */
export function solvePlainUnclocked(game: PlainGame): void {
  const states = [...game.states.values()]
  for (const state of states) state.values = [state.worth]
  for (let change = 1; change > 1e-13;) {
    change = 0
    for (const state of states) {
      if (state.terminal) continue
      const value = state.sights
        ? worthOfSights(game, state, (to) => to.values[0])
        : Math.max(...state.actions.map((action) => worthOf(game, state, action, (to) => to.values[0])))
      change = Math.max(change, Math.abs(value - state.values[0]))
      state.values[0] = value
    }
  }
}

export function bestPlain(game: PlainGame, state: PlainState, t: number): PlainAction | undefined {
  const valued = state.actions
    .filter((action) => action.seconds <= t)
    .map((action) => ({ action, value: worthOf(game, state, action, (to) => to.values[t - action.seconds]) }))
  const most = Math.max(...valued.map(({ value }) => value))
  return valued.find(({ value }) => value >= most - 1e-12)?.action
}

function metBy(game: PlainGame, state: PlainState, { name, answer }: PlainAction): string {
  if (name === 'wait') return `unprompted ${state.position}`
  return (answer?.tries ?? answer?.race) ? `answer ${game.chart.answers.indexOf(answer)}` : `move ${name}`
}

/** What becomes of exchanges, and how often each reaction is met, by following the best actions forward. */
export function reachPlain(game: PlainGame, seconds: number): Reach {
  const reach: Reach = {
    finish: 0,
    caught: 0,
    ended: { ours: 0, even: 0, theirs: 0 },
    meetings: new Map(),
    tied: false,
  }
  const chances: Map<PlainState, number>[] = Array.from({ length: seconds + 1 }, () => new Map())
  chances[seconds].set(game.start, 1)
  const go = (t: number, state: PlainState, chance: number) =>
    chances[t].set(state, (chances[t].get(state) ?? 0) + chance)
  for (let t = seconds; t >= 0; t--) {
    for (const [state, chance] of [...chances[t]]) {
      if (!state.sights) continue
      chances[t].delete(state)
      const shares = dealtSights(game, state, (to) => to.values[t])
      shares.forEach((share, i) => go(t, state.sights![i].state, chance * share))
    }
    for (const [state, chance] of chances[t]) {
      if (state.terminal === 'caught') reach.caught += chance
      else if (state.terminal === 'over') reach.ended.even += chance
      else if (state.terminal) reach.finish += chance
      if (state.terminal) continue
      const action = t > 0 ? bestPlain(game, state, t) : undefined
      if (!action) {
        reach.ended[state.ending] += chance
        continue
      }
      const { alive, broken, caught, gone } = passing(state, action.seconds)
      reach.ended[state.ending] += chance * broken
      reach.ended.even += chance * gone
      reach.caught += chance * caught
      const left = t - action.seconds
      const { shares, nothing, tied } = dealt(game, action, (to) => to.values[left])
      if (tied) reach.tied = true
      go(left, action.nothing, chance * alive * (action.stalls + nothing))
      for (const [to, share] of action.fixed) go(left, to, chance * alive * share)
      action.reactions.forEach(([reaction, to], i) => {
        const key = `${metBy(game, state, action)} > ${reaction}`
        reach.meetings.set(key, (reach.meetings.get(key) ?? 0) + chance * alive * shares[i])
        go(left, to, chance * alive * shares[i])
      })
    }
  }
  return reach
}
