import { produce } from 'immer'
import { emptyChart } from '../../../src/core/chart/chart'
import { addMove, addPosition, addReaction } from '../../../src/core/chart/edits/records'
import { addNewAnswer } from '../../../src/core/chart/edits/answers'
import { totalOf } from '../../../src/core/chart/tries'
import { scenarioOf } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { positionFromName } from '../../../src/core/chart/guesses'
import { escapesOf } from '../../../src/core/slope/escapes'
import { itemOf } from '../../../src/core/slope/items'
import { layOutSlope } from '../../../src/core/slope/layout'
import { layoutTask, standLedges } from '../../../src/core/slope/ledges'
import { finishPlace, landingOf, slopeGraph } from '../../../src/core/slope/graph'
import { sayItem } from '../../../src/core/say/slopeItem'
import { taken } from '../../reference/taken'

/** Three positions, two ways to one finish, a trap, a leak and a loose end. */
function smallPlan() {
  const chart = emptyChart('small', 'Small')
  const side = addPosition(chart, positionFromName('Side control'))
  const mount = addPosition(chart, positionFromName('Mount'))
  const under = addPosition(chart, positionFromName('Under side control'))
  const armbar = addMove(chart, {
    name: 'Armbar',
    kind: 'submission',
    from: side,
    to: 'finish',
    tries: { lands: 3, stalls: 2 },
  })
  addMove(chart, { name: 'armbar', kind: 'submission', from: mount, to: 'finish', tries: { lands: 6, stalls: 4 } })
  addMove(chart, { name: 'Step over', kind: 'advance', from: side, to: mount, tries: { lands: 5, stalls: 5 } })
  const turns = addReaction(chart, armbar, 'Turns away', side, 2)
  addNewAnswer(chart, turns, 'Follow to mount', mount)
  addReaction(chart, armbar, 'Bridges', under, 1)
  return { chart, side, mount, under, armbar, turns }
}

describe('what is drawn where', () => {
  const { chart, side, mount, under } = smallPlan()

  it('joins moves of one name to one finish, whatever its letters', () => {
    const { bands, edges } = slopeGraph(chart)
    expect(bands.map(({ places }) => places)).toEqual([['finish armbar'], [mount], [side], [under]])
    expect(finishPlace(' ArmBar ')).toBe('finish armbar')
    expect(edges.filter(({ to }) => to === 'finish armbar').map(({ from }) => from)).toEqual([side, mount])
  })

  it('ties places by moves and by where escapes end, and none to itself', () => {
    const tie = (from: string, to: string) =>
      slopeGraph(chart).edges.find((edge) => edge.from === from && edge.to === to)
    expect(tie(side, mount)?.weight).toBe(4)
    expect(tie(side, under)?.weight).toBe(1)
    expect(tie(side, side)).toBeUndefined()
    for (const move of chart.moves) expect(tie(move.from, landingOf(move))).toBeDefined()
  })

  it('has a place at the foot for each way in which it may end', () => {
    const ending = produce(chart, (draft) => {
      draft.reactions[1].endsIn = 'over'
      draft.moves[0].tries!.elsewhere = { caught: 1 }
    })
    const graph = slopeGraph(ending)
    expect(graph.bands.at(-1)!.places).toEqual([under, 'caught', 'over'])
    expect(graph.edges).toContainEqual({ from: side, to: 'over', weight: 1 })
    const measure = (text: string) => 7 * text.length
    const layout = layOutSlope(layoutTask(ending, graph, measure))
    const { ledges } = standLedges(ending, graph, layout, { measure, folded: new Set() })
    expect([ledges.get('caught'), ledges.get('over')]).toMatchObject([
      { kind: 'caught', name: 'They finish us', isTheirs: true },
      { kind: 'over', name: 'It is over', isTheirs: false },
    ])
    expect(itemOf(ending, 'place over')).toEqual({ kind: 'place', place: 'over' })
    expect(sayItem(ending, null, { kind: 'place', place: 'over' })).toBe('It is over, and nobody is ahead.')
  })

  it('leaves out what is not there', () => {
    expect(slopeGraph(emptyChart('none', 'None'))).toEqual({ bands: [], edges: [] })
    const finishless = produce(chart, (draft) => void (draft.moves = draft.moves.filter(({ to }) => to !== 'finish')))
    expect(slopeGraph(finishless).bands[0].key).toBe('mount')
  })
})

describe('what is said and weighed', () => {
  const { chart, side, armbar, turns, under } = smallPlan()
  const { figures } = taken(figuresOf(chart, scenarioOf(chart, { start: side, seconds: 120 })))
  const escapes = escapesOf(chart, figures, [0.02])

  it('tells a loose end from what is answered, and leads the answered one to where the answer lands', () => {
    expect(escapes.map(({ name, kind }) => [name, kind === 'loose'])).toEqual([
      ['Bridges', true],
      ['Turns away', false],
    ])
    expect(escapes[0]).toMatchObject({ to: under, weight: 0.02, answer: null })
    expect(escapes[1]).toMatchObject({ to: 'mount', answer: 'follow-to-mount' })
    expect(escapesOf(chart, figures, [-0.1]).find(({ kind }) => kind === 'loose')!.weight).toBe(0)
  })

  it('says a position with nothing in it, one move, and a move that nothing meets', () => {
    const say = (item: Parameters<typeof sayItem>[2]) => sayItem(chart, figures, item)
    expect(say({ kind: 'place', place: under })).toMatch(
      /^Under side control, worth minus 20, theirs\. Nothing is tried here\./,
    )
    expect(say({ kind: 'place', place: 'mount' })).toMatch(/^Mount, worth \d+, ours\. One move\. Best: armbar\.$/)
    expect(say({ kind: 'place', place: 'finish armbar' })).toBe('Armbar, a finish, from Side control and Mount.')
    expect(say({ kind: 'move', move: 'step-over' as never })).toMatch(
      /5 of 10 land in Mount\. No reaction is charted\.$/,
    )
    expect(say({ kind: 'escape', move: armbar, position: side, reaction: turns })).toMatch(
      /^They: Turns away, 2 of 6, into Side control\./,
    )
    expect(sayItem(chart, null, { kind: 'place', place: side })).toBe('Side control, ours. 3 moves.')
    expect(sayItem(chart, null, { kind: 'move', move: 'gone' as never })).toBe('')
  })
})

test('tries are counted with all that may come of them', () => {
  expect(totalOf({})).toBe(0)
  expect(totalOf({ lands: 3, stalls: 1, elsewhere: { caught: 2 }, reactions: { a: 1, b: 3 } })).toBe(10)
})
