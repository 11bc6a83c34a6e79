import { sure } from '../sure'
import { CAUGHT, OVER } from './tryCounts'
import { ENDINGS, NONE, OUTCOME, TERMINAL, TERMINALS, terminalWorth, type Game } from './game'
import type { Position, Threat } from '../chart/position'
import { isStoodUp } from '../chart/rules/ruleSets'
import type { Ahead } from '../chart/words'
import type { Scenario } from './scenario'
import type { ChartIndex } from './chartIndex'
import type { DraftAction, DraftGroup, DraftOutcomes } from './drafts'
import type { Search } from './search'

interface Roots {
  start: number
  /** Number of states that the search from the start found, terminals counted. */
  reachedStates: number
  ownState: Int32Array
  stalledState: Int32Array
}

/** Lays the searched states out in rows: the states of a group side by side, their actions and outcomes in order. */
export function layOut(search: Search, scenario: Scenario, roots: Roots): Game {
  const groups = [...search.groups, ...search.arrivals]
  const stateCount = search.stateGroup.length
  const number = renumber(groups, stateCount)
  const arrivalsFrom = stateCount - search.sights.size
  const actions = groups.flatMap((group) => group.actions)
  const renamed = (states: Int32Array) => states.map((state) => (state === NONE ? NONE : sure(number[state])))
  const reached = new Uint8Array(stateCount)
  for (let found = 0; found < roots.reachedStates; found++) reached[sure(number[found])] = 1
  const perGroup = groupRows(groups, search.index, scenario)
  const { actionMove, actionAnswer, ...perAction } = actionRows(actions, perGroup, scenario, number)
  const { sightCue, ...seenRows } = sightRows(search, number)
  const { kinds, reactions, ...rows } = outcomeRows(actions, search.outcomes, number)
  const game: Game = {
    scenario,
    stateCount,
    reachedCount: reached.subarray(TERMINALS, arrivalsFrom).reduce((count, is) => count + is, 0),
    reached,
    start: sure(number[roots.start]),
    terminalWorths: terminalWorth(scenario),
    maxSeconds: actions.reduce((most, { seconds }) => Math.max(most, seconds), 1),
    groupCount: search.groups.length,
    ...perGroup,
    ...stateRows(search, groups, perGroup.groupStates, perGroup.groupActions, number),
    ...perAction,
    ...rows,
    arrivalsFrom,
    ...seenRows,
    meaning: {
      index: search.index,
      ownState: renamed(roots.ownState),
      stalledState: renamed(roots.stalledState),
      groupPlace: column(groups.length, (g) => sure(groups[g]).place),
      groupStalled: column(groups.length, (g) => sure(groups[g]).stalled),
      groupHolds: groups.map(({ holds }) => holds),
      groupSeen: column(groups.length, (g) => sure(groups[g]).seen),
      sightCue,
      actionMove,
      actionAnswer,
      outcomeKind: kinds,
      outcomeReaction: reactions,
    },
  }
  assertRows(game)
  return game
}

/** New number of each found state, group by group, so that a row of values is read in order. */
function renumber(groups: DraftGroup[], stateCount: number): Int32Array {
  const number = new Int32Array(stateCount)
  for (let terminal = 0; terminal < TERMINALS; terminal++) number[terminal] = terminal
  let next = TERMINALS
  for (const { states } of groups) for (const state of states) number[state] = next++
  return number
}

/** Where each of `count` rows starts, of which `lengthOf` says the length; and where the last one ends. */
function starts(count: number, lengthOf: (row: number) => number, first = 0): Int32Array {
  const rows = new Int32Array(count + 1)
  rows[0] = first
  for (let i = 0; i < count; i++) rows[i + 1] = sure(rows[i]) + lengthOf(i)
  return rows
}

/** A column of whole numbers of which `valueOf` says each. */
function column(count: number, valueOf: (row: number) => number): Int32Array {
  const rows = new Int32Array(count)
  for (let i = 0; i < count; i++) rows[i] = valueOf(i)
  return rows
}

/** Who is ahead where an exchange has ended. */
const ENDS: Readonly<Record<number, Ahead>> = { [CAUGHT]: 'theirs', [OVER]: 'even' }

