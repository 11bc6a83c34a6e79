import { SCORING_ACTIONS, type ScoringAction } from '../../src/core/chart/rules/ruleSet'
import { NONE, OUTCOME, TERMINALS } from '../../src/core/game/game'
import { noCounts, type ExpectedScore, type MustBeHeld } from '../../src/core/insight/points/points'
import { playOut } from '../../src/core/simulate/playOut'
import type { Solution } from '../../src/core/solve/solution'

export const SCORES = Object.keys(SCORING_ACTIONS) as ScoringAction[]

/** Plays exchanges with dice and keeps the score as a referee would, one event and one second after the other. */
export function refereed(
  solution: Solution,
  random: () => number,
  exchanges: number,
  rules: MustBeHeld = {},
): ExpectedScore {
  const { heldFor = 0, holdDown = [] } = rules
  const total: ExpectedScore = { ours: noCounts(rules), theirs: noCounts(rules) }
  const { game } = solution
  const { index, groupPlace, actionMove, outcomeKind } = game.meaning
  const positionAt = (state: number) => {
    const g = state < TERMINALS ? NONE : game.stateGroup[state]
    return g === NONE || game.groupIsReaction[g] ? undefined : index.positions[groupPlace[g]].record
  }
  for (let i = 0; i < exchanges; i++) {
    let where = ''
    let isRunning = false
    const counted = { ours: new Set<ScoringAction>(), theirs: new Set<ScoringAction>() }
    let waiting: { side: 'ours' | 'theirs'; score: ScoringAction; age: number }[] = []
    const controls = { ours: new Map<ScoringAction, number>(), theirs: new Map<ScoringAction, number>() }
    const pinned: { ours: number | null; theirs: number | null } = { ours: null, theirs: null }
    const happen = (side: 'ours' | 'theirs', score: ScoringAction) => {
      if (heldFor === 0) total[side][score]++
      else waiting.push({ side, score, age: 0 })
    }
    const count = (side: 'ours' | 'theirs', score: ScoringAction, age: number) => {
      if (age !== heldFor || counted[side].has(score)) return
      total[side][score]++
      counted[side].add(score)
    }
    const lastSecond = () => {
      if (!isRunning) return
      isRunning = false
      for (const one of waiting) if (++one.age === heldFor) total[one.side][one.score]++
      waiting = waiting.filter(({ age }) => age < heldFor)
      for (const side of ['ours', 'theirs'] as const) {
        for (const [score, age] of controls[side]) {
          controls[side].set(score, age + 1)
          count(side, score, age + 1)
        }
        if (pinned[side] === null) continue
        pinned[side]++
        holdDown.forEach(({ seconds }, mark) => (total[side].holdDown[mark] += Number(seconds === pinned[side])))
      }
    }
    const come = (state: number, byTakedown: boolean, isStart: boolean) => {
      const position = positionAt(state)
      if (!position) return
      const { family } = position
      const isGuard = ['guard', 'half-guard'].includes(family)
      const ahead = isGuard ? 'even' : position.ahead
      const isPast = ['side', 'knee-ride', 'mount', 'north-south'].includes(family)
      const isHeld = (isPast || ['turtle', 'ride', 'back', 'crucifix'].includes(family)) && ahead !== 'even'
      const below = position.orientation?.below === 'ours' ? 'guard ours' : 'guard theirs'
      const isOnTop = (side: 'ours' | 'theirs') => (isGuard ? below !== `guard ${side}` : isHeld && ahead === side)
      waiting = waiting.filter(({ side }) => isOnTop(side))
      if (isGuard) {
        if (where === 'feet' && below === 'guard theirs' && byTakedown) happen('ours', 'takedown')
        if (where.startsWith('guard') && where !== below) happen(below === 'guard theirs' ? 'ours' : 'theirs', 'sweep')
      }
      for (const side of ['ours', 'theirs'] as const) {
        const holds = new Set<ScoringAction>()
        if (isHeld && ahead === side) {
          const control = { 'knee-ride': 'kneeRide', mount: 'mount', back: 'back' }[family] as ScoringAction | undefined
          if (control) holds.add(control)
          if (isPast) holds.add('exposure')
        }
        if (ahead !== side) counted[side].clear()
        for (const score of controls[side].keys()) if (!holds.has(score)) controls[side].delete(score)
        for (const score of holds) {
          if (isStart) counted[side].add(score)
          if (!controls[side].has(score)) controls[side].set(score, 0)
          count(side, score, controls[side].get(score)!)
        }
        const isPin = isHeld && ahead === side && isPast && family !== 'knee-ride'
        pinned[side] = isPin ? (pinned[side] ?? 0) : null
      }
      if (isHeld) {
        const side = ahead as 'ours' | 'theirs'
        const other = side === 'ours' ? 'theirs' : 'ours'
        if (where === 'feet') happen(side, 'takedown')
        if (where === `guard ${side}` && !['back', 'crucifix'].includes(family)) happen(side, 'sweep')
        if (where === `guard ${other}` && isPast) happen(side, 'pass')
      }
      const isNowhere = !isGuard && !isHeld && !['standing', 'clinch'].includes(family)
      if (!isNowhere) where = isGuard ? below : isHeld ? `held ${ahead}` : 'feet'
      else if (where.startsWith('held')) where = ''
    }
    come(game.start, false, true)
    playOut(solution, random, {
      second: () => {
        lastSecond()
        isRunning = true
        if (where === 'held ours') total.ours.controlSeconds++
        if (where === 'held theirs') total.theirs.controlSeconds++
      },
      arrived: (state, action, outcome) => {
        lastSecond()
        come(
          state,
          outcome !== NONE &&
            outcomeKind[outcome] === OUTCOME.lands &&
            index.moves[actionMove[action]]?.record.kind === 'takedown',
          false,
        )
      },
    })
  }
  for (const counts of [total.ours, total.theirs]) {
    for (const key of [...SCORES, 'controlSeconds'] as const) counts[key] /= exchanges
    counts.holdDown = counts.holdDown.map((n) => n / exchanges)
  }
  return total
}
