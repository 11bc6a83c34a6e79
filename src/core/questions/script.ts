import { sure } from '../sure'
import type { Chart } from '../chart/chart'
import { NOTHING_SEEN } from '../chart/cue'
import type { CueId, MoveId, PlaceId, PositionId, ReactionId } from '../chart/ids'
import { keysOf } from '../typed'
import { cueId, isProbe, moveId, positionId, reactionId } from '../game/describe'
import { NONE, OUTCOME, TERMINAL, TERMINALS, type Game } from '../game/game'
import { loopsOf, type Loop } from './loops'
import { solved } from './solved'
import { walkPlan } from './walkPlan'
import { follow, Ways } from '../solve/follow'
import { sightsOf } from '../solve/sights'
import { fullClock, tieTolerance, type Solution } from '../solve/solution'

/**
 * One place of the plan and what is done there: a position, perhaps with a move just stalled, or a reaction that was
 * met.
 */
export interface ScriptStep {
  key: number
  /** The position; for a reaction, where conceding leads. */
  position: PlaceId
  reaction?: ReactionId
  stalled?: MoveId
  /** What is seen there, where the plan chooses by it. */
  seen?: CueId | typeof NOTHING_SEEN
  /** What is done is only shown. */
  isShown?: boolean
  /** A move, or what is done instead of one; `look`: one sees first. */
  does: MoveId | 'wait' | 'concede' | 'look' | null
  value: number
  /** Expected times that an exchange from the script’s start comes here without having left the script. */
  reach: number
  /** Chance that nothing breaks it off while it is done. */
  alive: number
  /** The most frequent first; nothing in particular is seen after what is. */
  ways: ScriptWay[]
}

export type ScriptEnd = keyof typeof TERMINAL

export interface ScriptWay {
  kind: 'lands' | 'nothing' | 'elsewhere' | 'reaction' | 'seen'
  reaction?: ReactionId
  cue?: CueId | typeof NOTHING_SEEN
  share: number
  /** Key of the step that it leads to, or how it ends. `open`: the script ends before it. */
  to: number | ScriptEnd
  position: PositionId | ScriptEnd
}

export interface Script {
  start: number
  /** Steps in the order in which they are told. */
  steps: ScriptStep[]
  /** Share of exchanges that stay within it: that do what is told, and end or time out without leaving it. */
  covered: number
  loops: Loop[]
}

/** How long a script is: until it covers `share` of all exchanges, or has `steps` steps. */
export interface ScriptLength {
  share: number
  steps: number
}

/** What they do less often is not what a move is shown for. */
export const EXPECTED = 0.15

const ENDS: Readonly<Record<number, ScriptEnd>> = Object.fromEntries(
  keysOf(TERMINAL).map((end) => [TERMINAL[end], end]),
)

const KINDS: Readonly<Record<number, ScriptWay['kind']>> = {
  [OUTCOME.lands]: 'lands',
  [OUTCOME.stalls]: 'nothing',
  [OUTCOME.reaction]: 'reaction',
}

/**
 * The best plan from the start of a solution at the full clock: those places are told to which most exchanges come that
 * have left nothing told before, until the script covers what was asked. Null where nothing is played from there.
 */
export function scriptOf(solution: Solution, length: ScriptLength): Script | null {
  return solution.game.start < TERMINALS ? null : new Telling(solution, length).script()
}

/**
 * The best plan from any position of a chart, in the scenario of a solution of it: that keeps the seconds only of what
 * its own start comes to. Null where nothing is played from there, or that cannot be computed.
 */
export function scriptFrom(chart: Chart, known: Solution, from: PositionId, length: ScriptLength): Script | null {
  const { scenario } = known.game
  const isKnown = scenario.start === from
  const solution = isKnown ? known : solved(chart, { ...scenario, start: from }, { roots: 'start', everySecond: true })
  return solution && scriptOf(solution, length)
}

/** A state that is not told yet: the chance to come to it, and the seconds left then in the mean. */
interface Waiting {
  chance: number
  left: number
}

class Telling {
  private readonly told = new Map<number, { step: ScriptStep; action: number }>()
  private waiting = new Map<number, Waiting>()
  private outside = 1
  private readonly ways = new Ways()

  constructor(
    private readonly solution: Solution,
    private readonly length: ScriptLength,
  ) {}

  script(): Script {
    const { start } = this.solution.game
    this.waiting.set(start, { chance: 1, left: fullClock(this.solution) })
    while (this.told.size < this.length.steps && this.waiting.size && this.outside > 1 - this.length.share) {
      const [state] = [...this.waiting].reduce((best, one) => (one[1].chance > best[1].chance ? one : best))
      this.tell(state)
      this.measure()
    }
    const steps = inOrder(new Map([...this.told].map(([key, { step }]) => [key, step])), start)
    return { start, steps, covered: 1 - this.outside, loops: loopsOf(this.solution, steps) }
  }

