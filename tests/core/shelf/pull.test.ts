import { produce } from 'immer'
import { seeded } from '../../../bench/generate'
import { emptyChart, type Chart } from '../../../src/core/chart/chart'
import { checkReferences } from '../../../src/core/chart/references'
import { makeChart, parseChart } from '../../../src/core/files/chartFile'
import { scenarioOf } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { holder } from '../../../src/core/chart/hold'
import { nextHolds } from '../../../src/core/holds/oneMore'
import { couldAdd, couldAnswer, holdsOnShelf } from '../../../src/core/shelf/additions'
import { pullIn, wantedOfRegion, type Wanted } from '../../../src/core/shelf/edits/pull'
import { inChart, placesOnShelf } from '../../../src/core/shelf/search'
import { joinRegions } from '../../../src/core/shelf/shelf'
import { readRegions } from '../../../scripts/shelfDoc'
import { demoPlan } from '../../fixtures/demoPlan'
import { taken } from '../../reference/taken'

const shelf = joinRegions(readRegions())
const demo = demoPlan()
const pulled = (chart: Chart, wanted: Wanted) => {
  let came: string[] = []
  const after = produce(chart, (draft) => void (came = pullIn(draft, shelf, wanted)))
  return { after, came }
}

describe('bringing in', () => {
  it.each(shelf.regions.map(({ id }) => id))('a whole region makes a sound chart with a value: %s', (region) => {
    const { after, came } = pulled(emptyChart('new', 'New'), wantedOfRegion(shelf, region))
    expect(checkReferences(after)).toEqual([])
    expect(parseChart(makeChart(after)).ok).toBe(true)
    expect(came.length).toBe(shelf.regions.find(({ id }) => id === region)!.moves.length)
    const { figures } = taken(figuresOf(after, scenarioOf(after)))
    expect(Number.isFinite(figures.value)).toBe(true)
    expect(figures.met.length + figures.looseEnds.length).toBeGreaterThan(0)
  })

  it('what they do unprompted comes with what we can do there, or where they are ahead', () => {
    const guard = pulled(emptyChart('new', 'New'), wantedOfRegion(shelf, 'guard')).after
    const at = (chart: Chart, id: string) => chart.positions.find((one) => one.id === id)!
    const onShelf = (id: string) => shelf.positions.find((one) => one.id === id)!.unprompted
    expect(onShelf('side-standard')).toBeDefined()
    expect(at(guard, 'side-standard')).not.toHaveProperty('unprompted')
    expect(at(guard, 'half-guard-on-top').unprompted).toEqual(onShelf('half-guard-on-top'))
    const landed = guard.positions.filter(({ id }) => !guard.moves.some(({ from }) => from === id))
    const theirs = landed.filter(({ id, ahead }) => ahead === 'theirs' && onShelf(id))
    for (const { unprompted } of theirs) expect(unprompted).toBeDefined()
    const both = pulled(guard, wantedOfRegion(shelf, 'side-control')).after
    expect(at(both, 'side-standard').unprompted).toEqual(onShelf('side-standard'))
    const taken = produce(both, (draft) => void delete at(draft, 'side-standard').unprompted)
    const again = pulled(taken, { moves: wantedOfRegion(shelf, 'knee-and-mount').moves! })
    expect(at(again.after, 'side-standard')).not.toHaveProperty('unprompted')
  })

  it('the side-control region gives traps, loose ends and a plan', () => {
    const { after } = pulled(emptyChart('new', 'New'), wantedOfRegion(shelf, 'side-control'))
    const { figures } = taken(figuresOf(after, scenarioOf(after, { start: 'side-standard' as never })))
    expect(figures.value).toBeGreaterThan(0.3)
    const seen = figures.positions['side-standard' as never]!.seen!
    expect(seen.length).toBeGreaterThan(2)
    for (const { best } of seen) expect(best).not.toBeNull()
    expect(figures.met.some(({ net }) => net >= 0.03)).toBe(true)
    expect(figures.looseEnds.length).toBeGreaterThan(0)
  })

  it('a second time brings nothing, and what the chart had stays as it was', () => {
    const once = pulled(demo, wantedOfRegion(shelf, 'back'))
    expect(checkReferences(once.after)).toEqual([])
    expect(once.came.length).toBeGreaterThan(10)
    for (const list of ['positions', 'moves', 'holds'] as const) {
      expect(once.after[list]!.slice(0, demo[list]!.length)).toEqual(demo[list])
    }
    const again = pulled(once.after, wantedOfRegion(shelf, 'back'))
    expect(again.came).toEqual([])
    expect(again.after).toEqual(once.after)
  })

  it('a move joins the position that the chart has under that name', () => {
    const named = produce(emptyChart('new', 'New'), (draft) => {
      draft.positions.push({ id: 'mine' as never, name: 'Back, Under side', family: 'back', ahead: 'ours' })
    })
    const { after } = pulled(named, { moves: ['crossed-wrist-entry'] })
    expect(after.moves.find(({ id }) => id === 'crossed-wrist-entry')!.from).toBe('mine')
    expect(placesOnShelf(after, shelf).get('mine')).toBe('back-under-side')
    expect(
      inChart(
        after.positions,
        shelf.positions.find(({ id }) => id === 'back-under-side')!,
      )!.id,
    ).toBe('mine')
  })

  it('a move into a position that is new brings what leads on from there, as far as it is asked', () => {
    const bare = pulled(emptyChart('new', 'New'), { moves: ['settle-on-side'] })
    expect(bare.came).toEqual(['settle-on-side'])
    const one = pulled(emptyChart('new', 'New'), { moves: ['settle-on-side'], onward: 1 })
    const two = pulled(emptyChart('new', 'New'), { moves: ['settle-on-side'], onward: 9 })
    expect(one.came.length).toBeGreaterThan(1)
    expect(two.came.length).toBeGreaterThanOrEqual(one.came.length)
    expect(checkReferences(two.after)).toEqual([])
    const known = pulled(two.after, { moves: ['roll-to-over-side'], onward: 2 })
    expect(known.came.filter((id) => two.came.includes(id))).toEqual([])
  })

  it('anything at all, in any order, leaves the chart sound', () => {
    const random = seeded(31)
    const some = (list: readonly { id: string }[], n: number) =>
      Array.from({ length: n }, () => list[Math.floor(random() * list.length)].id)
    for (let n = 0; n < 40; n++) {
      const wanted = {
        positions: some(shelf.positions, 3),
        moves: some(shelf.moves, 4),
        reactions: some(shelf.reactions, 2),
      }
      const { after } = pulled(n % 2 ? demo : emptyChart('new', 'New'), wanted)
      expect(checkReferences(after)).toEqual([])
      for (const id of wanted.moves) {
        const record = shelf.moves.find((move) => move.id === id)!
        expect(inChart(after.moves, record)).toBeDefined()
      }
    }
  })
})

