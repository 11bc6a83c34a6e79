import { sure } from '../sure'
import type { Chart } from '../chart/chart'
import { probeOf, type ProbeFactors } from '../chart/probe'
import { isOwn, wholeOf, type Goes, type Whole } from '../chart/tries'
import { isLike, likeCounts } from './alike'
import { inFull } from './describe'
import { NONE, OUTCOME, type Game } from './game'
import {
  chancesASecond,
  leftOf,
  reactionLeft,
  repeatLoss,
  sharesWith,
  triedAgain,
  type Left,
  type Shares,
} from './rules'
import { asProbe, Counter, reactionsOf, type TryCounts } from './tryCounts'

/** The tries of a chart, and what they do unprompted, as counts by index. */
export interface Counts {
  /** Of each move, then of each answer; null for an answer that borrows the tries of its move. */
  tries: (TryCounts | null)[]
  /** By position. */
  unprompted: TryCounts['reactions'][]
}

/**
 * Fills a compiled game with other numbers of tries, which takes a fraction of compiling. States, actions and outcomes
 * stay; only chances are computed again. What the holds leave of each try is looked up once.
 */
export class Refill {
  /** The chart's tries as they stand, in the order of `Counts`. */
  readonly guesses: readonly (Whole | undefined)[]
  readonly counts: Counts
  private readonly counter: Counter
  /**
   * By action: the index into `Counts.tries`, the factors of a move that is only shown, and what the holds leave; NONE
   * and null for waiting.
   */
  private readonly owner: Int32Array
  private readonly probe: (ProbeFactors | null)[]
  private readonly left: (Left | null)[]
  /** By group: what is left of each unprompted reaction. */
  private readonly unprompted: (number[] | null)[]

  /** `chart`: the chart that `game` was compiled from. */
  constructor(
    private readonly game: Game,
    private readonly chart: Chart,
  ) {
    const { index, actionMove, actionAnswer, groupHolds, groupPlace } = game.meaning
    this.counter = new Counter(chart)
    this.guesses = [...chart.moves, ...chart.answers].map((record) => (isOwn(record) ? wholeOf(record) : undefined))
    this.counts = this.countsOf(chart)
    this.owner = actionMove.map((m, a) => {
      const own = actionAnswer[a] === NONE ? NONE : chart.moves.length + sure(actionAnswer[a])
      return m === NONE ? NONE : own !== NONE && this.guesses[own] ? own : inFull(game, m)
    })
    this.probe = Array.from(actionMove, (m) => {
      const move = index.moves[m]
      return move?.probeOf === undefined ? null : probeOf(move.record.probe, game.scenario.probe)
    })
    this.left = new Array<Left | null>(actionMove.length).fill(null)
    this.unprompted = new Array<number[] | null>(game.groupCount).fill(null)
    for (let g = 0; g < game.groupCount; g++) {
      for (let a = sure(game.groupActions[g]); a < sure(game.groupActions[g + 1]); a++) {
        if (this.owner[a] !== NONE)
          this.left[a] = leftOf(
            index,
            sure(index.moves[sure(actionMove[a])]),
            this.triesOf(a, this.counts),
            sure(groupHolds[g]),
          )
      }
      if (game.groupIsReaction[g]) continue
      const { unprompted } = sure(index.positions[sure(groupPlace[g])])
      if (unprompted.length) this.unprompted[g] = unprompted.map(([r]) => reactionLeft(index, r, sure(groupHolds[g])))
    }
  }

  countsOf({ moves, answers, positions }: Pick<Chart, 'moves' | 'answers' | 'positions'>): Counts {
    return {
      tries: [...moves, ...answers].map((record) => this.ownCounts(record)),
      unprompted: positions.map(({ unprompted }) => this.counter.reactions(unprompted?.reactions)),
    }
  }

  private ownCounts(record: Goes): TryCounts | null {
    return isOwn(record) ? this.counter.tries(wholeOf(record)) : null
  }

  /**
   * The counts of another chart, if it differs only in numbers of tries. Null where it differs elsewhere, names a
   * reaction or place that had no tries, or lands where nothing landed (or the other way round). `isExact`: null, too,
   * where something that had tries has none any more, so that the game is just as it would be compiled.
   */
  countsLike(chart: Chart, isExact = false): Counts | null {
    if (!isLike(this.chart, chart)) return null
    const wanted = this.countsOf(chart)
    const tries = this.counts.tries.map((one, i) => one && this.likeOwn(one, wanted.tries[i]!, isExact))
    return tries.some((one, i) => !one && this.counts.tries[i]) ? null : { ...wanted, tries }
  }

