import { produce } from 'immer'
import type { Chart } from '../../../src/core/chart/chart'
import { emptyChart } from '../../../src/core/chart/chart'
import { CHART_KIND } from '../../../src/core/chart/chartKind'
import { checkDocument } from '../../../src/core/document/read'
import { takeTable, type TableTaken } from '../../../src/core/files/edits/takeTable'
import { readGraphml } from '../../../src/core/files/in/readGraphml'
import { readTable } from '../../../src/core/files/in/readTable'
import { graphOf } from '../../../src/core/files/out/graph'
import { graphmlOf } from '../../../src/core/files/out/graphml'
import { csvOf, chartTables } from '../../../src/core/files/out/tables'
import { sayChart } from '../../../src/core/notation/edits/sayChart'
import { writeChart } from '../../../src/core/notation/writeChart'
import { chartAsMarkdown } from '../../../src/core/say/chartMarkdown'
import { problemText } from '../../../src/core/problem'
import { demoPlan } from '../../fixtures/demoPlan'
import { taken } from '../../reference/taken'

const nothing = emptyChart('sheet', 'Sheet')
const read = (text: string) => {
  const found = readTable(text)
  if (!found.ok) throw new Error(JSON.stringify(found.errors))
  return found.value
}
/** What taking a table came to, and the chart after it. */
function take(chart: Chart, text: string): { chart: Chart; took: TableTaken } {
  let took: TableTaken | undefined
  const after = produce(chart, (draft) => void (took = takeTable(draft as Chart, read(text))))
  return { chart: after, took: took! }
}
const errors = (text: string, chart = nothing) => {
  const found = readTable(text)
  if (!found.ok) return found.errors
  const { took, chart: after } = take(chart, text)
  expect(after).toEqual(chart)
  return took.ok ? [] : took.errors
}

describe('a table of moves, as a coach has it in a spreadsheet', () => {
  const SHEET = [
    'Technique;Start position;Leads to;Landed;Attempts;Mood',
    'Hip bump;Closed guard;Mount;3;10;good',
    '"Kimura; the low one";closed guard;finish;2,5;10;',
    '',
    'Armbar;Mount;Finish;;;',
  ].join('\r\n')

  it('makes the positions that it names, and moves with their tries', () => {
    const { chart, took } = take(nothing, SHEET)
    expect(took).toEqual({ ok: true, value: { added: 3, changed: 0, same: 0, places: ['Closed guard', 'Mount'] } })
    expect(chart.positions.map(({ id, family }) => [id, family])).toEqual([
      ['closed-guard', 'guard'],
      ['mount', 'mount'],
    ])
    expect(
      chart.moves.map(({ name, from, to, kind, tries }) => [name, from, to, kind, tries?.lands, tries?.stalls]),
    ).toEqual([
      ['Hip bump', 'closed-guard', 'mount', 'advance', 3, 7],
      ['Kimura; the low one', 'closed-guard', 'finish', 'submission', 2.5, 7.5],
      ['Armbar', 'mount', 'finish', 'submission', 3, 7],
    ])
    expect(checkDocument(CHART_KIND, chart)).toEqual([])
    const found = read(SHEET)
    expect(found.ignored).toEqual(['Mood'])
    expect(found.matched.map(({ as }) => as)).toEqual(['name', 'from', 'to', 'lands', 'of'])
    // Taken again it changes nothing.
    expect(take(chart, SHEET).took).toMatchObject({ value: { added: 0, changed: 0, same: 3, places: [] } })
  })

  it('is refused as a whole, each fault by its line and column, in the words of the file', () => {
    expect(
      errors(
        [
          'Move,From,To,Type,Lands,Of',
          '"two',
          'lines",Mount,Back,advance,,',
          'x,Mount,Back,jump,,',
          ',Mount,Back,,,',
          'y,Mount,caught,,,',
          'z,Mount,Back,,12,10',
          'w,Mount,Back,,many,',
        ].join('\n'),
      ),
    ).toEqual([
      { line: 4, column: 'Type', message: expect.stringMatching(/^"jump" is not one of takedown, /) as string },
      { line: 5, column: 'Move', message: 'is empty' },
      { line: 6, column: 'To', message: 'a move of ours lands in a position or in a finish' },
      { line: 7, column: 'Lands', message: '12 of 10 cannot land' },
      { line: 8, column: 'Lands', message: '"many" is no number' },
    ])
    expect(errors('from,to,name\na,b,c,d,e')).toEqual([
      { line: 2, column: '', message: 'has 5 cells; the first line names 3' },
    ])
    expect(errors('colour,size\nred,3')).toEqual([
      { line: 1, column: '', message: 'the first line names no columns that we know, such as name, from, to' },
    ])
    expect(errors('name,title,from,to\na,b,c,d')).toEqual([
      { line: 1, column: 'title', message: 'says what another column says' },
    ])
    expect(errors('name,from,to\n"open,a,b')).toMatchObject([{ line: 2 }])
    expect(errors('id,name,from,to\nNO,a,b,c')).toEqual([{ line: 2, column: 'id', message: '"NO" may not be an id' }])
    // What only the chart as a whole can refuse is said at the row, too.
    expect(errors('name,from,to,needs\na,b,c,hook')).toEqual([
      { line: 2, column: 'needs', message: 'there is no hold "hook"' },
    ])
  })
})

