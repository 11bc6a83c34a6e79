import { produce } from 'immer'
import { emptyChart, type Chart } from '../../../src/core/chart/chart'
import { putInPlace } from '../../../src/core/files/edits/putInPlace'
import { takeIncoming } from '../../../src/core/files/edits/takeIncoming'
import type { TableTaken } from '../../../src/core/files/edits/takeTable'
import { isDocument } from '../../../src/core/files/in/document'
import { incomingOf, isForUs } from '../../../src/core/files/in/incoming'
import { readGraphml } from '../../../src/core/files/in/readGraphml'
import { readTable } from '../../../src/core/files/in/readTable'
import { taken } from '../../reference/taken'

const nothing = emptyChart('sheet', 'Sheet')
const LINES = '# Mount\nArmbar (finish): 3 of 10\nStep over (side control): 5 of 10'
const TABLE = 'name,from,to\nArmbar,Mount,finish'
const graphml = (inside: string) =>
  `<?xml version="1.0"?><graphml><key id="l" for="all" attr.name="label"/><key id="w" for="all" attr.name="what"/>` +
  `<key id="k" for="all" attr.name="kind"/><key id="c" for="all" attr.name="count"/><key id="o" for="all" attr.name="of"/>` +
  `<key id="a" for="node" attr.name="ahead"/><graph edgedefault="directed">${inside}</graph></graphml>`
const node = (id: string, ...data: string[]) => `<node id="${id}">${data.join('')}</node>`
const edge = (from: string, to: string, ...data: string[]) =>
  `<edge source="${from}" target="${to}">${data.join('')}</edge>`
const data = (key: string, text: string) => `<data key="${key}">${text}</data>`
const GRAPH = graphml(node('a', data('l', 'Mount')) + node('b') + edge('a', 'b', data('l', 'Step over')))

/** What taking a text came to, and the chart after it. */
function take(text: string, chart = nothing, name = ''): { chart: Chart; took: TableTaken } {
  let took: TableTaken | undefined
  const incoming = taken(incomingOf(name, text) as { ok: true; value: never } | { ok: false; problems: [] })
  const after = produce(chart, (draft) => void (took = takeIncoming(draft as Chart, incoming)))
  return { chart: after, took: took! }
}

