import type { RuleSet } from '../../chart/rules/ruleSet'
import { failure, success, type Result } from '../../problem'
import { sure } from '../../sure'
import { ENDINGS, NONE, OUTCOME, TERMINAL, TERMINALS, terminalWorth, type Game } from '../game'
import { endsOfGroup, overSeconds } from '../layOut'
import { MAX_SCORE, type Scenario } from '../scenario'
import { Draft, type MatchRoots } from './draft'
import { NEVER } from './matchAction'
import { placeOf, type Place } from './places'
import { nameOf, Scoring, worthOfScore, type Standing } from './standing'

/** A state of the match: one of the game, with a standing by its number. */
interface MatchState {
  state: number
  standing: number
}

/** Kinds of what a standing may become: by each position, by seconds that have passed, by a second of waiting. */
const [LASTED, MOST_KINDS, SCORES] = [1_000_000, 2_000_000, 2 * MAX_SCORE + 1]

/** Standings by number, and what they become, each worked out once. */
class Standings {
  private readonly all: Standing[] = []
  private readonly numbers = new Map<string, number>()
  private readonly known = new Map<number, number>()

  constructor(
    private readonly scoring: Scoring,
    private readonly places: readonly Place[],
  ) {}

  private numberOf(standing: Standing): number {
    const name = nameOf(standing)
    const before = this.numbers.get(name)
    if (before !== undefined) return before
    this.numbers.set(name, this.all.length)
    return this.all.push(standing) - 1
  }

  at = (standing: number): Standing => sure(this.all[standing])

  /** Works out a standing once: `of` and `what` tell it from all others. */
  private once(of: number, what: number, find: () => Standing): number {
    const key = (of + 1) * MOST_KINDS + what
    const before = this.known.get(key)
    if (before !== undefined) return before
    const now = this.numberOf(find())
    this.known.set(key, now)
    return now
  }

  begin = (position: number, score: number): number =>
    this.once(-1, position * SCORES + score + MAX_SCORE, () => this.scoring.begin(sure(this.places[position]), score))

  come = (standing: number, position: number, byTakedown: boolean): number =>
    this.once(standing, 2 * position + Number(byTakedown), () =>
      this.scoring.come(this.at(standing), sure(this.places[position]), byTakedown),
    )

  lasted = (standing: number, seconds: number): number =>
    this.once(standing, LASTED + seconds, () => this.scoring.lasted(this.at(standing), seconds))

  waitedOn = (standing: number): number => this.once(standing, LASTED, () => this.scoring.waitedOn(this.at(standing)))

  /** Nothing was waited for yet. */
  fresh(standing: number): number {
    const before = this.at(standing)
    return before.waited ? this.numberOf({ ...before, waited: 0 }) : standing
  }

  /** Only the score is left. */
  decided = (standing: number): number =>
    this.numberOf({ score: this.at(standing).score, zone: NONE, counted: 0, pending: 0, waited: 0 })
}

/** Decided by the score, where there is no position to begin again in. */
const DECIDED = -1

/**
 * The game of a match that is to be won (5.12 of the model): each state of the exchange's game with each standing that
 * it can be come to with. What would end the exchange without a finish begins it again, where the scenario says.
 * `base`: the exchange without goals. Fails with `too-many-states`.
 */
export function matchGame(base: Game, scenario: Scenario, rules: RuleSet | undefined, limit: number): Result<Game> {
  const found = new MatchSearch(base, scenario, rules, limit)
  const draft = found.search()
  if (draft) return success(draft)
  return failure({
    code: 'too-many-states',
    path: ['scenario', 'objective'],
    message:
      `the plan has ${base.stateCount} situations, and to win the match each counts once for every score and for ` +
      `everything that has scored there: more than ${limit} in all`,
  })
}

class MatchSearch {
  private readonly standings: Standings
  private readonly known = new Map<number, number>()
  private readonly states: MatchState[] = []
  /** By group of the exchange and standing: the first state that was written down, which has the same actions. */
  private readonly written = new Map<number, number>()
  private readonly restart: number

  constructor(
    private readonly base: Game,
    private readonly scenario: Scenario,
    rules: RuleSet | undefined,
    private readonly limit: number,
  ) {
    const { index, ownState } = base.meaning
    this.standings = new Standings(
      new Scoring(rules),
      index.positions.map(({ record }) => placeOf(record)),
    )
    const position = restartOf(base, scenario)
    this.restart = position === undefined ? NONE : sure(ownState[position])
  }

