import type { PositionId } from '../../../src/core/chart/ids'
import { climbOf } from '../../../src/core/climb/climb'
import { comingsOf } from '../../../src/core/climb/comings'
import { alongCurve, type Curve, type Point } from '../../../src/core/climb/curve'
import { inLines, placeClimb } from '../../../src/core/climb/place'
import { scaleOf } from '../../../src/core/climb/scale'
import { scenarioOf } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { playOut } from '../../../src/core/simulate/playOut'
import type { Solution } from '../../../src/core/solve/solution'
import { firstComing } from '../../../src/core/solve/occupancy'
import { generateChart, seeded } from '../../../bench/generate'
import { demoPlan } from '../../fixtures/demoPlan'
import { taken } from '../../reference/taken'

const plan = demoPlan()
const { figures, solution } = taken(figuresOf(plan, scenarioOf(plan)))
const comings = comingsOf(solution)
const climb = climbOf(plan, figures, comings)
const measure = (text: string) => 7 * text.length
const picture = placeClimb(climb, { width: 1150, height: 640, measure })

/** The first second at which each position was come to, in exchanges that are played with dice. */
function firstByDice(of: Solution, exchanges: number): Map<string, number[]> {
  const { game } = of
  const seconds = new Map<string, number[]>()
  const random = seeded(20)
  for (let i = 0; i < exchanges; i++) {
    const been = new Set<string>()
    let second = 0
    const come = (state: number) => {
      const group = game.stateGroup[state]
      if (state >= game.arrivalsFrom || state < 4 || game.groupIsReaction[group]) return
      const { id } = game.meaning.index.positions[game.meaning.groupPlace[group]].record
      if (!been.has(id)) seconds.set(id, [...(seconds.get(id) ?? []), second])
      been.add(id)
    }
    come(game.start)
    playOut(of, random, {
      arrived(state, action) {
        second += game.actionSeconds[action]
        come(state)
      },
      saw: come,
    })
  }
  return seconds
}

describe('where the plan goes', () => {
  it('is known to the second, held against exchanges that are played with dice', () => {
    const EXCHANGES = 6_000
    const dice = firstByDice(solution, EXCHANGES)
    expect(comings.positions.length).toBeGreaterThanOrEqual(6)
    for (const { position, chance, second } of comings.positions) {
      const seen = dice.get(position) ?? []
      const sigma = Math.sqrt((chance * (1 - chance)) / EXCHANGES)
      expect(Math.abs(seen.length / EXCHANGES - chance)).toBeLessThanOrEqual(4 * sigma + 1e-12)
      const mean = seen.reduce((sum, one) => sum + one, 0) / seen.length
      const spread = Math.sqrt(seen.reduce((sum, one) => sum + (one - mean) ** 2, 0) / seen.length)
      expect(Math.abs(mean - second!)).toBeLessThanOrEqual((4 * spread) / Math.sqrt(seen.length) + 1e-9)
    }
  })

  it('begins at second 0, comes there as often as the figures say, and finishes as often', () => {
    expect(comings.positions.find(({ position }) => position === figures.start)).toMatchObject({ chance: 1, second: 0 })
    for (const { position, visits, chance } of comings.positions) {
      expect(visits).toBeCloseTo(figures.positions[position].visits, 10)
      expect(chance).toBeLessThanOrEqual(Math.min(1, visits) + 1e-12)
    }
    expect(comings.finishes.reduce((sum, one) => sum + one.chance, 0)).toBeCloseTo(figures.endings.finish, 10)
  })

  it('has no seconds without a clock', () => {
    const still = taken(figuresOf(plan, scenarioOf(plan, { seconds: null })))
    expect(comingsOf(still.solution).positions.map(({ second }) => second)).toEqual(
      comingsOf(still.solution).positions.map(() => null),
    )
  })
})

describe('the climb', () => {
  it('has the tries of the plan, each once, drawn or folded', () => {
    const cold = plan.moves.flatMap(({ id }) => figures.moves[id].usedAs.filter(({ answer }) => answer === null))
    const all = cold.reduce((sum, { uses }) => sum + uses, 0)
    const shown = [...climb.moves, ...climb.folded.moves].reduce((sum, { per }) => sum + per, 0)
    expect(shown / 100).toBeCloseTo(all, 2)
    expect(climb.moves.every(({ per }) => per >= 2)).toBe(true)
    expect(new Set(climb.moves.map(({ key }) => key)).size).toBe(climb.moves.length)
  })

  it('costs of a reply what the figures say, and says whether it falls', () => {
    const sprawl = climb.replies.find(({ name }) => name === 'Sprawls on us')!
    const met = figures.met.find((one) => one.reaction === sprawl.reaction && one.move === sprawl.move)!
    expect(sprawl.cost).toBeCloseTo(-100 * met.net * met.visits, 10)
    const move = climb.moves.find((one) => one.move === sprawl.move)!
    expect([move.leaks, move.traps, move.open]).toEqual([1, 1, 0])
    const run = climb.moves.find(({ name }) => name === 'Run the pipe')!
    expect(run.open).toBe(1)
  })
})

