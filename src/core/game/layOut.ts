import { sure } from '../sure'
import { CAUGHT } from './tryCounts'
import { ENDINGS, NONE, OUTCOME, TERMINALS, terminalWorth, type Game } from './game'
import type { Scenario } from './scenario'
import type { DraftAction, DraftGroup, Search } from './search'

interface Roots {
  start: number
  /** Number of states that the search from the start found, terminals counted. */
  reachedStates: number
  ownState: Int32Array
  stalledState: Int32Array
}

/** Lays the searched states out in rows: the states of a group side by side, their actions and outcomes in order. */
export function layOut(search: Search, scenario: Scenario, roots: Roots): Game {
  const { groups } = search
  const stateCount = search.stateGroup.length
  const number = renumber(groups, stateCount)
  const actions = groups.flatMap((group) => group.actions)
  const renamed = (states: Int32Array) => states.map((state) => (state === NONE ? NONE : sure(number[state])))
  const reached = new Uint8Array(stateCount)
  for (let found = 0; found < roots.reachedStates; found++) reached[sure(number[found])] = 1
  const perGroup = groupRows(search, scenario)
  const perAction = actionRows(groups, actions, perGroup, scenario, number)
  const game: Game = {
    scenario,
    stateCount,
    reachedCount: roots.reachedStates - TERMINALS,
    reached,
    start: sure(number[roots.start]),
    maxSeconds: actions.reduce((most, { seconds }) => Math.max(most, seconds), 1),
    groupCount: groups.length,
    ...perGroup,
    ...stateRows(search, perGroup.groupStates, perGroup.groupActions, number),
    ...perAction,
    meaning: {
      index: search.index,
      ownState: renamed(roots.ownState),
      stalledState: renamed(roots.stalledState),
      groupPlace: Int32Array.from(groups, ({ place }) => place),
      groupStalled: Int32Array.from(groups, ({ stalled }) => stalled),
      groupHolds: groups.map(({ holds }) => holds),
      actionMove: Int32Array.from(actions, ({ move }) => move),
      actionAnswer: Int32Array.from(actions, ({ answer }) => answer),
      outcomeKind: Uint8Array.from(actions.flatMap(({ outcomes }) => outcomes.map(({ kind }) => kind))),
      outcomeReaction: Int32Array.from(actions.flatMap(({ outcomes }) => outcomes.map(({ reaction }) => reaction))),
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
  for (const { members } of groups) for (const state of members.values()) number[state] = next++
  return number
}

function starts(counts: number[], first = 0): Int32Array {
  const rows = new Int32Array(counts.length + 1)
  rows[0] = first
  counts.forEach((count, i) => (rows[i + 1] = sure(rows[i]) + count))
  return rows
}

function groupRows({ groups, index }: Search, scenario: Scenario) {
  const count = groups.length
  const rows = {
    groupStates: starts(
      groups.map(({ members }) => members.size),
      TERMINALS,
    ),
    groupActions: starts(groups.map(({ actions }) => actions.length)),
    groupIsReaction: Uint8Array.from(groups, ({ isReaction }) => Number(isReaction)),
    groupWorth: new Float64Array(count),
    groupEnding: new Uint8Array(count),
    groupBreak: new Float64Array(count),
    groupThreat: new Float64Array(count),
  }
  groups.forEach(({ isReaction, place, holds }, g) => {
    const position = isReaction ? sure(index.reactions[place]).endsIn : place
    const record = position === CAUGHT ? undefined : sure(index.positions[position]).record
    const ahead = record?.ahead ?? 'theirs'
    const worth = record?.endWorth ?? scenario.ends[ahead]
    const breakUp = record?.breakUp ?? scenario.breakUp
    rows.groupWorth[g] = scenario.objective === 'careful' ? worth : 0
    rows.groupEnding[g] = ENDINGS.indexOf(ahead)
    rows.groupBreak[g] = breakUp === null ? 0 : 1 / breakUp
    if (record?.threat) rows.groupThreat[g] = index.holds.left(record.threat, holds, 'ours') / record.threat.every
  })
  return rows
}

function stateRows(search: Search, groupStates: Int32Array, groupActions: Int32Array, number: Int32Array) {
  const stateCount = search.stateGroup.length
  const stateGroup = new Int32Array(stateCount).fill(NONE)
  const stateStalled = new Int32Array(stateCount).fill(NONE)
  const stateLoss = new Float64Array(stateCount)
  search.groups.forEach((group, g) => {
    stateGroup.fill(g, groupStates[g], groupStates[g + 1])
    for (const [move, state] of group.members) {
      if (move === NONE || group.isReaction) continue
      stateStalled[sure(number[state])] =
        sure(groupActions[g]) + group.actions.findIndex((action) => action.move === move)
      stateLoss[sure(number[state])] = search.lossOf(group, move) ?? NaN
    }
  })
  return { stateGroup, stateStalled, stateLoss }
}

function actionRows(
  groups: DraftGroup[],
  actions: DraftAction[],
  { groupBreak, groupThreat, groupWorth }: ReturnType<typeof groupRows>,
  scenario: Scenario,
  number: Int32Array,
) {
  const outcomes = starts(actions.map((action) => action.outcomes.length))
  const total = sure(outcomes[actions.length])
  const rows = {
    outcomes,
    actionLike: likes(actions),
    actionSeconds: Int32Array.from(actions, ({ seconds }) => seconds),
    actionToll: new Float64Array(actions.length),
    actionAlive: new Float64Array(actions.length),
    reactionsFrom: new Int32Array(actions.length),
    actionLanding: new Int32Array(actions.length).fill(NONE),
    actionNothing: Int32Array.from(actions, ({ nothing }) => (nothing === NONE ? NONE : sure(number[nothing]))),
    actionMass: new Float64Array(actions.length),
    outcomeState: new Int32Array(total),
    outcomeChance: new Float64Array(total),
  }
  const caughtWorth = terminalWorth(scenario)[1]
  let a = 0
  groups.forEach((group, g) => {
    for (const action of group.actions) {
      const { alive, broken, caught } = overSeconds(sure(groupBreak[g]), sure(groupThreat[g]), action.seconds)
      rows.actionAlive[a] = alive
      rows.actionToll[a] = broken * sure(groupWorth[g]) + caught * caughtWorth
      outcomeRow(action, a++, rows, number)
    }
  })
  return rows
}

/** By action: the first action with the same seconds and outcomes. */
function likes(actions: DraftAction[]): Int32Array {
  const first = new Map<DraftAction, number>()
  return Int32Array.from(actions, (action, a) => {
    if (!first.has(action)) first.set(action, a)
    return first.get(action)!
  })
}

type ActionRows = ReturnType<typeof actionRows>

function outcomeRow(action: DraftAction, a: number, rows: ActionRows, number: Int32Array): void {
  const first = sure(rows.outcomes[a])
  const reactions = action.outcomes.findIndex(({ kind }) => kind === OUTCOME.reaction)
  rows.reactionsFrom[a] = reactions < 0 ? sure(rows.outcomes[a + 1]) : first + reactions
  action.outcomes.forEach(({ kind, state, chance }, i) => {
    rows.outcomeState[first + i] = sure(number[state])
    rows.outcomeChance[first + i] = chance
    if (kind === OUTCOME.lands) rows.actionLanding[a] = sure(number[state])
    if (kind === OUTCOME.reaction) rows.actionMass[a] = sure(rows.actionMass[a]) + chance
  })
}

/**
 * Over `seconds` seconds, with these chances per second: that neither happened, that the exchange broke up, that we
 * were caught.
 */
export function overSeconds(breakUp: number, threat: number, seconds: number) {
  const alive = Math.pow((1 - breakUp) * (1 - threat), seconds)
  const once = breakUp + (1 - breakUp) * threat
  if (once === 0) return { alive: 1, broken: 0, caught: 0 }
  return { alive, broken: (breakUp / once) * (1 - alive), caught: (((1 - breakUp) * threat) / once) * (1 - alive) }
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