  /** Null where there are too many. */
  search(): Game | null {
    const { base } = this
    const { ownState, stalledState, index } = base.meaning
    const own = (p: number) => this.begin(sure(ownState[p]), this.scenario.score)
    const from = sure(index.positionOf.get(this.scenario.start))
    const start = own(from)
    const draft = new Draft()
    if (!this.exhaust(draft)) return null
    const reached = this.states.length
    const starts = Int32Array.from({ length: SCORES }, (_, i) => this.begin(sure(ownState[from]), i - MAX_SCORE))
    const ownStates = ownState.map((state, p) => (state === NONE ? NONE : own(p)))
    const stalledStates = stalledState.map((state, m) =>
      state === NONE ? NONE : this.stateOf(state, this.standings.begin(sure(index.moves[m]).from, this.scenario.score)),
    )
    if (!this.exhaust(draft)) return null
    return this.layOut(draft, { start, reached, ownStates, stalledStates, starts })
  }

  private begin(state: number, score: number): number {
    return state < TERMINALS ? state : this.stateOf(state, this.standings.begin(this.positionAt(state), score))
  }

  /** The number of a state of the match, terminals first. */
  private stateOf(state: number, standing: number): number {
    if (state >= 0 && state < TERMINALS) return state
    const key = standing * (this.base.stateCount + 1) + state + 1
    const before = this.known.get(key)
    if (before !== undefined) return before
    const number = TERMINALS + this.states.length
    this.known.set(key, number)
    this.states.push({ state, standing })
    return number
  }

  private positionAt(state: number): number {
    const { stateGroup, meaning } = this.base
    return sure(meaning.groupPlace[sure(stateGroup[state])])
  }

  private isReaction(state: number): boolean {
    return this.base.groupIsReaction[sure(this.base.stateGroup[state])] === 1
  }

  /** The state that is come to with a standing; by a takedown that landed, or otherwise. */
  private arrive(state: number, standing: number, byTakedown = false): number {
    if (state === TERMINAL.over) return this.again(standing)
    if (state < TERMINALS) return state
    if (this.isReaction(state)) return this.stateOf(state, this.standings.fresh(standing))
    return this.stateOf(state, this.standings.come(standing, this.positionAt(state), byTakedown))
  }

  /** The match goes on where it begins again; what has been counted is cleared. */
  private again(standing: number): number {
    if (this.restart !== NONE) return this.begin(this.restart, this.standings.at(standing).score)
    return this.stateOf(DECIDED, this.standings.decided(standing))
  }

  /** Writes down what can be done in every state that was found. */
  private exhaust(draft: Draft): boolean {
    while (draft.stateCount < this.states.length) {
      if (this.states.length > this.limit) return false
      this.write(draft, sure(this.states[draft.stateCount]))
    }
    return true
  }

  private write(draft: Draft, { state, standing }: MatchState): void {
    const { base } = this
    draft.beginState()
    if (state === DECIDED) {
      const self = TERMINALS + draft.stateCount - 1
      draft.action({ move: NONE, answer: NONE, seconds: 1, nothing: NONE, slips: 0, slipsTo: NONE })
      return draft.outcome(self, 1, OUTCOME.elsewhere, NONE)
    }
    if (state >= base.arrivalsFrom) {
      const i = state - base.arrivalsFrom
      for (let s = sure(base.sights[i]); s < sure(base.sights[i + 1]); s++)
        draft.sight(
          this.stateOf(sure(base.sightState[s]), standing),
          sure(base.sightShare[s]),
          sure(base.meaning.sightCue[s]),
        )
      return
    }
    // Where waiting is worth as much as a move, whoever is ahead waits and whoever is not acts: the first counts.
    const isAhead = this.standings.at(standing).score > 0
    const canWait = !this.isReaction(state)
    if (canWait) draft.action(NEVER)
    if (canWait && isAhead) this.writeWaiting(draft, state, standing)
    this.writeMoves(draft, state, standing)
    if (canWait && !isAhead) this.writeWaiting(draft, state, standing)
  }

  /** Moves, answers and conceding. */
  private writeMoves(draft: Draft, state: number, standing: number): void {
    const { base } = this
    const g = sure(base.stateGroup[state])
    // How long it has been waited matters to nothing but waiting.
    const key = this.standings.fresh(standing) * base.groupCount + g
    const same = this.written.get(key)
    if (same === undefined) this.written.set(key, draft.stateCount - 1)
    const first = sure(base.groupActions[g]) + Number(!this.isReaction(state))
    for (let a = first; a < sure(base.groupActions[g + 1]); a++) {
      const hasStalled = base.stateStalled[state] === a
      if (same !== undefined) draft.again(same, !hasStalled)
      else this.writeAction(draft, a, g, standing)
      if (hasStalled) draft.stalled(sure(base.stateLoss[state]) * aliveOver(base, a, g))
    }
  }