  /** `likeCounts`; null, too, where what could be only shown meets nothing any more, so that nobody shows it. */
  private likeOwn(were: TryCounts, now: TryCounts, isExact: boolean): TryCounts | null {
    const isShownNoMore = this.game.scenario.probe && reactionsOf(were).length > 0 && !reactionsOf(now).length
    return isShownNoMore ? null : likeCounts(were, now, isExact)
  }

  /** The game with these counts; null where something that could be tried no longer can. */
  with(counts: Counts): Game | null {
    const { game } = this
    const filled: Game = {
      ...game,
      outcomeChance: game.outcomeChance.slice(),
      actionMass: game.actionMass.slice(),
      stateLoss: game.stateLoss.slice(),
    }
    for (let g = 0; g < game.groupCount; g++) {
      if (this.unprompted[g]) this.fillWaiting(filled, g, counts)
      for (let a = sure(game.groupActions[g]); a < sure(game.groupActions[g + 1]); a++) {
        if (!this.fillAction(filled, g, a, counts)) return null
      }
    }
    return this.fillLosses(filled, counts) ? filled : null
  }

  private triesOf(a: number, { tries }: Counts): TryCounts {
    const whole = tries[sure(this.owner[a])]!
    const factors = this.probe[a]
    return factors ? asProbe(whole, factors) : whole
  }

  /** Fills what repeated tries lose. False where something can no longer be tried again, or now can. */
  private fillLosses(filled: Game, counts: Counts): boolean {
    const { stateStalled, stateLoss, scenario } = this.game
    return stateStalled.every((a, state) => {
      if (a === NONE || !this.left[a]) return true
      const shares = sharesWith(this.triesOf(a, counts), this.left[a])
      const loss = shares && repeatLoss(shares, scenario.repeat)
      filled.stateLoss[state] = loss ?? NaN
      return (loss === null) === Number.isNaN(stateLoss[state])
    })
  }

  private fillWaiting(filled: Game, g: number, counts: Counts): void {
    const place = sure(this.game.meaning.groupPlace[g])
    const { every } = sure(this.chart.positions[place]).unprompted!
    fillReactions(
      filled,
      sure(this.game.groupActions[g]),
      chancesASecond(sure(counts.unprompted[place]), every, this.unprompted[g]!),
    )
  }

  /** Fills one action. False where only stalling could come of it. */
  private fillAction(filled: Game, g: number, a: number, counts: Counts): boolean {
    const { game } = this
    const left = this.left[a]
    if (!left) return true
    const like = sure(game.actionLike[a])
    if (like !== a) {
      copyAction(filled, like, a)
      return true
    }
    const { actionMove, groupStalled, outcomeKind } = game.meaning
    const fresh = sharesWith(this.triesOf(a, counts), left)
    const isAgain = groupStalled[g] !== NONE && inFull(game, sure(actionMove[a])) === groupStalled[g]
    const shares = fresh && isAgain ? triedAgain(fresh, game.scenario.repeat) : fresh
    if (!shares) return false
    const slips = sure(game.actionSlips[a])
    let elsewhere = 0
    for (let o = sure(game.outcomes[a]); o < sure(game.reactionsFrom[a]); o++) {
      const kind = outcomeKind[o]
      if (kind === OUTCOME.lands) filled.outcomeChance[o] = shares.lands
      else if (kind === OUTCOME.stalls) filled.outcomeChance[o] = shares.stalls * (1 - slips)
      else if (kind === OUTCOME.slips) filled.outcomeChance[o] = shares.stalls * slips
      else filled.outcomeChance[o] = sure(shares.elsewhere[elsewhere++])[1]
    }
    fillReactions(filled, a, shares.reactions)
    return true
  }
}

function copyAction({ outcomes, outcomeChance, actionMass }: Game, from: number, to: number): void {
  outcomeChance.copyWithin(sure(outcomes[to]), sure(outcomes[from]), sure(outcomes[from + 1]))
  actionMass[to] = sure(actionMass[from])
}

/** Both are in the order of the chart's reactions. */
function fillReactions(game: Game, a: number, shares: Shares['reactions']): void {
  const { outcomeReaction } = game.meaning
  let at = 0
  let mass = 0
  for (let o = sure(game.reactionsFrom[a]); o < sure(game.outcomes[a + 1]); o++) {
    while (at < shares.length && sure(shares[at])[0] < sure(outcomeReaction[o])) at++
    const chance = shares[at]?.[0] === outcomeReaction[o] ? sure(shares[at])[1] : 0
    game.outcomeChance[o] = chance
    mass += chance
  }
  game.actionMass[a] = mass
}