function groupRows(groups: readonly DraftGroup[], index: ChartIndex, scenario: Scenario) {
  const count = groups.length
  const rows = {
    groupStates: starts(count, (g) => sure(groups[g]).states.length, TERMINALS),
    groupActions: starts(count, (g) => sure(groups[g]).actions.length),
    groupIsReaction: Uint8Array.from(groups, ({ isReaction }) => Number(isReaction)),
    groupWorth: new Float64Array(count),
    groupEnding: new Uint8Array(count),
    groupIsBehind: new Uint8Array(count),
    groupBreak: new Float64Array(count),
    groupThreat: new Float64Array(count),
    groupOut: new Float64Array(count),
  }
  groups.forEach(({ isReaction, place, holds }, g) => {
    const position = isReaction ? sure(index.reactions[place]).endsIn : place
    const record = position < 0 ? undefined : sure(index.positions[position]).record
    const ahead = record?.ahead ?? ENDS[position] ?? 'theirs'
    const worth = record?.endWorth ?? scenario.ends[ahead]
    const breakUp = record?.breakUp ?? scenario.breakUp
    rows.groupWorth[g] = scenario.objective === 'careful' ? worth : 0
    rows.groupEnding[g] = ENDINGS.indexOf(ahead)
    rows.groupIsBehind[g] = Number(worth < 0)
    rows.groupBreak[g] = breakUp === null ? 0 : 1 / breakUp
    const everySecond = (what: Threat | undefined) => (what ? index.holds.left(what, holds, 'ours') / what.every : 0)
    const struck = position < 0 ? undefined : sure(index.positions[position]).struck
    rows.groupThreat[g] = 1 - (1 - everySecond(record?.threat)) * (1 - everySecond(struck))
    rows.groupOut[g] = 1 - (1 - everySecond(record?.out)) * (1 - stoodUpASecond(record, scenario))
  })
  return rows
}

/** What may be seen on each arrival, in the order of the arrivals' numbers. */
function sightRows({ arrivals, sights }: Search, number: Int32Array) {
  const seen = arrivals.flatMap(({ states }) => states.map((state) => sights.get(state)!))
  const all = seen.flat()
  return {
    sights: starts(seen.length, (i) => sure(seen[i]).length),
    sightState: Int32Array.from(all, ({ state }) => sure(number[state])),
    sightShare: Float64Array.from(all, ({ share }) => share),
    sightCue: Int32Array.from(all, ({ cue }) => cue),
  }
}

function stateRows(
  search: Search,
  groups: readonly DraftGroup[],
  groupStates: Int32Array,
  groupActions: Int32Array,
  number: Int32Array,
) {
  const stateCount = search.stateGroup.length
  const stateGroup = new Int32Array(stateCount).fill(NONE)
  const stateStalled = new Int32Array(stateCount).fill(NONE)
  const stateLoss = new Float64Array(stateCount)
  groups.forEach((group, g) => {
    stateGroup.fill(g, groupStates[g], groupStates[g + 1])
    group.states.forEach((found, i) => {
      const [state, move] = [sure(number[found]), sure(group.justStalled[i])]
      if (move === NONE || group.isReaction || g >= search.groups.length) return
      stateStalled[state] = sure(groupActions[g]) + group.actions.findIndex((action) => action.move === move)
      stateLoss[state] = search.lossOf(group, move) ?? NaN
    })
  })
  return { stateGroup, stateStalled, stateLoss }
}

function actionRows(
  actions: DraftAction[],
  perGroup: ReturnType<typeof groupRows>,
  scenario: Scenario,
  number: Int32Array,
) {
  const count = actions.length
  const rows = {
    actionMove: new Int32Array(count),
    actionAnswer: new Int32Array(count),
    actionLike: new Int32Array(count),
    actionSeconds: new Int32Array(count),
    actionSlips: new Float64Array(count),
    actionSlipsTo: new Int32Array(count),
    actionNothing: new Int32Array(count),
  }
  for (let a = 0; a < count; a++) {
    const action = sure(actions[a])
    // An action of several groups is like the first of them.
    if (action.row === NONE) action.row = a
    rows.actionMove[a] = action.move
    rows.actionAnswer[a] = action.answer
    rows.actionLike[a] = action.row
    rows.actionSeconds[a] = action.seconds
    rows.actionSlips[a] = action.slips
    rows.actionSlipsTo[a] = action.slipsTo === NONE ? NONE : sure(number[action.slipsTo])
    rows.actionNothing[a] = action.nothing === NONE ? NONE : sure(number[action.nothing])
  }
  return { ...rows, ...tollsOf({ ...perGroup, ...rows, terminalWorths: terminalWorth(scenario) }) }
}

type Tolled = Pick<
  Game,
  'groupBreak' | 'groupThreat' | 'groupOut' | 'groupWorth' | 'groupActions' | 'actionSeconds' | 'terminalWorths'
>

/** What may end the exchange while an action is done: the chance that nothing does, and what it is worth if it does. */
export function tollsOf(game: Tolled): Pick<Game, 'actionToll' | 'actionAlive'> {
  const { groupWorth, groupActions, actionSeconds, terminalWorths } = game
  const actionToll = new Float64Array(actionSeconds.length)
  const actionAlive = new Float64Array(actionSeconds.length)
  const over = remembered()
  groupWorth.forEach((worth, g) => {
    const ends = endsOfGroup(game, g)
    for (let a = sure(groupActions[g]); a < sure(groupActions[g + 1]); a++) {
      const { alive, broken, caught, gone } = over(ends, sure(actionSeconds[a]))
      actionAlive[a] = alive
      actionToll[a] = broken * worth + caught * terminalWorths[TERMINAL.caught] + gone * terminalWorths[TERMINAL.over]
    }
  })
  return { actionToll, actionAlive }
}