  /** Follows the plan as far as it is told: how often each step is come to, and where it is left. */
  private measure(): void {
    for (const { step } of this.told.values()) step.reach = 0
    const left = new Map<number, { chance: number; seconds: number }>()
    this.outside = 0
    walkPlan(this.solution, {
      enter: (state, { chance, left: seconds, action }) => {
        const told = this.told.get(state)
        if (told) told.step.reach += chance
        // With less time the plan may do otherwise than is told.
        if (told && (told.action === action || action === NONE)) return 0
        this.outside += chance
        if (told) return null
        const before = left.get(state) ?? { chance: 0, seconds: 0 }
        left.set(state, { chance: before.chance + chance, seconds: before.seconds + chance * seconds })
        return null
      },
    })
    this.waiting = new Map(
      [...left].map(([state, { chance, seconds }]) => [state, { chance, left: Math.round(seconds / chance) }]),
    )
  }

  private tell(state: number): void {
    const { evaluator, game, values } = this.solution
    const left = this.waiting.get(state)?.left ?? fullClock(this.solution)
    if (state >= game.arrivalsFrom) return this.tellSights(state, left)
    const action = left === 0 ? NONE : evaluator.bestAction(left, state, tieTolerance(this.solution))
    const step: ScriptStep = {
      ...placeOf(game, state),
      does: nameOf(game, state, action),
      ...(isProbe(game, action) ? { isShown: true } : {}),
      value: sure(values[state]),
      reach: 0,
      alive: action === NONE ? 0 : sure(game.actionAlive[action]),
      ways: [],
    }
    this.told.set(state, { step, action })
    this.waiting.delete(state)
    if (action === NONE) return
    follow(evaluator, action, left, state, this.ways)
    const { count, outcome, state: to, chance } = this.ways
    const found = Array.from({ length: count }, (_, i) => this.way(sure(outcome[i]), sure(to[i]), sure(chance[i])))
    step.ways = found.filter(({ share }) => share > 0).sort((a, b) => b.share - a.share)
    if (step.isShown) this.tellExpected(step)
  }

  /** What is seen on coming to a position, and what is done then in each case. */
  private tellSights(state: number, left: number): void {
    const { game, values } = this.solution
    const ways = sightsOf(this.solution, state, left)
      .filter(({ share }) => share > 0)
      .map(({ cue, state: to, share }): ScriptWay => ({
        ...{ kind: 'seen', cue: cueId(game, cue), share, to, position: positionOf(game, to) },
      }))
      .sort((a, b) => Number(a.cue === NOTHING_SEEN) - Number(b.cue === NOTHING_SEEN) || b.share - a.share)
    const place = { key: state, position: positionOf(game, state) }
    const step: ScriptStep = { ...place, does: 'look', value: sure(values[state]), reach: 0, alive: 1, ways }
    this.told.set(state, { step, action: NONE })
    this.waiting.delete(state)
  }

  /** Tells the reaction that a move is shown for right after it, however seldom it is met. */
  private tellExpected({ ways }: ScriptStep): void {
    this.measure()
    for (const { kind, share, to } of ways) {
      if (kind === 'reaction' && share >= EXPECTED && typeof to === 'number' && this.waiting.has(to)) this.tell(to)
    }
  }

  private way(o: number, to: number, share: number): ScriptWay {
    const { game } = this.solution
    const kind = o === NONE ? OUTCOME.stalls : sure(game.meaning.outcomeKind[o])
    const name = KINDS[kind] ?? 'elsewhere'
    const met = kind === OUTCOME.reaction ? { reaction: reactionId(game, sure(game.meaning.outcomeReaction[o])) } : {}
    const end = ENDS[to]
    if (end) return { kind: name, ...met, share, to: end, position: end }
    return { kind: name, ...met, share, to, position: placeOf(game, to).position }
  }
}

/** The position that a state is in. */
const positionOf = (game: Game, state: number): PositionId =>
  positionId(game, sure(game.meaning.groupPlace[sure(game.stateGroup[state])]))

function placeOf({ stateGroup, groupIsReaction, stateStalled, meaning, groupActions }: Game, state: number) {
  const game = { meaning }
  const g = sure(stateGroup[state])
  const place = sure(meaning.groupPlace[g])
  if (groupIsReaction[g]) {
    return {
      key: state,
      reaction: reactionId(game, place),
      position: sure(meaning.index.reactions[place]).record.endsIn,
    }
  }
  const stalled = sure(stateStalled[state])
  const move =
    stalled === NONE || stalled < sure(groupActions[g])
      ? sure(meaning.groupStalled[g])
      : sure(meaning.actionMove[stalled])
  const seen = sure(meaning.index.positions[place]).seen.length ? { seen: cueId(game, sure(meaning.groupSeen[g])) } : {}
  const just = move === NONE ? {} : { stalled: moveId(game, move) }
  return { key: state, position: positionId(game, place), ...just, ...seen }
}

function nameOf(game: Game, state: number, action: number): ScriptStep['does'] {
  if (action === NONE) return null
  const move = sure(game.meaning.actionMove[action])
  if (move !== NONE) return moveId(game, move)
  return game.groupIsReaction[sure(game.stateGroup[state])] ? 'concede' : 'wait'
}

/** From the start on, each step followed by what comes of it most. */
function inOrder(told: Map<number, ScriptStep>, start: number): ScriptStep[] {
  const steps: ScriptStep[] = []
  const seen = new Set<number>()
  const tell = (key: number) => {
    const step = told.get(key)
    if (!step || seen.has(key)) return
    seen.add(key)
    steps.push(step)
    for (const { to } of step.ways) if (typeof to === 'number') tell(to)
  }
  tell(start)
  return steps
}