test.each([
  ['{"format":1}', '', true, 'lines'],
  ['\uFEFF [1]', '', true, 'lines'],
  ['\n\t{', '', true, 'lines'],
  [GRAPH, 'x.graphml', true, 'graph'],
  [`\uFEFF${GRAPH}`, '', true, 'graph'],
  ['<graphml><graph/></graphml>', '', true, 'graph'],
  [LINES, 'x.txt', true, 'lines'],
  [`\uFEFF\n${LINES}`, '', true, 'lines'],
  [TABLE, 'x.csv', true, 'table'],
  [TABLE.replaceAll(',', '\t').replace('\n', '\r\n'), '', true, 'table'],
  // A single line of words may well name columns, and is not for us for that alone.
  ['name,from,to', '', false, 'table'],
  ['move reaction', '', false, 'lines'],
  ['Armbar (finish): 3 of 10', '', false, 'lines'],
  ['see you at six,\nbring the mats', '', false, 'lines'],
  ['a {b}', '', false, 'lines'],
  ['#hashtag\nname', '', false, 'lines'],
  // A heading of our lines that would do for a table.
  ['# name,from\nArmbar (finish): 3 of 10', '', true, 'lines'],
  ['', '', false, 'lines'],
  // One word is a column only where the file is called a table.
  ['Move\nArmbar', '', false, 'lines'],
  ['Position\nMount', 'x.csv', false, 'table'],
])('what %j brings is known by its name and what it begins with', (text, name, isOurs, of) => {
  expect(isForUs(text)).toBe(isOurs)
  expect(isDocument(text)).toBe(/^[\uFEFF\s]*[{[]/.test(text))
  expect(incomingOf(name, text)).toMatchObject({ ok: true, value: { of } })
})

test('what is called a table is read as one, and refused as one', () => {
  expect(incomingOf('moves.CSV', 'colour;size\nred;3')).toEqual({
    ok: false,
    errors: [{ line: 1, column: '', message: 'the first line names no columns that we know, such as name, from, to' }],
  })
  expect(incomingOf('moves.tsv', TABLE.replaceAll(',', '\t'))).toMatchObject({
    value: {
      of: 'table',
      table: { table: 'moves', rows: [{ line: 2, cells: { name: 'Armbar', from: 'Mount', to: 'finish' } }] },
    },
  })
  expect(incomingOf('x.xml', '<svg/>')).toEqual({
    ok: false,
    errors: [{ line: 1, column: '', message: 'the file is no GraphML' }],
  })
})

describe('what a file brings', () => {
  it('is taken as a table, as lines, or as a graph, and counted', () => {
    const table = take(TABLE)
    expect(table.took).toEqual({ ok: true, value: { added: 1, changed: 0, same: 0, places: ['Mount'] } })
    const lines = take(LINES)
    expect(lines.took).toEqual({
      ok: true,
      value: { added: 4, changed: 2, same: 0, places: ['Mount', 'Side control'] },
    })
    expect(lines.chart.moves.map(({ name, from, to }) => [name, from, to])).toEqual([
      ['Armbar', 'mount', 'finish'],
      ['Step over', 'mount', 'side-control'],
    ])
    const graph = take(GRAPH)
    expect(graph.took).toEqual({ ok: true, value: { added: 3, changed: 0, same: 0, places: [] } })
    expect(graph.chart.positions.map(({ name }) => name)).toEqual(['Mount', 'b'])
    // Its arrows may lead to where nothing is told of but the name, which comes with them.
    const again = take(GRAPH, graph.chart)
    expect(again.took).toEqual({ ok: true, value: { added: 0, changed: 0, same: 3, places: [] } })
    expect(again.chart).toEqual(graph.chart)
  })

  it('is taken whole or not at all, each fault by its place', () => {
    const lines = take('# Mount\nArmbar (finish): 3 of\n', nothing)
    expect(lines.chart).toBe(nothing)
    expect(lines.took).toEqual({
      ok: false,
      errors: [
        {
          line: 2,
          column: expect.stringMatching(/^character [1-9]\d*$/) as string,
          message: expect.any(String) as string,
        },
      ],
    })
    const wrong = graphml(
      node('a', data('l', 'Mount'), data('a', 'sideways')) +
        node('b') +
        edge('a', 'b', data('w', 'move'), data('k', 'jump')),
    )
    const graph = take(wrong)
    expect(graph.chart).toEqual(nothing)
    expect(graph.took.ok ? [] : graph.took.errors.map(({ message }) => message.slice(0, 24))).toEqual([
      '"sideways" is not one of',
      '"jump" is not one of tak',
    ])
    // Sound positions do not stay where an arrow is refused.
    const half = graphml(node('a') + node('b') + edge('a', 'b', data('w', 'move'), data('k', 'jump')))
    expect(take(half).chart).toEqual(nothing)
    expect(take(half).took.ok).toBe(false)
  })
})

test('a graph is told by what its data say, under whatever keys', () => {
  const text = graphml(
    node('a', data('l', '  Mount '), data('w', 'position'), data('a', 'ours')) +
      node('finish', data('l', 'The end'), data('w', 'end')) +
      node('c', '<data key="l"/>', data('zz', 'said by nobody')) +
      edge(
        'a',
        'finish',
        data('l', 'Armbar'),
        data('w', 'move'),
        data('k', 'submission'),
        data('c', '3'),
        data('o', '10'),
      ) +
      edge('a', 'c', data('k', 'advance'), data('c', '3'), data('o', '0')) +
      edge('c', 'a', data('w', 'reaction')) +
      edge('a', 'nowhere', data('l', 'Leap')) +
      '<hyperedge><endpoint node="a"/></hyperedge>',
  )
  const { positions, moves, rest } = taken(readGraphml(text))
  expect(positions.rows).toEqual([
    { line: 1, cells: { name: 'Mount', ahead: 'ours' } },
    { line: 2, cells: { name: 'c' } },
  ])
  expect(moves.rows).toEqual([
    { line: 1, cells: { name: 'Armbar', from: 'Mount', to: 'finish', kind: 'submission', lands: '3', of: '10' } },
    { line: 2, cells: { name: 'To c', from: 'Mount', to: 'c' } },
  ])
  expect(rest).toEqual(['reaction “”', 'arrow “Leap” from or to nothing', '1 arrow between more than two'])
})

test('a document is put in the place of another field by field', () => {
  const draft: Record<string, unknown> = { id: 'a', title: 'Old', notes: 'gone', list: [1] }
  putInPlace(draft, { id: 'a', title: 'New', more: true, list: [2] })
  expect(draft).toEqual({ id: 'a', title: 'New', more: true, list: [2] })
  expect(Object.keys(draft)).not.toContain('notes')
})

describe('the cells of a table', () => {
  const at = (text: string, chart: Chart = nothing) => take(text, chart, 'x.csv')
  const base = at('name,from,to,kind\nArmbar,Mount,finish,submission\nRoll,Turtle,Mount,advance').chart

  it('set what they name of a position, and leave what they do not', () => {
    const { chart } = at('name,family,ahead,out,threat,notes\nMount,back,theirs,"2,5",7,low', base)
    expect(chart.positions[0]).toMatchObject({
      family: 'back',
      ahead: 'theirs',
      out: { every: 2.5 },
      threat: { every: 7 },
      notes: 'low',
    })
    const [mount] = at('name,notes\nMOUNT,high', chart).chart.positions
    expect(mount).toEqual({ ...chart.positions[0], notes: 'high' })
  })

  it('set what they name of a move, in reply only where they say so', () => {
    const replies = (cell: string) => at(`name,from,to,reply\nPost,Mount,Turtle,${cell}`, base).chart.moves.at(-1)!
    expect(['yes', 'TRUE', '1', 'x'].map((cell) => replies(cell).reply)).toEqual([true, true, true, true])
    expect(['no', 'false', 'maybe'].map((cell) => replies(cell).reply ?? false)).toEqual([false, false, false])
    expect(at('name,from,to,seconds\nRoll,Turtle,Mount,soon', base).took).toEqual({
      ok: false,
      errors: [{ line: 2, column: 'seconds', message: '"soon" is no number' }],
    })
    expect(at('name,from,to,seconds\nRoll,Turtle,Mount,6', base).chart.moves[1]).toMatchObject({ seconds: 6 })
  })

  it('make a reaction that ends where it is said, caught and over too', () => {
    const { chart } = at('reaction,endsIn\nBridge,Turtle\nStrangle,Caught\nLeave,over\nStand,Standing', base)
    expect(chart.reactions.map(({ name, endsIn }) => [name, endsIn])).toEqual([
      ['Bridge', 'turtle'],
      ['Strangle', 'caught'],
      ['Leave', 'over'],
      ['Stand', 'standing'],
    ])
  })

  it('set what is seen on coming to a position, nothing where no cue is named, and refuse what is not known', () => {
    const seen = { ...base, cues: [{ id: 'elbow', name: 'Elbow up' }] } as unknown as Chart
    const cells = 'position,outcome,to,count\n'
    expect(at(`${cells}Mount,seen,elbow,4\nMount,seen,,6`, seen).chart.positions[0]!.seen).toEqual({
      elbow: 4,
      nothing: 6,
    })
    expect(at(`${cells}Mount,seen,knee,4`, seen).took).toEqual({
      ok: false,
      errors: [{ line: 2, column: 'to', message: 'nothing like "knee" is seen in this chart' }],
    })
    expect(at(`${cells}Mount,lands,,4`, seen).took).toEqual({
      ok: false,
      errors: [{ line: 2, column: 'outcome', message: '"lands" is not one of reaction, seen' }],
    })
  })

  it('keep a guess whose counts they repeat, and make it ours where they change one', () => {
    const guess = base.moves[0]!.tries!
    expect(guess.weight).toBeGreaterThan(0)
    const rows = (lands: number) => `move,outcome,count\nArmbar,stalls,${guess.stalls}\nArmbar,lands,${lands}`
    expect(at(rows(guess.lands!), base).chart).toEqual(base)
    expect(at(rows(guess.lands! + 1), base).chart.moves[0]!.tries).toEqual({
      stalls: guess.stalls,
      lands: guess.lands! + 1,
    })
  })

  it('are named by any of their names, under a column after what the rows are', () => {
    const found = readTable('Kind;Move;Start position;Leads to\nadvance;Post;Mount;Turtle')
    expect(found).toMatchObject({
      ok: true,
      value: { table: 'moves', ignored: [], rows: [{ cells: { kind: 'advance', name: 'Post' } }] },
    })
    expect(readTable('reaction,move\na,b')).toMatchObject({ value: { table: 'answers' } })
    expect(readTable('to,kind,name\na,b,c')).toMatchObject({ value: { table: 'moves' } })
    expect(readTable('position\nMount')).toMatchObject({
      value: { table: 'positions', rows: [{ cells: { name: 'Mount' } }] },
    })
  })
})