  private writeWaiting(draft: Draft, state: number, standing: number): void {
    const { base } = this
    const g = sure(base.stateGroup[state])
    const a = sure(base.groupActions[g])
    const ends = overSeconds(endsOfGroup(base, g), sure(base.actionSeconds[a]))
    const stays = this.stateOf(state, this.standings.waitedOn(standing))
    draft.action({
      move: NONE,
      answer: NONE,
      seconds: sure(base.actionSeconds[a]),
      nothing: stays,
      slips: 0,
      slipsTo: NONE,
    })
    draft.outcome(stays, ends.alive * (1 - sure(base.actionMass[a])), OUTCOME.stalls, NONE)
    this.writeEnds(draft, ends, standing)
    this.writeReactions(draft, a, ends.alive, standing)
  }

  private writeAction(draft: Draft, a: number, g: number, standing: number): void {
    const { base } = this
    const seconds = sure(base.actionSeconds[a])
    const ends = overSeconds(endsOfGroup(base, g), seconds)
    const after = this.standings.lasted(standing, seconds)
    const at = (to: number) => (to === NONE ? NONE : this.arrive(to, after))
    draft.action({
      ...{ move: sure(base.meaning.actionMove[a]), answer: sure(base.meaning.actionAnswer[a]), seconds },
      ...{ nothing: at(sure(base.actionNothing[a])), slips: sure(base.actionSlips[a]) },
      slipsTo: at(sure(base.actionSlipsTo[a])),
    })
    this.writePlain(draft, a, ends.alive, after)
    this.writeEnds(draft, ends, standing)
    this.writeReactions(draft, a, ends.alive, after)
  }

  /** What ends the exchange while an action is done. */
  private writeEnds(draft: Draft, { broken, caught, gone }: ReturnType<typeof overSeconds>, standing: number): void {
    if (caught > 0) draft.outcome(TERMINAL.caught, caught, OUTCOME.elsewhere, NONE)
    if (broken + gone > 0) draft.outcome(this.again(standing), broken + gone, OUTCOME.elsewhere, NONE)
  }

  private writePlain(draft: Draft, a: number, alive: number, after: number): void {
    const { base } = this
    const move = sure(base.meaning.actionMove[a])
    const isTakedown = move !== NONE && sure(base.meaning.index.moves[move]).record.kind === 'takedown'
    for (let o = sure(base.outcomes[a]); o < sure(base.reactionsFrom[a]); o++) {
      const kind = sure(base.meaning.outcomeKind[o])
      const to = this.arrive(sure(base.outcomeState[o]), after, isTakedown && kind === OUTCOME.lands)
      draft.outcome(to, sure(base.outcomeChance[o]) * alive, kind, NONE)
    }
  }

  private writeReactions(draft: Draft, a: number, alive: number, after: number): void {
    const { base } = this
    draft.reactionsBegin()
    for (let o = sure(base.reactionsFrom[a]); o < sure(base.outcomes[a + 1]); o++) {
      const to = this.arrive(sure(base.outcomeState[o]), after)
      draft.outcome(to, sure(base.outcomeChance[o]) * alive, OUTCOME.reaction, sure(base.meaning.outcomeReaction[o]))
    }
  }

  private layOut(draft: Draft, roots: MatchRoots): Game {
    const { base, states } = this
    const isArrival = (i: number) => sure(states[i]).state >= base.arrivalsFrom
    const groups = states.map(({ state, standing }) => {
      const g = state === DECIDED ? NONE : sure(base.stateGroup[state])
      const { score } = this.standings.at(standing)
      return {
        score,
        worth: worthOfScore(score),
        ending: ENDINGS.indexOf(score > 0 ? 'ours' : score < 0 ? 'theirs' : 'even'),
        isReaction: g === NONE || base.groupIsReaction[g] === 1,
        place: g === NONE ? 0 : sure(base.meaning.groupPlace[g]),
        holds: g === NONE ? 0n : sure(base.meaning.groupHolds[g]),
        seen: g === NONE ? NONE : sure(base.meaning.groupSeen[g]),
        stalled: g === NONE ? NONE : sure(base.meaning.groupStalled[g]),
      }
    })
    const game = draft.layOut(groups, isArrival, { ...roots, index: base.meaning.index, maxSeconds: base.maxSeconds })
    return { ...game, scenario: this.scenario, terminalWorths: terminalWorth(this.scenario) }
  }
}

/** The chance that nothing ends the exchange while an action is done. */
const aliveOver = (base: Game, a: number, g: number): number =>
  overSeconds(endsOfGroup(base, g), sure(base.actionSeconds[a])).alive

/** Where the match begins again: in the position of the scenario, else in the first on the feet with nobody ahead. */
function restartOf({ meaning }: Game, { restart }: Scenario): number | undefined {
  const { positions, positionOf } = meaning.index
  const set = restart === null ? undefined : positionOf.get(restart)
  if (set !== undefined) return set
  const first = positions.findIndex(({ record }) => record.family === 'standing' && record.ahead === 'even')
  return first < 0 ? undefined : first
}
