import { produce } from 'immer'
import { emptyChart, type Chart } from '../../../src/core/chart/chart'
import { lookUp } from '../../../src/core/chart/lookUp'
import { weightOf } from '../../../src/core/chart/tries'
import { withPart } from '../../../src/core/chart/edits/tries'
import { readChart } from '../../../src/core/files/chartFile'
import { scenarioOf } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { idsOnShelf, withFreshIds } from '../../../src/core/shelf/freshIds'
import { NEEDS, needsOf } from '../../../src/core/shelf/needs'
import { publish } from '../../../src/core/shelf/publish'
import { GUESS_WEIGHT, pullIn, wantedOfRegion } from '../../../src/core/shelf/edits/pull'
import { joinRegions, shelfAsChart, type ShelfRegion } from '../../../src/core/shelf/shelf'
import { makeDocument, parseDocument } from '../../../src/core/document/read'
import { ownShelf, SHELF_KIND } from '../../../src/core/shelf/shelfKind'
import { changedOnShelf, leaveUpdate, takeUpdate } from '../../../src/core/shelf/edits/updates'
import { readRegions } from '../../../scripts/shelfDoc'
import { demoPlan } from '../../fixtures/demoPlan'
import { randomChart } from '../../reference/randomChart'
import { taken } from '../../reference/taken'

const demo = demoPlan()
const builtIn = joinRegions(readRegions())
const sound = (region: ShelfRegion) => readChart(JSON.parse(JSON.stringify(shelfAsChart(joinRegions([region])))))
const problemsOf = (region: ShelfRegion) => {
  const read = sound(region)
  return read.ok ? [] : read.problems
}

describe('a part of a chart, published', () => {
  const top = publish(demo, ['knee-on-belly', 'mount-head-and-arm'], 'Our top game')

  it('is whole in itself: what is tried from there, met, answered and held', () => {
    expect(problemsOf(top)).toEqual([])
    expect(top).toMatchObject({ id: 'our-top-game', title: 'Our top game' })
    const from = demo.moves.filter((move) => ['knee-on-belly', 'mount-head-and-arm'].includes(move.from))
    expect(top.moves.map(({ id }) => id)).toEqual(from.map(({ id }) => id))
    expect(top.moves[0].checkpoints).toEqual(from[0].checkpoints)
    for (const { reaction, move } of top.answers)
      expect([lookUp(top.reactions, reaction), lookUp(top.moves, move)]).not.toContain(undefined)
  })

  it.each([1, 2, 3, 4, 5, 6, 7, 8])('is whole of any positions of any chart: %i', (seed) => {
    const chart = randomChart(seed, true)
    const some = chart.positions.slice(0, 1 + (seed % chart.positions.length)).map(({ id }) => id as string)
    expect(problemsOf(publish(chart, some, 'Some'))).toEqual([])
    const all = publish(
      chart,
      chart.positions.map(({ id }) => id as string),
      'All',
    )
    expect(problemsOf(all)).toEqual([])
    expect([all.moves.length, all.positions.length]).toEqual([chart.moves.length, chart.positions.length])
  })

  it('takes other ids where its own are on the Shelf, and means the same', () => {
    const there = idsOnShelf([top])
    const twice = withFreshIds(top, there)
    expect(problemsOf(twice)).toEqual([])
    expect([...idsOnShelf([twice])].filter((id) => there.has(id))).toEqual([])
    const names = (region: ShelfRegion) =>
      region.moves.map(({ name, to }) => [name, lookUp(region.positions, to)?.name ?? to])
    expect(names(twice)).toEqual(names(top))
    const worth = (region: ShelfRegion) => {
      const chart = shelfAsChart(joinRegions([region]))
      return taken(
        figuresOf(
          chart,
          scenarioOf(chart, { start: region.positions.find(({ name }) => name === 'Knee on belly')!.id }),
        ),
      ).figures.value
    }
    expect(worth(twice)).toBeCloseTo(worth(top), 12)
  })

  it('comes into another chart with its plan', () => {
    const mine = joinRegions([...builtIn.regions, withFreshIds(top, idsOnShelf(builtIn.regions))])
    const chart = produce(
      emptyChart('new', 'New') as Chart,
      (draft) => void pullIn(draft, mine, wantedOfRegion(mine, 'our-top-game')),
    )
    expect(chart.moves).toHaveLength(top.moves.length)
    expect(taken(readChart(JSON.parse(JSON.stringify(chart)))).positions.length).toBeGreaterThan(2)
  })

  it('goes to a file and back', () => {
    expect(taken(parseDocument(SHELF_KIND, makeDocument(ownShelf(top))))).toEqual(ownShelf(top))
  })

  it.each([
    ['nonsense', /not JSON/],
    ['{"format": "ataque-chart"}', /format should be "ataque-shelf"/],
    ['null', /not a shelf: it should be one object/],
    ['{"format": "ataque-shelf", "version": 9}', /reads version 1/],
    ['{"format": "ataque-shelf", "version": 1, "title": " "}', /missing/],
    ['{"format": "ataque-shelf", "version": 1, "id": "t", "title": "T", "positions": 3}', /must be an array/],
  ])('a file that is none is refused: %s', (text, why) => {
    const parsed = parseDocument(SHELF_KIND, text)
    expect(!parsed.ok && parsed.problems[0].message).toMatch(why)
  })

  it('a broken record of a file is named', () => {
    const broken = { ...top, moves: top.moves.map((move, i) => (i === 1 ? { ...move, to: 'nowhere' } : move)) }
    const parsed = parseDocument(SHELF_KIND, makeDocument(ownShelf(broken as ShelfRegion)))
    expect(!parsed.ok && parsed.problems[0]).toMatchObject({ code: 'unknown-reference', path: ['moves', 1, 'to'] })
    expect(!parsed.ok && parsed.problems[0].record).toBe(top.moves[1].id)
  })
})

