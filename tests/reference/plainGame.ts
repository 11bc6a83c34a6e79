import type { Answer } from '../../src/core/chart/answer'
import type { Chart } from '../../src/core/chart/chart'
import type { Move } from '../../src/core/chart/move'
import type { Scenario } from '../../src/core/game/scenario'
import { PlainRules, type Fired, type Ids, type Shares } from './plainRules'

type Terminal = 'finish' | 'caught' | 'goal' | 'over'
const isTerminal = (place: string): place is Terminal => ['finish', 'caught', 'over'].includes(place)

/** A position with holds and what just stalled, or a reaction with holds and what met it. */
export interface PlainState {
  key: string
  terminal?: Terminal
  position?: string
  reaction?: string
  holds: Set<string>
  stalled?: string | undefined
  /** The cue that is seen; `nothing`; absent where nothing is dealt. */
  seen?: string
  /** What may be seen on coming here, with its share; nothing is done here then. */
  sights?: { seen: string; state: PlainState; share: number }[]
  met?: { move?: string; from: string }
  worth: number
  ending: 'ours' | 'even' | 'theirs'
  breaks: number
  threat: number
  out: number
  actions: PlainAction[]
  values: number[]
}

export interface PlainAction {
  name: string
  answer?: Answer | undefined
  seconds: number
  fixed: [PlainState, number][]
  reactions: [string, PlainState, number][]
  /** Where stalling leads, and (waiting) what happens when they do nothing. */
  nothing: PlainState
  stalls: number
  /** The first of `fixed` is where it lands. */
  lands?: boolean
}

/** What counts as the same try: a move that is only shown is written down as one of its own, and is not another one. */
const sameTry = (id: string | undefined) => id?.replace(/-shown$/, '')

const keyOf = (position: string, holds: Ids, stalled: string | undefined) =>
  `${position} [${[...holds].sort()}] ${stalled ?? ''}`

/** Every state reached from the start, as objects that point at each other. */
export class PlainGame {
  readonly rules: PlainRules
  readonly states = new Map<string, PlainState>()
  readonly start: PlainState
  private readonly queue: PlainState[] = []

  constructor(
    readonly chart: Chart,
    readonly scenario: Scenario,
    fired: Fired = new Map(),
  ) {
    this.rules = new PlainRules(chart, scenario.holds, fired)
    this.start = this.own(scenario.start)
    if (this.start.terminal) this.rules.rule('the start is a goal')
    this.exhaust()
  }

  exhaust(): void {
    while (this.queue.length) {
      const state = this.queue.shift()!
      state.actions = state.reaction ? this.reactionActions(state) : this.positionActions(state)
    }
  }

  own(id: string, stalled?: string): PlainState {
    if (isTerminal(id)) return this.terminal(id)
    return this.at(id, this.rules.own(id), stalled)
  }

  private terminal(terminal: Terminal): PlainState {
    const known = this.states.get(terminal)
    if (known) return known
    const isCareful = this.scenario.objective === 'careful'
    const worth = { finish: 1, goal: 1, caught: isCareful ? -1 : 0, over: isCareful ? this.scenario.ends.even : 0 }[
      terminal
    ]
    const chances = { breaks: 0, threat: 0, out: 0 }
    const base = { holds: new Set<string>(), ending: 'even' as const, ...chances, actions: [], values: [] }
    const state: PlainState = { key: terminal, terminal, worth, ...base }
    this.states.set(terminal, state)
    return state
  }

  at(position: string, holds: Set<string>, stalled?: string): PlainState {
    if ((this.scenario.goal as string[]).includes(position)) {
      this.rules.rule('a goal is reached')
      return this.terminal('goal')
    }
    if (this.rules.position(position).seen) return this.arrival(position, holds, stalled)
    return this.state(keyOf(position, holds, stalled), { position, holds, stalled }, position)
  }

  /** Coming to a position where what is seen is dealt: our holds make some of it rarer. */
  private arrival(position: string, holds: Set<string>, stalled?: string): PlainState {
    const { seen } = this.rules.position(position)
    const all = Object.values(seen!).reduce((sum, n) => sum + n, 0)
    let nothing = seen!.nothing ?? 0
    const weights = this.chart.cues!.flatMap((cue): [string, number][] => {
      const n = seen![cue.id] ?? 0
      const left = this.rules.left(cue, holds, 'ours')
      if (n > 0) this.rules.rule(left < 1 ? 'our holds hinder a cue' : 'a cue')
      nothing += n * (1 - left)
      return [[cue.id, n * left]]
    })
    const sights = [...weights, ['nothing', nothing] as [string, number]]
      .filter(([, weight]) => weight > 1e-12)
      .map(([cue, weight]) => ({
        ...{ seen: cue, share: weight / all },
        state: this.state(
          `${keyOf(position, holds, stalled)} ${cue}`,
          { position, holds, stalled, seen: cue },
          position,
        ),
      }))
    return this.state(`${keyOf(position, holds, stalled)} to see`, { position, holds, stalled, sights }, position)
  }