/** The outcomes of each action in a row; an action that stands in several groups has a row in each. */
function outcomeRows(actions: DraftAction[], { kind, state, chance, reaction }: DraftOutcomes, number: Int32Array) {
  const outcomes = starts(actions.length, (a) => sure(actions[a]).to - sure(actions[a]).from)
  const total = sure(outcomes[actions.length])
  const rows = {
    outcomes,
    reactionsFrom: new Int32Array(actions.length),
    actionLanding: new Int32Array(actions.length).fill(NONE),
    actionMass: new Float64Array(actions.length),
    outcomeState: new Int32Array(total),
    outcomeChance: new Float64Array(total),
    kinds: new Uint8Array(total),
    reactions: new Int32Array(total),
  }
  actions.forEach(({ from, to }, a) => {
    let at = sure(outcomes[a])
    rows.reactionsFrom[a] = sure(outcomes[a + 1])
    for (let o = to - 1; o >= from && kind[o] === OUTCOME.reaction; o--) rows.reactionsFrom[a] = at + o - from
    for (let o = from; o < to; o++, at++) {
      rows.outcomeState[at] = sure(number[sure(state[o])])
      rows.outcomeChance[at] = sure(chance[o])
      rows.kinds[at] = sure(kind[o])
      rows.reactions[at] = sure(reaction[o])
      if (kind[o] === OUTCOME.lands) rows.actionLanding[a] = sure(rows.outcomeState[at])
      if (kind[o] === OUTCOME.reaction) rows.actionMass[a] = sure(rows.actionMass[a]) + sure(chance[o])
    }
  })
  return rows
}

const ROUNDING = 1e-12

/** The chance a second that the referee stands the two up in a position. */
const stoodUpASecond = (record: Position | undefined, { stoodUp }: Scenario): number =>
  record && stoodUp !== null && isStoodUp(record) ? 1 / stoodUp : 0

/** Of the exchanges that are over in a group without breaking up: the share that the referee has stood up. */
export function shareStoodUp({ scenario, groupOut, groupIsReaction, meaning }: Game, g: number): number {
  const { index, groupPlace } = meaning
  const place = sure(groupPlace[g])
  const position = groupIsReaction[g] ? sure(index.reactions[place]).endsIn : place
  const stands = stoodUpASecond(index.positions[position]?.record, scenario)
  const over = sure(groupOut[g])
  if (stands === 0 || over === 0) return 0
  // They are gone first where both come in one second; what rounding leaves of them is nobody.
  const gone = 1 - (1 - over) / (1 - stands)
  return gone < ROUNDING ? 1 : ((1 - gone) * stands) / over
}

/** What may end an exchange in each second: the chance of each, if what stands before it does not happen. */
export interface EndsASecond {
  breakUp: number
  threat: number
  out: number
}

/** What may end an exchange in a group of states. */
export const endsOfGroup = (
  { groupBreak, groupThreat, groupOut }: Pick<Game, 'groupBreak' | 'groupThreat' | 'groupOut'>,
  g: number,
): EndsASecond => ({ breakUp: sure(groupBreak[g]), threat: sure(groupThreat[g]), out: sure(groupOut[g]) })

/** `overSeconds`, which looks up what it has found for the same chances: most groups have those of the one before. */
function remembered(): typeof overSeconds {
  let last: EndsASecond | undefined
  let found: (ReturnType<typeof overSeconds> | undefined)[] = []
  return (ends, seconds) => {
    if (last?.breakUp !== ends.breakUp || last.threat !== ends.threat || last.out !== ends.out) found = []
    last = ends
    return (found[seconds] ??= overSeconds(ends, seconds))
  }
}

/**
 * The chances over `seconds` seconds that nothing ended it, that it broke up, that we were caught, that they are gone.
 */
export function overSeconds({ breakUp, threat, out }: EndsASecond, seconds: number) {
  const alive = Math.pow((1 - breakUp) * (1 - threat) * (1 - out), seconds)
  const caught = (1 - breakUp) * threat
  const gone = (1 - breakUp) * (1 - threat) * out
  const once = breakUp + caught + gone
  if (once === 0) return { alive: 1, broken: 0, caught: 0, gone: 0 }
  const each = (1 - alive) / once
  return { alive, broken: breakUp * each, caught: caught * each, gone: gone * each }
}

/** Every row ends where the next begins, and the last one at the end of its column. */
function assertRows(game: Game): void {
  const last = (rows: Int32Array) => rows[rows.length - 1]
  const sound =
    last(game.groupStates) === game.stateCount &&
    last(game.groupActions) === game.actionSeconds.length &&
    last(game.outcomes) === game.outcomeState.length
  if (!sound) throw new Error('the rows of the game do not meet')
}