describe('the tables that we write', () => {
  const demo = demoPlan()
  const tables = chartTables(demo)
  const names = ['positions', 'moves', 'reactions', 'answers', 'tries']

  it('change nothing when they are taken into the chart that they are of', () => {
    for (const table of tables.slice(0, 4)) {
      const { chart, took } = take(demo, csvOf(table))
      expect([table.name, took]).toEqual([
        table.name,
        { ok: true, value: { added: 0, changed: 0, same: table.rows.length, places: [] } },
      ])
      expect(chart).toEqual(demo)
    }
    const { chart, took } = take(demo, csvOf(tables[4]!))
    expect(chart).toEqual(demo)
    // Its rows are counts: several of them are about one record.
    const { columns, rows } = tables[4]!
    const at = (name: string) => columns.indexOf(name)
    const records = rows.map((row) => ['move', 'reaction', 'position'].map((name) => row[at(name)]).join())
    expect(took).toMatchObject({ value: { added: 0, changed: 0, same: new Set(records).size } })
    const more = rows[0]!.map((cell, i) => (i === at('count') ? Number(cell) + 1 : cell))
    const changed = csvOf({ ...tables[4]!, rows: [more, ...rows.slice(1)] })
    expect(take(demo, changed).took).toMatchObject({ value: { changed: 1, same: new Set(records).size - 1 } })
    expect(tables.map(({ name }) => name)).toEqual(names)
  })

  it('bring the chain back into a chart that has only its holds and what is seen', () => {
    const bare = { ...nothing, holds: demo.holds!, cues: demo.cues! }
    const after = tables.reduce((chart, table) => {
      const { took, chart: next } = take(chart, csvOf(table))
      expect([table.name, took.ok ? [] : took.errors.slice(0, 5)]).toEqual([table.name, []])
      return next
    }, bare as Chart)
    const chain = ({ positions, moves, reactions, answers }: Chart) => ({
      positions: positions.map(({ id, name, family, ahead, holds = [] }) => ({ id, name, family, ahead, holds })),
      moves: moves.map(
        ({ id, name, kind, from, to, seconds, tries: { lands, stalls, reactions: met, elsewhere } = {} }) => ({
          ...{ id, name, kind, from, to, seconds, lands, stalls, met, elsewhere },
        }),
      ),
      reactions: reactions.map(({ id, name, endsIn }) => ({ id, name, endsIn })),
      answers: answers.map(({ reaction, move, tries }) => ({ reaction, move, lands: tries?.lands })),
    })
    expect(chain(after)).toEqual(chain(demo))
    expect(after.moves.map(({ race }) => race)).toEqual(demo.moves.map(({ race }) => race))
  })

  it('say of tries which row is wrong', () => {
    const [, , , , tries] = tables
    const csv = csvOf({
      ...tries!,
      rows: [
        ['no-such', '', '', 'lands', '', 3],
        [demo.moves[0]!.id, '', '', 'wins', '', 3],
      ],
    })
    expect(errors(csv, demo)).toEqual([
      { line: 2, column: 'move', message: 'there is no move "no-such"' },
      { line: 3, column: 'outcome', message: '"wins" is not one of lands, stalls, reaction, elsewhere, race' },
    ])
  })
})