  metState(reaction: string, holds: Set<string>, met: { move?: string; from: string }): PlainState {
    const key = `? ${reaction} [${[...holds].sort()}] ${met.move ?? 'unprompted'} ${met.from}`
    return this.state(key, { reaction, holds, met }, this.rules.reaction(reaction).endsIn)
  }

  private state(key: string, parts: Pick<PlainState, 'holds'> & Partial<PlainState>, place: string): PlainState {
    const known = this.states.get(key)
    if (known) return known
    const record = isTerminal(place) ? undefined : this.rules.position(place)
    const { scenario } = this
    if (record?.endWorth !== undefined) this.rules.rule('a position has its own worth')
    if (record?.breakUp !== undefined) this.rules.rule('a position has its own break-up')
    const ending = record?.ahead ?? (place === 'over' ? 'even' : 'theirs')
    const breakUp = record?.breakUp ?? scenario.breakUp
    let threat = 0
    if (record?.threat) {
      const left = this.rules.left(record.threat, parts.holds, 'ours')
      this.rules.rule(left < 1 ? 'our holds hinder a threat' : 'a threat')
      threat = left / record.threat.every
    }
    let out = 0
    if (record?.out) {
      const left = this.rules.left(record.out, parts.holds, 'ours')
      this.rules.rule(left < 1 ? 'our holds keep them from getting out' : 'they get out')
      out = left / record.out.every
    }
    const worth = scenario.objective === 'careful' ? (record?.endWorth ?? scenario.ends[ending]) : 0
    const breaks = breakUp === null ? 0 : 1 / breakUp
    const state: PlainState = { key, ...parts, worth, ending, breaks, threat, out, actions: [], values: [] }
    this.states.set(key, state)
    this.queue.push(state)
    return state
  }

  private positionActions(state: PlainState): PlainAction[] {
    const { rules, chart } = this
    const { position, holds, stalled } = state
    const record = rules.position(position!)
    if (state.sights) return []
    const wait: PlainAction = { name: 'wait', seconds: 1, fixed: [], reactions: [], nothing: state, stalls: 1 }
    const { unprompted } = record
    if (unprompted) {
      const all = Object.values(unprompted.reactions).reduce((sum, n) => sum + n, 0)
      for (const reaction of chart.reactions) {
        const chance =
          ((unprompted.reactions[reaction.id] ?? 0) * rules.left(reaction, holds, 'ours')) / all / unprompted.every
        if (chance <= 1e-12) continue
        rules.rule('unprompted')
        wait.reactions.push([reaction.id, this.meets(reaction.id, holds, new Set(), { from: position! }), chance])
        wait.stalls -= chance
      }
    }
    const moves = chart.moves.filter(
      ({ from, reply, when }) =>
        from === position && !reply && (!when?.length || (when as string[]).includes(state.seen ?? '')),
    )
    return [
      wait,
      ...moves.flatMap((move) => {
        const shares = rules.shares(move.id, move, holds, sameTry(move.id) === sameTry(stalled), this.scenario.repeat)
        if (!shares) return []
        const { stallsIn } = move
        if (stallsIn && stallsIn !== position)
          rules.rule(`a move stalls in ${isTerminal(stallsIn) ? stallsIn : 'another position'}`)
        if (move.when?.length) rules.rule('a move waits for a cue')
        const nothing = !stallsIn || stallsIn === position ? this.stalledHere(state, move.id) : this.own(stallsIn)
        return [this.slipping(move, this.tried(move.id, undefined, shares, holds, true, nothing))]
      }),
    ]
  }

  /** The same state with a move just stalled: what is seen stays. */
  private stalledHere({ position, holds, seen }: PlainState, stalled: string): PlainState {
    const key = keyOf(position!, holds, stalled)
    if (seen === undefined) return this.at(position!, holds, stalled)
    return this.state(`${key} ${seen}`, { position: position!, holds, stalled, seen }, position!)
  }

  /** A part of what comes to nothing in place loses the position. */
  private slipping(move: Move, action: PlainAction): PlainAction {
    const { slipsTo, ahead, id } = this.rules.position(move.from)
    const to = slipsTo ?? (ahead === 'theirs' ? undefined : 'over')
    const slipped = action.stalls * (move.slips ?? this.scenario.slips)
    if (to === undefined || (move.stallsIn ?? id) !== id || slipped === 0) return action
    this.rules.rule(`a try slips to ${isTerminal(to) ? to : 'a position'}`)
    return { ...action, stalls: action.stalls - slipped, fixed: [...action.fixed, [this.own(to), slipped]] }
  }