describe('a later Shelf', () => {
  const chart = produce(
    emptyChart('new', 'New') as Chart,
    (draft) => void pullIn(draft, builtIn, { moves: ['kimura-side', 'americana-finish'] }),
  )
  const later = joinRegions(
    builtIn.regions.map((region) => ({
      ...region,
      moves: region.moves.map((move) =>
        move.id === 'kimura-side' ? { ...move, name: 'K', tries: { lands: 9 }, cue: 'Now' } : move,
      ),
    })),
  )

  it('never touches a chart; it offers what has changed', () => {
    expect(changedOnShelf(chart, builtIn)).toEqual([])
    expect(changedOnShelf(chart, later).map(({ id }) => id)).toEqual(['kimura-side'])
    expect(changedOnShelf(demo, later)).toEqual([])
  })

  it('what is taken changes what is said, and nothing of the plan; what is left is not asked again', () => {
    const [move] = changedOnShelf(chart, later)
    const took = produce(chart, (draft) => takeUpdate(draft, move))
    const [before, after] = [chart, took].map((one) => lookUp(one.moves, 'kimura-side')!)
    expect(after.notes).toContain('When: Now.')
    expect({ ...after, notes: before.notes }).toEqual(before)
    const left = produce(chart, (draft) => leaveUpdate(draft, move))
    expect(left.moves).toEqual(chart.moves)
    for (const one of [took, left]) expect(changedOnShelf(one, later)).toEqual([])
    expect(changedOnShelf(left, builtIn)).toHaveLength(1)
  })
})

describe('tries of the Shelf', () => {
  it('are guesses of little weight until the coach sets them', () => {
    const chart = produce(
      emptyChart('new', 'New') as Chart,
      (draft) => void pullIn(draft, builtIn, { moves: ['kimura-side'] }),
    )
    const { tries } = lookUp(chart.moves, 'kimura-side')!
    expect(weightOf(tries!)).toBe(GUESS_WEIGHT)
    const set = withPart(tries!, { part: 'lands' }, 6)
    expect([set.weight, set.lands]).toEqual([undefined, 6])
    expect(weightOf(set)).toBeGreaterThan(GUESS_WEIGHT)
  })
})

describe('what a move needs', () => {
  it('is found in the words for what must be on, and is nothing where nothing must be', () => {
    const needs = (id: string) => needsOf(lookUp(builtIn.moves, id)!)
    expect(needs('kimura-side')).toEqual(['figure four'])
    expect(needs('underhook-direct-high-crotch')).toEqual(['underhook'])
    expect(needs('settle-on-side')).toEqual(expect.arrayContaining(['seatbelt', 'hook']))
    expect(needs('lapel-fist-press')).toContain('cloth')
    expect(needs('set-underhook')).toEqual(['nothing'])
    const found = new Set(builtIn.moves.flatMap(needsOf))
    expect([...found].sort()).toEqual(Object.keys(NEEDS).sort())
  })
})
