import { emptyClub, type Club } from '../../../src/core/club/clubKind'
import { emptyChart, type Chart } from '../../../src/core/chart/chart'
import { dotOf } from '../../../src/core/files/out/dot'
import { graphOf } from '../../../src/core/files/out/graph'
import { graphmlOf } from '../../../src/core/files/out/graphml'
import { logTables } from '../../../src/core/files/out/logTables'
import type { TABLE_NAMES } from '../../../src/core/files/out/tables'
import { chartTables, columnsOf, csvOf } from '../../../src/core/files/out/tables'

/** A chart of which every record has all that is written of its kind, beside one that has only what it must. */
const chart = {
  ...emptyChart('small', 'Small "one"'),
  positions: [
    {
      ...{ id: 'mount', name: 'Mount', family: 'mount', ahead: 'ours', frame: 'mount', holds: ['hook', 'cup'] },
      ...{ out: { every: 20 }, threat: { every: 30 }, aliases: ['top', 'high'], notes: 'stay heavy' },
      ...{ unprompted: { every: 10, reactions: { bridge: 4 } }, seen: { nothing: 6, elbow: 4 } },
    },
    { id: 'turtle', name: 'Turtle', family: 'turtle', ahead: 'even' },
  ],
  moves: [
    {
      ...{ id: 'armbar', name: 'Armbar', kind: 'submission', from: 'mount', to: 'finish', seconds: 4 },
      ...{ uses: ['leg'], needs: ['hook'], adds: ['cup'], drops: ['post'], keeps: ['grip'], tags: ['gi'] },
      ...{ aliases: ['the bar'], notes: 'knees tight' },
      tries: { lands: 3, stalls: 2, reactions: { bridge: 4 }, elsewhere: { turtle: 1 } },
      race: { reaction: 'bridge', ours: 2, theirs: 3, spread: 0.5, tries: 5 },
    },
    { id: 'roll', name: 'Roll', kind: 'advance', from: 'turtle', to: 'mount', reply: true },
    {
      ...{
        id: 'snap',
        name: 'Snap',
        kind: 'advance',
        from: 'turtle',
        to: 'mount',
        tries: { lands: 7, reactions: { bridge: 3 } },
      },
    },
  ],
  reactions: [
    {
      ...{ id: 'bridge', name: 'Bridge', endsIn: 'turtle', seconds: 2, uses: ['hip'], adds: ['far'], strips: ['hook'] },
      ...{ aliases: ['bump'], notes: 'hard' },
    },
    { id: 'reach', name: 'Reach', endsIn: 'over' },
  ],
  answers: [
    {
      reaction: 'bridge',
      move: 'roll',
      tries: { lands: 0, stalls: 5 },
      race: { reaction: 'reach', ours: 1, theirs: 1, tries: 2 },
    },
    { reaction: 'reach', move: 'armbar' },
  ],
} as unknown as Chart