  private reactionActions(state: PlainState): PlainAction[] {
    const { rules } = this
    const { holds, met } = state
    const reaction = rules.reaction(state.reaction!)
    const home = reaction.endsIn === met!.from
    let conceded: PlainState
    if (home) {
      const stalled = met!.move && rules.move(met!.move).reply ? undefined : met!.move
      conceded = this.at(reaction.endsIn, holds, stalled)
      rules.rule(met!.move ? 'conceded where the move is from' : 'conceded where they were unprompted')
    } else if (isTerminal(reaction.endsIn)) conceded = this.terminal(reaction.endsIn)
    else {
      const own = rules.minus(rules.own(reaction.endsIn), rules.ids(reaction.strips))
      conceded = this.at(reaction.endsIn, rules.settle(own, rules.ids(reaction.adds)))
    }
    const fixed: [PlainState, number][] = [[conceded, 1]]
    const concede = {
      name: 'concede',
      seconds: reaction.seconds ?? 2,
      fixed,
      reactions: [],
      nothing: conceded,
      stalls: 0,
    }
    const answers = this.chart.answers.filter((answer) => answer.reaction === reaction.id)
    return [
      concede,
      ...answers.flatMap((answer) => {
        const move = rules.move(answer.move)
        const isOwn = answer.tries ?? answer.race
        rules.rule(isOwn ? 'an answer with tries' : 'an answer that borrows tries')
        if (move.reply) rules.rule(isOwn ? 'an answer only in reply, with its own tries' : 'an answer only in reply')
        const shares = rules.shares(move.id, isOwn ? answer : move, holds, false, 1)
        if (!shares) return []
        if (answer.stallsIn) rules.rule('an answer stalls elsewhere')
        const stayed = home && reaction.endsIn === move.from
        return [
          this.tried(move.id, answer, shares, holds, stayed, answer.stallsIn ? this.own(answer.stallsIn) : conceded),
        ]
      }),
    ]
  }

  private meets(reaction: string, holds: Ids, drops: Ids, met: { move?: string; from: string }): PlainState {
    const { rules } = this
    const record = rules.reaction(reaction)
    if (rules.ids(record.strips).size) rules.rule('a reaction strips')
    if (rules.ids(record.adds).size) rules.rule('a reaction adds')
    if (isTerminal(record.endsIn)) rules.rule(`a reaction that ends in ${record.endsIn}`)
    const left = rules.minus(holds, drops, rules.ids(record.strips))
    return this.metState(reaction, rules.settle(left, rules.ids(record.adds)), met)
  }

  private tried(
    id: string,
    answer: Answer | undefined,
    shares: Shares,
    holds: Ids,
    stayed: boolean,
    nothing: PlainState,
  ): PlainAction {
    const move = this.rules.move(id)
    const fixed: [PlainState, number][] = []
    if (shares.lands) fixed.push([this.landing(id, holds, stayed), shares.lands])
    for (const [place, chance] of shares.elsewhere) {
      this.rules.rule(isTerminal(place) ? `elsewhere is ${place}` : 'elsewhere')
      fixed.push([this.own(place), chance])
    }
    const drops = this.rules.ids(move.drops)
    const reactions = shares.reactions.map(([reaction, chance]): [string, PlainState, number] => [
      reaction,
      this.meets(reaction, holds, drops, { move: id, from: move.from }),
      chance,
    ])
    return {
      name: id,
      answer,
      seconds: move.seconds ?? 5,
      fixed,
      reactions,
      nothing,
      stalls: shares.stalls,
      lands: shares.lands > 0,
    }
  }

  private landing(id: string, holds: Ids, stayed: boolean): PlainState {
    const { rules } = this
    const move = rules.move(id)
    if (move.to === 'finish') return this.terminal('finish')
    const adds = rules.ids(move.adds)
    const done = rules.settle(rules.minus(holds, rules.ids(move.drops), rules.ids(move.strips)), adds)
    if (move.to === move.from && !move.across && stayed) {
      rules.rule('lands in place')
      return this.at(move.to, done)
    }
    const sameFrame = rules.position(move.from).frame === rules.position(move.to).frame
    if (move.across) rules.rule('lands across')
    else rules.rule(sameFrame ? 'carries its holds along' : 'carries only what it keeps')
    const keeps = rules.ids(move.keeps)
    const carried =
      move.across || !sameFrame ? new Set([...done].filter((hold) => keeps.has(hold) || adds.has(hold))) : done
    return this.at(move.to, rules.settle(rules.settle(carried, rules.own(move.to)), adds))
  }
}