describe('a chart as lines', () => {
  it('comes back from its own lines, and changes nothing where it is', () => {
    const demo = demoPlan()
    const text = writeChart(demo)
    const again = produce(demo, (draft) => {
      expect(sayChart(draft as Chart, text)).toMatchObject({ ok: true, created: [], moves: demo.moves.length })
    })
    expect(again).toEqual(demo)
  })

  it('is made of lines under headings in any order, or not at all', () => {
    const text =
      '\uFEFF# Mount\nArmbar (finish): 3 of 10\n\n# Side control\nStep over (mount): 6 land; 2 turns in (turtle) > take the back\n\n# Turtle\nTake the back (back control): 5 of 10'
    const chart = produce(nothing, (draft) => {
      const said = sayChart(draft as Chart, text)
      expect(said).toMatchObject({ ok: true, moves: 3 })
    })
    expect(chart.positions.map(({ name }) => name)).toEqual(['Mount', 'Side control', 'Turtle', 'Back control'])
    expect(chart.moves.filter(({ reply }) => reply)).toEqual([])
    expect(chart.answers).toMatchObject([{ reaction: 'turns-in', move: 'take-the-back' }])
    expect(checkDocument(CHART_KIND, chart).map(problemText)).toEqual([])
    const wrong = produce(nothing, (draft) => {
      const said = sayChart(draft as Chart, 'Armbar: 3 of 10\n# Mount\nArmbar (finish): 3 of\n')
      expect(said.ok ? [] : said.errors.map(({ line, message }) => [line, message.slice(0, 22)])).toEqual([
        [0, 'say first where we are'],
        [2, expect.any(String)],
      ])
    })
    expect(wrong).toBe(nothing)
  })

  it('is told as Markdown that is not taken for markup', () => {
    const demo = produce(demoPlan(), (draft) => void (draft.moves[0]!.name = 'A *bold* <b>move</b>'))
    const text = chartAsMarkdown(demo)
    expect(text).toContain('- **A \\*bold\\* \\<b\\>move\\</b\\>**')
    for (const { name } of demo.positions) expect(text).toContain(`### ${name}`)
    const loose = demo.reactions.filter(
      ({ id }) =>
        !demo.answers.some(({ reaction }) => reaction === id) && demo.moves.some(({ tries }) => tries?.reactions?.[id]),
    )
    expect(loose.length).toBeGreaterThan(0)
    for (const { name } of loose) expect(text).toContain(`${name} (`)
    expect(text).toContain('**no answer yet**')
  })
})

describe('GraphML', () => {
  it('of our own comes back as its positions and moves, and tells what it left out', () => {
    const demo = demoPlan()
    const { positions, moves, rest } = taken(readGraphml(graphmlOf(graphOf(demo))))
    const after = produce(nothing, (draft) => {
      for (const table of [positions, moves]) expect(takeTable(draft as Chart, table)).toMatchObject({ ok: true })
    })
    expect(after.positions.map(({ name, ahead }) => [name, ahead])).toEqual(
      demo.positions.map(({ name, ahead }) => [name, ahead]),
    )
    const told = ({ moves: all }: Chart, of: Chart) =>
      all
        .map(({ name, from, kind }) => `${name} ${of.positions.find(({ id }) => id === from)!.name} ${kind}`)
        .toSorted()
    expect(told(after, after)).toEqual(told(demo, demo))
    expect(rest.length).toBeGreaterThan(demo.reactions.length / 2)
  })

  it('of an editor of graphs is read with its labels, nested graphs too', () => {
    const text = `<?xml version="1.0"?><graphml xmlns="http://graphml.graphdrawing.org/xmlns" xmlns:y="http://www.yworks.com/xml/graphml">
      <key id="d0" for="node" yfiles.type="nodegraphics"/><key id="d1" for="edge" yfiles.type="edgegraphics"/>
      <graph edgedefault="directed"><node id="n0"><data key="d0"><y:ShapeNode><y:Fill color="#FFCC00"/><y:NodeLabel>Closed &amp; high guard</y:NodeLabel></y:ShapeNode></data></node>
      <node id="g"><graph edgedefault="directed"><node id="n1"/></graph></node>
      <edge source="n0" target="n1"><data key="d1"><y:PolyLineEdge><y:EdgeLabel>Sweep</y:EdgeLabel></y:PolyLineEdge></data></edge>
      <edge source="n0" target="gone"/></graph></graphml>`
    const { positions, moves, rest } = taken(readGraphml(text))
    expect(positions.rows.map(({ cells }) => cells.name)).toEqual(['Closed & high guard', 'g', 'n1'])
    expect(moves.rows.map(({ cells }) => cells)).toEqual([{ name: 'Sweep', from: 'Closed & high guard', to: 'n1' }])
    expect(rest).toHaveLength(1)
  })

  it('that is none is refused with the place', () => {
    const broken = readGraphml('<graphml>\n<graph></graphml>')
    expect(broken.ok ? '' : broken.problems[0]!.message).toMatch(/^the file is no XML: .*\(line 2, column \d+\)$/)
    const other = readGraphml('<svg></svg>')
    expect(other.ok ? '' : other.problems[0]!.message).toBe('the file is no GraphML')
  })
})