test('a chart is written as tables, cell by cell', () => {
  const tables = Object.fromEntries(chartTables(chart).map(({ name, rows }) => [name, rows]))
  expect(tables).toEqual({
    positions: [
      ['mount', 'Mount', 'mount', 'ours', 'mount', 'hook; cup', 20, 30, 'top; high', 'stay heavy'],
      ['turtle', 'Turtle', 'turtle', 'even', '', '', '', '', '', ''],
    ],
    moves: [
      ...[
        [
          'armbar',
          'Armbar',
          'submission',
          'mount',
          'finish',
          4,
          '',
          'leg',
          'hook',
          'cup',
          'post',
          'grip',
          'gi',
          'the bar',
          'knees tight',
        ],
      ],
      ...[['roll', 'Roll', 'advance', 'turtle', 'mount', '', 'yes', '', '', '', '', '', '', '', '']],
      ...[['snap', 'Snap', 'advance', 'turtle', 'mount', '', '', '', '', '', '', '', '', '', '']],
    ],
    reactions: [
      ['bridge', 'Bridge', 'turtle', 2, 'hip', 'far', 'hook', 'bump', 'hard'],
      ['reach', 'Reach', 'over', '', '', '', '', '', ''],
    ],
    answers: [
      ['bridge', 'roll'],
      ['reach', 'armbar'],
    ],
    tries: [
      ['armbar', '', '', 'lands', '', 3, '', '', ''],
      ['armbar', '', '', 'stalls', '', 2, '', '', ''],
      ['armbar', '', '', 'reaction', 'bridge', 4, '', '', ''],
      ['armbar', '', '', 'elsewhere', 'turtle', 1, '', '', ''],
      ['armbar', '', '', 'race', 'bridge', 5, 2, 3, 0.5],
      ['snap', '', '', 'lands', '', 7, '', '', ''],
      ['snap', '', '', 'reaction', 'bridge', 3, '', '', ''],
      ['roll', 'bridge', '', 'lands', '', 0, '', '', ''],
      ['roll', 'bridge', '', 'stalls', '', 5, '', '', ''],
      ['roll', 'bridge', '', 'race', 'reach', 2, 1, 1, ''],
      ['', '', 'mount', 'reaction', 'bridge', 4, '', '', ''],
      ['', '', 'mount', 'seen', '', 6, '', '', ''],
      ['', '', 'mount', 'seen', 'elbow', 4, '', '', ''],
    ],
  })
  for (const { name, columns, rows } of chartTables(chart)) {
    expect(columns).toEqual(columnsOf(name as (typeof TABLE_NAMES)[number]))
    for (const row of rows) expect([name, row.length]).toEqual([name, columns.length])
  }
  expect(csvOf(chartTables(chart)[3]!)).toBe('reaction,move\r\nbridge,roll\r\nreach,armbar\r\n')
})

test('the log of a club is written with names where the chart and the club have them, with ids where not', () => {
  const at = Date.UTC(2026, 10, 24, 18, 30)
  const club = {
    ...emptyClub('hall', 'Hall'),
    people: [
      { id: 'ada', name: 'Ada' },
      { id: 'bo', name: 'Bo' },
    ],
    tries: [
      {
        id: 't1',
        when: '2026-11-24',
        in: 'class',
        us: 'ada',
        them: 'bo',
        session: 's1',
        chart: 'small',
        move: 'armbar',
        reply: 'bridge',
        outcome: 'lands',
        resistance: 'full',
        gi: true,
      },
      {
        id: 't2',
        when: '2026-11-25',
        in: 'match',
        us: 'gone',
        chart: 'small',
        move: 'roll',
        outcome: { reaction: 'reach' },
        gi: false,
      },
      { id: 't3', when: '2026-11-26', in: 'class', chart: 'other', move: 'armbar', outcome: { elsewhere: 'turtle' } },
      { id: 't4', when: '2026-11-27', in: 'class', chart: 'small', move: 'lost', outcome: { elsewhere: 'turtle' } },
      { id: 't5', when: '2026-11-28', in: 'class', move: 'armbar', outcome: 'stalls' },
    ],
    rounds: [
      {
        id: 'r1',
        when: '2026-11-24',
        session: 's1',
        chart: 'small',
        position: 'mount',
        us: 'ada',
        them: 'bo',
        seconds: 60,
        ended: 'finish',
      },
      { id: 'r2', when: '2026-11-25', seconds: 30, ended: 'time' },
    ],
    rehearsed: [
      { id: 'k1', at, us: 'bo', chart: 'small', position: 'mount', move: 'armbar', reaction: 'bridge', known: 'good' },
      { id: 'k2', at, us: 'bo', chart: 'other', position: 'mount', cue: 'elbow', chair: 'theirs', known: 'again' },
    ],
  } as unknown as Club
  const rows = (of: Chart | null) => logTables(club, of).map((one) => one.rows)
  const [tries, rounds, rehearsed] = rows(chart)
  expect(tries).toEqual([
    ['2026-11-24', 'class', 'Ada', 'Bo', 'Armbar', 'Bridge', 'lands', 'full', 'yes', 's1', 'small'],
    ['2026-11-25', 'match', '', '', 'Roll', '', 'Reach', '', 'no', '', 'small'],
    ['2026-11-26', 'class', '', '', 'armbar', '', 'turtle', '', '', '', 'other'],
    ['2026-11-27', 'class', '', '', 'lost', '', 'Turtle', '', '', '', 'small'],
    ['2026-11-28', 'class', '', '', 'armbar', '', 'stalls', '', '', '', ''],
  ])
  expect(rounds).toEqual([
    ['2026-11-24', 'Mount', 'Ada', 'Bo', 60, 'finish', 's1', 'small'],
    ['2026-11-25', '', '', '', 30, 'time', '', ''],
  ])
  const when = '2026-11-24T18:30:00.000Z'
  expect(rehearsed).toEqual([
    [when, 'Bo', 'Mount', 'Armbar', 'Bridge', '', 'ours', 'good', 'small'],
    [when, 'Bo', 'mount', '', '', 'elbow', 'theirs', 'again', 'other'],
  ])
  for (const { columns, rows: all } of logTables(club, null))
    for (const row of all) expect(row).toHaveLength(columns.length)
  expect(rows(null)[0]![0]!.slice(2, 7)).toEqual(['Ada', 'Bo', 'armbar', 'bridge', 'lands'])
  expect(logTables({ ...club, rehearsed: undefined } as unknown as Club, chart)[2]!.rows).toEqual([])
})

