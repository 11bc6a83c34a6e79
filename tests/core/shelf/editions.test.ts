import { produce } from 'immer'
import { emptyChart } from '../../../src/core/chart/chart'
import { readChart } from '../../../src/core/files/chartFile'
import { sayEdition } from '../../../src/core/say/edition'
import { asEditionOf, editionDifferences, isEditionOf } from '../../../src/core/shelf/editions'
import { idsOnShelf, withFreshIds } from '../../../src/core/shelf/freshIds'
import { publish } from '../../../src/core/shelf/publish'
import { pullIn } from '../../../src/core/shelf/edits/pull'
import { changedOnShelf, takeUpdate } from '../../../src/core/shelf/edits/updates'
import { joinRegions, shelfAsChart, type ShelfRegion } from '../../../src/core/shelf/shelf'
import { readRegions } from '../../../scripts/shelfDoc'
import { demoPlan } from '../../fixtures/demoPlan'

const demo = demoPlan()
const PLACES = ['knee-on-belly', 'mount-head-and-arm']
const builtIn = readRegions()
const about = { author: 'Two evenings a week', edition: 1 }
const idsOf = (...regions: ShelfRegion[]) => idsOnShelf(regions)
const ids = (records: readonly { id: string }[]) => records.map(({ id }) => id)

/** As it stands on the Shelf of somebody who has the built-in regions, of which the demo has entries too. */
const first = withFreshIds(publish(demo, PLACES, 'Top game', about), idsOf(...builtIn))
const move = demo.moves.find(({ from, tries }) => from === 'knee-on-belly' && tries)!
const lands = move.tries?.lands ?? 0
const own = first.moves.find(({ name }) => name === move.name)!
/** The maker's plan a month later. */
const later = produce(demo, (draft) => {
  const one = draft.moves.find(({ id }) => id === move.id)!
  one.tries = { ...one.tries!, lands: lands + 1 }
  one.checkpoints = [{ id: 'fresh-point', text: 'Knee across before the hand moves' }]
})
const edition = (chart: typeof demo, places = PLACES, more = {}) =>
  asEditionOf(first, publish(chart, places, 'Top game', { ...about, edition: 2, ...more }), idsOf(...builtIn, first))

describe('another edition of a shelf', () => {
  it('is known by its name and its maker', () => {
    expect(isEditionOf(first, edition(later))).toBe(true)
    expect(isEditionOf(first, { title: 'Top game' })).toBe(false)
    expect(isEditionOf(first, { title: 'Top', author: about.author })).toBe(false)
    expect(isEditionOf({ title: 'Top' }, { title: 'Top' })).toBe(true)
  })

  it('has an id of its own, its entries those of the one before, and is sound', () => {
    const fresh = demo.positions.find(({ name }) => !first.positions.some((one) => one.name === name))!
    const second = edition(later, [...PLACES, fresh.id])
    expect(idsOf(...builtIn, first).has(second.id)).toBe(false)
    for (const list of ['positions', 'moves', 'reactions', 'holds'] as const)
      for (const one of first[list]) expect(ids(second[list])).toContain(one.id)
    expect(idsOf(second).size).toBeGreaterThan(idsOf(first).size)
    const shared = [...idsOf(second)].filter((id) => idsOf(...builtIn).has(id))
    expect(shared).toEqual([])
    const read = readChart(JSON.parse(JSON.stringify(shelfAsChart(joinRegions([second])))))
    expect(read.ok ? [] : read.problems).toEqual([])
    // And the one after that: what it has in common with both keeps its id still.
    const third = asEditionOf(second, publish(later, PLACES, 'Top game', about), idsOf(...builtIn, first, second))
    expect(ids(third.moves)).toEqual(ids(first.moves))
    expect([first.id, second.id]).not.toContain(third.id)
  })

  it('differs in what its maker changed, and in nothing else', () => {
    expect(editionDifferences(first, edition(demo))).toEqual([])
    const found = editionDifferences(first, edition(later))
    expect(found.map(({ list, key, field }) => [list, key, field])).toEqual([
      ['moves', own.id, 'tries'],
      ['moves', own.id, 'checkpoints'],
    ])
    expect(editionDifferences(first, edition(demo, PLACES, { licence: 'Ask first' })).map(({ id }) => id)).toEqual([
      '//licence',
    ])
    const mount = demo.positions.find(({ id }) => id === PLACES[1])!
    const fewer = editionDifferences(first, edition(demo, PLACES.slice(0, 1)))
    expect(fewer.filter(({ field }) => field === undefined).every(({ theirs }) => theirs === undefined)).toBe(true)
    expect(fewer.map(({ key }) => key)).toContain(first.positions.find(({ name }) => name === mount.name)!.id)
  })

  it('says how it was and how it is, by names', () => {
    const [tries, points] = sayEdition(first, edition(later))
    expect(tries).toMatchObject({ about: `${own.name} (move): tries` })
    expect(tries!.mine).toMatch(new RegExp(`^Lands ${lands};`))
    expect(tries!.theirs).toMatch(new RegExp(`^Lands ${lands + 1};`))
    expect(points!.theirs).toBe('Knee across before the hand moves')
    const gone = produce(first, (draft) => void draft.answers.pop())
    const [answer] = sayEdition(first, gone)
    expect([answer!.about, answer!.mine, answer!.theirs]).toEqual([
      expect.stringMatching(/ > .+ \(answer\)$/),
      ...['There', 'Not there'],
    ])
  })

  it('offers what is new to a plan that took something from the one before, and changes nothing by itself', () => {
    const plan = produce(emptyChart('plan', 'Plan'), (draft) => {
      pullIn(draft, joinRegions([...builtIn, first]), { positions: [own.from], moves: [own.id], onward: 0 })
    })
    expect(changedOnShelf(plan, joinRegions([...builtIn, first]))).toEqual([])
    const now = joinRegions([...builtIn, edition(later)])
    expect(changedOnShelf(plan, now).map(({ id }) => id)).toEqual([own.id])
    const taken = produce(plan, (draft) => takeUpdate(draft, changedOnShelf(plan, now)[0]!))
    const has = taken.moves.find(({ id }) => id === own.id)!
    expect(has.checkpoints?.map(({ text }) => text)).toEqual(['Knee across before the hand moves'])
    expect(has.tries).toEqual(plan.moves.find(({ id }) => id === own.id)!.tries)
  })
})
