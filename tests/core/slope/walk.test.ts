import { produce } from 'immer'
import { letGo, orderBands, putByHand } from '../../../src/core/chart/edits/slope'
import { removePosition } from '../../../src/core/chart/edits/records'
import type { MoveId, PositionId, ReactionId } from '../../../src/core/chart/ids'
import { escapesOf } from '../../../src/core/slope/escapes'
import { inFocus, type Focus } from '../../../src/core/slope/focus'
import { landingOf } from '../../../src/core/slope/graph'
import { itemKey, itemOf, partsOfItem, wholeOfItem, type Item } from '../../../src/core/slope/items'
import { sayItem } from '../../../src/core/say/slopeItem'
import { demoFigures, demoPlan } from '../../fixtures/demoPlan'

const chart = demoPlan()
const figures = demoFigures()
const start: Item = { kind: 'place', place: figures.start }

/** Everything that can be walked to from the start. */
function everything(): Item[] {
  const found = new Map([[itemKey(start), start]])
  for (const item of found.values()) {
    for (const part of partsOfItem(chart, figures, item)) found.set(itemKey(part), part)
  }
  return [...found.values()]
}
const items = everything()

describe('walking along the chains', () => {
  it('reaches every move, attempt and answer of the demo plan', () => {
    const kinds = (kind: Item['kind']) => items.filter((item) => item.kind === kind)
    expect(kinds('move').length).toBeGreaterThan(chart.moves.length * 0.8)
    expect(new Set(kinds('answer').map((item) => item.kind === 'answer' && item.reaction)).size).toBeGreaterThan(30)
  })

  it('goes back to what each is a part of', () => {
    for (const item of items) {
      const whole = wholeOfItem(chart, item)
      if (item.kind === 'place') expect(whole).toBeUndefined()
      else expect(partsOfItem(chart, figures, whole!).map(itemKey)).toContain(itemKey(item))
    }
  })

  it('names every item so that it is found again', () => {
    for (const item of items) expect(itemOf(chart, itemKey(item))).toEqual(item)
    for (const key of ['', 'place nowhere', 'move nothing', 'escape - a b', 'answer - x y z w', 'dance now']) {
      expect(itemOf(chart, key)).toBeUndefined()
    }
  })

  it('takes the most used move and the best answer first', () => {
    const [first] = partsOfItem(chart, figures, start)
    const most = chart.moves
      .filter(({ from }) => from === figures.start)
      .reduce((a, b) => (figures.moves[a.id].uses >= figures.moves[b.id].uses ? a : b))
    expect(first).toEqual({ kind: 'move', move: most.id })
    const met = figures.met.find(({ answers }) => answers.length > 1)!
    const [best] = partsOfItem(chart, figures, { ...met, kind: 'escape' })
    expect(best).toMatchObject({ kind: 'answer', answer: met.best })
  })

  it('says where one is', () => {
    const say = (item: Item) => sayItem(chart, figures, item)
    const at = { move: 'americana' as MoveId, position: 'side-control-head-and-far-arm' as PositionId }
    expect(say({ kind: 'place', place: at.position })).toBe(
      'Side control, head and far arm, worth 79, ours. 5 moves. Best: Step-around armbar.',
    )
    expect(say({ kind: 'move', move: at.move })).toMatch(
      /^Americana from Side control, head and far arm, worth 73.*\. 3 of 10 land in a finish\. They have 3 reactions\.$/,
    )
    expect(say({ kind: 'escape', ...at, reaction: 'bridges-over-us' as ReactionId })).toBe(
      'They: Bridges over us, 1 of 10, into Under side control. A leak, minus 77. No answer yet.',
    )
    expect(say({ kind: 'place', place: 'finish kimura' })).toBe(
      'Kimura, a finish, from Side control, head and far arm.',
    )
    expect(say({ kind: 'place', place: 'caught' })).toBe('They finish us.')
    for (const item of items) expect(say(item)).toMatch(/^[A-Z].*\.$/)
  })
})

describe('what is in focus', () => {
  const escapes = escapesOf(chart, figures, [])
  const seen = (focus: Focus) => inFocus(chart, figures, escapes, focus)!

  it('is all of it, or what there is of a kind with where it leads', () => {
    expect(seen({ on: 'whole' })).toBeNull()
    for (const [on, kind] of [
      ['leaks', 'leak'],
      ['traps', 'trap'],
      ['loose', 'loose'],
    ] as const) {
      const found = seen({ on })
      const own = escapes.filter((escape) => escape.kind === kind)
      expect(found.escapes).toEqual(new Set(own.map(({ key }) => key)))
      for (const { position, to } of own) expect(found.places.has(position) && found.places.has(to)).toBe(true)
    }
  })

  it('grows with the exchanges around a position', () => {
    const place = 'side-control-head-and-far-arm'
    const [one, two, three] = ([1, 2, 3] as const).map((exchanges) => seen({ on: 'around', place, exchanges }))
    for (const move of chart.moves.filter(({ from }) => from === place)) {
      expect(one.moves.has(move.id) && one.places.has(landingOf(move))).toBe(true)
    }
    for (const id of one.places) expect(two.places.has(id)).toBe(true)
    expect(two.moves.size).toBeGreaterThan(one.moves.size)
    expect(three.moves.size).toBeGreaterThanOrEqual(two.moves.size)
  })

  it('is a run from the start, each move from where the last one landed', () => {
    const run = seen({ on: 'run' })
    expect(run.places.has(figures.start)).toBe(true)
    const best = figures.positions[figures.start].best as MoveId
    expect(run.moves.has(best)).toBe(true)
    const { to, tries } = chart.moves.find(({ id }) => id === best)!
    expect(run.places.has(to)).toBe(true)
    for (const reaction in tries?.reactions) expect(run.escapes.has(`${best} ${reaction}`)).toBe(true)
  })
})

describe('how a chart is drawn', () => {
  const put = produce(chart, (draft) => {
    putByHand(draft, { 'scarf-hold': { row: 0, x: 90 }, 'north-south': { row: 0, x: 10 } })
    orderBands(draft, ['mount', 'back'])
  })

  it('is kept with the chart, beside the rest of its settings', () => {
    expect(put.settings).toEqual({
      ...chart.settings,
      slope: {
        bands: ['mount', 'back'],
        places: { 'scarf-hold': { row: 0, x: 90 }, 'north-south': { row: 0, x: 10 } },
      },
    })
  })

  it('is let go of, one by one or whole, and with the position', () => {
    const one = produce(put, (draft) => letGo(draft, ['scarf-hold']))
    expect(Object.keys(one.settings!.slope!.places!)).toEqual(['north-south'])
    expect(produce(put, (draft) => letGo(draft)).settings!.slope).toEqual({ bands: ['mount', 'back'] })
    const gone = produce(put, (draft) => removePosition(draft, 'north-south' as PositionId))
    expect(Object.keys(gone.settings!.slope!.places!)).toEqual(['scarf-hold'])
  })
})