describe('what could be added', () => {
  it('is what the Shelf knows from a position that the chart has, and not what it has', () => {
    const chart = pulled(emptyChart('new', 'New'), { moves: ['crossed-wrist-entry'] }).after
    const more = couldAdd(chart, shelf, 'back-under-side').map(({ id }) => id)
    expect(more).not.toContain('crossed-wrist-entry')
    expect(more.length).toBeGreaterThan(0)
    for (const id of more) {
      const { from, alsoFrom = [] } = shelf.moves.find((move) => move.id === id)!
      expect([from, ...alsoFrom]).toContain('back-under-side')
    }
    expect(couldAdd(chart, shelf, 'nowhere')).toEqual([])
  })

  it('answers a reaction with what the Shelf answers and the chart does not yet', () => {
    const chart = pulled(emptyChart('new', 'New'), { reactions: ['rx-hide-arm'] }).after
    const answers = couldAnswer(chart, shelf, 'rx-hide-arm').map(({ id }) => id)
    expect(answers).toEqual(expect.arrayContaining(['mount-threat-draw-hand', 'lift-thread-kimura']))
    const answered = pulled(chart, { moves: [answers[0]] }).after
    expect(couldAnswer(answered, shelf, 'rx-hide-arm').map(({ id }) => id)).not.toContain(answers[0])
  })

  it('is also one more control that the Shelf knows for the frame, with a limb that is free', () => {
    const position = demo.positions.find(({ id }) => id === 'side-control-hips-low')!
    const more = holdsOnShelf(demo, shelf, position)
    expect(more.length).toBeGreaterThan(3)
    for (const hold of more) {
      expect(holder(hold)).toBe('ours')
      expect(demo.holds!.some(({ id }) => id === hold.id)).toBe(false)
    }
    const plain = nextHolds(demo, position.id)
    const wider = nextHolds(demo, position.id, more)
    expect(wider.length).toBeGreaterThan(plain.length)
    for (const one of plain) expect(wider).toContainEqual(one)
    const { frame: _, ...frameless } = position
    expect(holdsOnShelf(demo, shelf, frameless)).toEqual([])
  })
})