test('a chart is written as a graph: each reaction from each position where it meets a move, with how often', () => {
  const { nodes, arrows } = graphOf(chart)
  expect(nodes.map(({ id, label, what, ahead }) => [id, label, what, ahead])).toEqual([
    ['mount', 'Mount', 'position', 'ours'],
    ['turtle', 'Turtle', 'position', 'even'],
    ['finish', 'Finish', 'end', ''],
  ])
  expect(
    arrows.map(({ id, from, to, label, what, kind, count, of }) => [id, from, to, label, what, kind, count, of]),
  ).toEqual([
    ['move-armbar', 'mount', 'finish', 'Armbar', 'move', 'submission', 3, 15],
    ['move-roll', 'turtle', 'mount', 'Roll', 'move', 'advance', 0, 0],
    ['move-snap', 'turtle', 'mount', 'Snap', 'move', 'advance', 7, 10],
    ['reaction-bridge-mount', 'mount', 'turtle', 'Bridge', 'reaction', 'reaction', 4, 15],
    ['reaction-bridge-turtle', 'turtle', 'turtle', 'Bridge', 'reaction', 'reaction', 3, 10],
  ])
  expect(dotOf(graphOf(chart)).split('\n')).toEqual([
    'digraph "Small \\"one\\"" {',
    '  newrank=true;',
    '  node [shape=box, style=rounded];',
    '  subgraph cluster_0 {',
    '    label="Mount";',
    '    "mount" [label="Mount"];',
    '  }',
    '  subgraph cluster_1 {',
    '    label="Turtle, rides";',
    '    "turtle" [label="Turtle"];',
    '  }',
    '  "finish" [label="Finish", shape=doublecircle];',
    '  "mount" -> "finish" [label="Armbar 3/15"];',
    '  "turtle" -> "mount" [label="Roll"];',
    '  "turtle" -> "mount" [label="Snap 7/10"];',
    '  "mount" -> "turtle" [label="Bridge 4/15", style=dashed];',
    '  "turtle" -> "turtle" [label="Bridge 3/10", style=dashed];',
    '}',
    '',
  ])
  const xml = graphmlOf(graphOf({ ...chart, title: 'One\u0000two' }))
  expect(xml).toContain('<data key="graph-title">Onetwo</data>')
  expect(xml).toContain('<edge id="move-armbar" source="mount" target="finish">')
  for (const said of ['label">Armbar<', 'what">move<', 'kind">submission<', 'count">3<', 'of">15<'])
    expect(xml).toContain(`edge-${said}`)
})
