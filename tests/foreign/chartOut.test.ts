import { produce } from 'immer'
import type { Chart } from '../../src/core/chart/chart'
import { csvOf, chartTables } from '../../src/core/files/out/tables'
import { dotOf } from '../../src/core/files/out/dot'
import { graphOf } from '../../src/core/files/out/graph'
import { graphmlOf } from '../../src/core/files/out/graphml'
import { logTables } from '../../src/core/files/out/logTables'
import { sumOf, zipOf } from '../../src/core/files/out/archive'
import { CLUB_KIND } from '../../src/core/club/clubKind'
import { readDocument } from '../../src/core/document/read'
import club from '../../demo/tern-street.ataque-club.json' with { type: 'json' }
import { demoPlan } from '../fixtures/demoPlan'
import { taken } from '../reference/taken'
import { ask, askPython, fileOf, withProgram } from './programs'

/** The demo with names that every format has to quote in its own way. */
const NASTY = `-1+"two", <b>&amp;</b>; 'three'\nfour\\ é 手 =SUM(A1)`
const chart: Chart = produce(demoPlan(), (draft) => {
  draft.positions[0]!.name = NASTY
  draft.moves[0]!.name = NASTY
  draft.reactions[0]!.name = NASTY
  draft.title = NASTY
})
const graph = graphOf(chart)
const table = (name: string) => chartTables(chart).find((one) => one.name === name)!
const counts = (list: readonly string[]) => list.toSorted()

describe('a chart as tables', () => {
  const READ =
    'import csv, io, json, sys; print(json.dumps(list(csv.reader(io.StringIO(sys.stdin.buffer.read().decode()), strict=True))))'
  withProgram('python')('is read by the csv module of Python, cell by cell', () => {
    for (const { columns, rows, name } of chartTables(chart)) {
      const [header, ...read] = askPython(READ, csvOf(table(name))) as string[][]
      expect(header).toEqual(columns)
      expect(read).toHaveLength(rows.length)
      read.forEach((row, i) => {
        const written = rows[i]!.map(String)
        // What a spreadsheet would work out gets an apostrophe before it, and nothing else does.
        expect(row).toEqual(
          written.map((cell, k) => (typeof rows[i]![k] === 'string' && /^[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell)),
        )
      })
    }
  })

  withProgram('python')('has the log of the club with names, as Python reads it', () => {
    const hall = taken(readDocument(CLUB_KIND, club))
    const [tries, rounds] = logTables(hall, demoPlan()).map((one) => askPython(READ, csvOf(one)) as string[][])
    expect([tries!.length - 1, rounds!.length - 1]).toEqual([hall.tries.length, hall.rounds.length])
    const names = new Set(hall.people.map(({ name }) => name))
    const us = tries![0]!.indexOf('us')
    for (const row of tries!.slice(1)) expect(row[us] === '' || names.has(row[us]!)).toBe(true)
  })
})

describe('a chart as a graph', () => {
  withProgram('dot')('is drawn by Graphviz, with every position and every arrow', () => {
    const drawn = JSON.parse(ask('dot', ['-Tdot_json'], dotOf(graph))) as {
      objects: { name: string; label: string; nodes?: unknown }[]
      edges: { tail: number; head: number; label: string }[]
    }
    const nodes = drawn.objects.filter(({ name }) => !name.startsWith('cluster'))
    expect(counts(nodes.map(({ name }) => name))).toEqual(counts(graph.nodes.map(({ id }) => id)))
    const nameAt = (i: number) => drawn.objects[i]!.name
    expect(counts(drawn.edges.map(({ tail, head }) => `${nameAt(tail)} ${nameAt(head)}`))).toEqual(
      counts(graph.arrows.map(({ from, to }) => `${from} ${to}`)),
    )
  })

  withProgram('xmllint')('is GraphML by the schema of what we write of it', () => {
    const [file, schema] = [fileOf('chart.graphml', graphmlOf(graph)), 'tests/foreign/graphml.xsd']
    // It says on its standard error that the file validates.
    expect(() => ask('xmllint', ['--noout', '--schema', schema, file])).toThrow(/validates/)
    const broken = fileOf('broken.graphml', graphmlOf(graph).replace('edgedefault="directed"', ''))
    expect(() => ask('xmllint', ['--noout', '--schema', schema, broken])).toThrow(/fails to validate/)
  })

  withProgram('networkx')('is read by networkx, with names and counts', () => {
    const READ = `
import io, json, sys, networkx
graph = networkx.read_graphml(io.BytesIO(sys.stdin.buffer.read()), force_multigraph=True)
print(json.dumps({'nodes': [[n, d] for n, d in graph.nodes(data=True)], 'edges': [[a, b, d] for a, b, d in graph.edges(data=True)]}))`
    const read = askPython(READ, graphmlOf(graph)) as {
      nodes: [string, { label: string }][]
      edges: [string, string, { label: string; count: number; of: number; what: string }][]
    }
    expect(read.nodes).toHaveLength(graph.nodes.length)
    const [first] = graph.nodes
    expect(read.nodes.find(([id]) => id === first!.id)![1].label).toBe(NASTY)
    const said = (from: string, to: string, label: string, count: number, of: number, what: string) =>
      JSON.stringify([from, to, label, count, of, what])
    expect(
      counts(read.edges.map(([from, to, { label, count, of, what }]) => said(from, to, label, count, of, what))),
    ).toEqual(
      counts(graph.arrows.map(({ from, to, label, count, of, what }) => said(from, to, label, count, of, what))),
    )
  })
})

describe('an archive', () => {
  withProgram('python')('is opened by Python, with names, times and sums', () => {
    const entries = [
      { path: 'a/eins.txt', text: 'eins é 手' },
      { path: 'b.txt', text: '' },
    ]
    const file = fileOf('some.zip', zipOf(entries, Date.UTC(2026, 10, 30, 12, 0, 0)))
    const READ = `
import hashlib, json, sys, zipfile
with zipfile.ZipFile(sys.stdin.read()) as archive:
    assert archive.testzip() is None
    print(json.dumps([[i.filename, i.date_time[0], archive.read(i).decode(), hashlib.sha256(archive.read(i)).hexdigest()] for i in archive.infolist()]))`
    expect(askPython(READ, file)).toEqual(entries.map(({ path, text }) => [path, 2026, text, sumOf(text)]))
  })
})