describe('the picture of a climb', () => {
  it('has an axis from 100 to −100 that never turns back, larger where it is used', () => {
    for (const worths of [[0.27, 0.79], [-0.5, 0.1], [1, -1], []]) {
      const { y, ticks } = scaleOf(worths, 20, 500)
      expect([y(1), y(-1)]).toEqual([20, 520])
      const ys = Array.from({ length: 81 }, (_, i) => y(1 - i / 40))
      for (let i = 1; i < ys.length; i++) expect(ys[i]).toBeGreaterThan(ys[i - 1])
      expect(ticks).toEqual(expect.arrayContaining([1, 0, -1]))
    }
    const { y } = scaleOf([0.3, 0.8], 0, 500)
    expect(y(0.3) - y(0.8)).toBeGreaterThan(0.65 * 500)
  })

  it('stands ledges where they are worth, by when, and none on another', () => {
    expect(picture.ledges).toHaveLength(climb.ledges.length)
    for (const [i, one] of picture.ledges.entries()) {
      expect(Math.abs(one.y + one.height / 2 - picture.scale.y(one.value))).toBeLessThan(30)
      expect([one.x >= 52, one.x + one.width <= 1150 - 210]).toEqual([true, true])
      for (const other of picture.ledges.slice(i + 1)) {
        const apart =
          one.x + one.width <= other.x ||
          other.x + other.width <= one.x ||
          one.y + one.height <= other.y ||
          other.y + other.height <= one.y
        expect([one.name, other.name, apart]).toEqual([one.name, other.name, true])
      }
    }
    const start = picture.ledges.find(({ position }) => position === figures.start)!
    expect(Math.min(...picture.ledges.map(({ x }) => x))).toBe(start.x)
  })

  it('draws what leads to no ledge as well, to the height of what it is worth there', () => {
    const [bump] = picture.ribbons.filter(({ of }) => of.name === 'Hip bump')
    if ('net' in bump.of || !bump.of.beside) throw new Error('not beside the ledges')
    expect(bump.of.beside.name).toBe(plan.positions.find(({ id }) => id === bump.of.to)!.name)
    expect(bump.curve[3][1]).toBeCloseTo(picture.scale.y(figures.positions[bump.of.to as PositionId].value), 10)
  })

  it('draws what they do to the height of what it is worth then: a leak falls, a trap is a step up', () => {
    const replies = picture.ribbons.filter(({ kind }) => kind !== 'move')
    expect(replies.length).toBeGreaterThan(5)
    for (const { of, curve, onward } of replies) {
      if (!('net' in of)) throw new Error('not a reply')
      expect(curve[3][1]).toBeCloseTo(picture.scale.y(of.value), 10)
      if (onward) expect(onward[0]).toEqual(curve[3])
    }
    const widths = picture.ribbons.filter(({ kind }) => kind === 'move').toSorted((a, b) => a.of.per - b.of.per)
    for (let i = 1; i < widths.length; i++) expect(widths[i].width).toBeGreaterThanOrEqual(widths[i - 1].width)
  })

  it('has bars of what finishes, the longest for the most often, and theirs at the foot', () => {
    const ours = picture.bars.filter(({ isTheirs }) => !isTheirs)
    expect(ours.reduce((sum, { per }) => sum + per, 0)).toBeCloseTo(100 * figures.endings.finish, 8)
    expect(Math.max(...picture.bars.map(({ length }) => length))).toBe(ours.toSorted((a, b) => b.per - a.per)[0].length)
    const theirs = picture.bars.find(({ isTheirs }) => isTheirs)!
    expect(theirs.y).toBeGreaterThan(Math.max(...ours.map(({ y }) => y)))
  })

  it('breaks long names in two, and follows a curve from end to end', () => {
    expect(inLines('Mount', measure)).toEqual(['Mount'])
    expect(inLines('Side control, head and far arm', measure)).toEqual(['Side control,', 'head and far arm'])
    const line: Curve = [0, 1, 2, 3].map((i): Point => [i * 10, i * 5]) as unknown as Curve
    expect([alongCurve(line, 0), alongCurve(line, 0.5), alongCurve(line, 1)]).toEqual([
      [0, 0],
      [15, 7.5],
      [30, 15],
    ])
  })
})

test('a climb of nothing is empty', () => {
  const bare = placeClimb(
    { ledges: [], moves: [], replies: [], finishes: [], caught: 0, folded: { moves: [], replies: [] } },
    { width: 900, height: 500, measure },
  )
  expect([bare.ledges, bare.bars, bare.ribbons]).toEqual([[], [], []])
})

test('what is too faint to follow changes no second that one could see', () => {
  const large = generateChart({ positions: 200, moves: 800, reactions: 320, seed: 7 })
  for (const chart of [plan, large]) {
    const { solution: of } = taken(figuresOf(chart, scenarioOf(chart)))
    const { index, groupPlace } = of.game.meaning
    for (const { position, chance, second } of comingsOf(of).positions) {
      const place = index.positions.findIndex(({ record }) => record.id === position)
      const isThere = Uint8Array.from(of.game.stateGroup, (group, state) =>
        Number(
          state >= 4 && state < of.game.arrivalsFrom && !of.game.groupIsReaction[group] && groupPlace[group] === place,
        ),
      )
      const exact = firstComing(of, isThere, 0)
      expect(Math.abs(chance - exact.chance)).toBeLessThan(1e-4)
      expect(Math.abs(second! - exact.second!)).toBeLessThan(0.01)
    }
  }
})
