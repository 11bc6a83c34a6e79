import Papa from 'papaparse'
import type { Chart } from '../../chart/chart'
import { NOTHING_SEEN } from '../../chart/cue'
import type { Goes } from '../../chart/tries'

/** A table as it goes into a file: the first row of which are the names of its columns. */
export interface Table {
  name: string
  columns: readonly string[]
  rows: readonly (string | number)[][]
}

/** Lists stand in one cell. */
export const BETWEEN = '; '

const COLUMNS = {
  positions: ['id', 'name', 'family', 'ahead', 'frame', 'holds', 'out', 'threat', 'aliases', 'notes'],
  moves: [
    ...['id', 'name', 'kind', 'from', 'to', 'seconds', 'reply', 'uses', 'needs', 'adds', 'drops', 'keeps', 'tags'],
    ...['aliases', 'notes'],
  ],
  reactions: ['id', 'name', 'endsIn', 'seconds', 'uses', 'adds', 'strips', 'aliases', 'notes'],
  answers: ['reaction', 'move'],
  tries: ['move', 'reaction', 'position', 'outcome', 'to', 'count', 'ours', 'theirs', 'spread'],
} as const
export type TableName = keyof typeof COLUMNS
export const TABLE_NAMES = Object.keys(COLUMNS) as TableName[]
export const columnsOf = (name: TableName): readonly string[] => COLUMNS[name]

/** The cells of a row that is no race. */
const NO_RACE = ['', '', '']

const list = (values: readonly string[] = []) => values.join(BETWEEN)

/**
 * A chart as tables. `tries` has a row for each outcome: of a move tried cold (`move`), of an answer (`reaction` and
 * `move`), of what they do while we hold still (`position`), or of what is seen on coming there (`seen`).
 */
export function chartTables(chart: Chart): Table[] {
  const rows: Record<TableName, (string | number)[][]> = {
    positions: chart.positions.map((one) => [
      ...[one.id, one.name, one.family, one.ahead, one.frame ?? '', list(one.holds)],
      ...[one.out?.every ?? '', one.threat?.every ?? '', list(one.aliases), one.notes ?? ''],
    ]),
    moves: chart.moves.map((one) => [
      ...[one.id, one.name, one.kind, one.from, one.to, one.seconds ?? '', one.reply ? 'yes' : ''],
      ...[one.uses, one.needs, one.adds, one.drops, one.keeps, one.tags, one.aliases].map(list),
      one.notes ?? '',
    ]),
    reactions: chart.reactions.map((one) => [
      ...[one.id, one.name, one.endsIn, one.seconds ?? ''],
      ...[one.uses, one.adds, one.strips, one.aliases].map(list),
      one.notes ?? '',
    ]),
    answers: chart.answers.map(({ reaction, move }) => [reaction, move]),
    tries: [
      ...chart.moves.flatMap((one) => outcomesOf(one).map((row) => [one.id, '', '', ...row])),
      ...chart.answers.flatMap((one) => outcomesOf(one).map((row) => [one.move, one.reaction, '', ...row])),
      ...chart.positions.flatMap(({ id, unprompted, seen = {} }) => [
        ...Object.entries(unprompted?.reactions ?? {}).map(([to, n]) => ['', '', id, 'reaction', to, n, ...NO_RACE]),
        ...Object.entries(seen).map(([to, n]) => ['', '', id, 'seen', to === NOTHING_SEEN ? '' : to, n, ...NO_RACE]),
      ]),
    ],
  }
  return TABLE_NAMES.map((name) => ({ name, columns: COLUMNS[name], rows: rows[name] }))
}

function outcomesOf({ tries, race }: Goes): (string | number)[][] {
  const { lands, stalls, elsewhere = {}, reactions = {} } = tries ?? {}
  return [
    ...(lands === undefined ? [] : [['lands', '', lands, ...NO_RACE]]),
    ...(stalls === undefined ? [] : [['stalls', '', stalls, ...NO_RACE]]),
    ...Object.entries(reactions).map(([to, n]) => ['reaction', to, n, ...NO_RACE]),
    ...Object.entries(elsewhere).map(([to, n]) => ['elsewhere', to, n, ...NO_RACE]),
    ...(race ? [['race', race.reaction, race.tries, race.ours, race.theirs, race.spread ?? '']] : []),
  ]
}

/** A table as comma-separated values (RFC 4180); what a spreadsheet would take for a formula gets an apostrophe. */
export const csvOf = ({ columns, rows }: Table): string =>
  Papa.unparse(
    { fields: [...columns], data: rows.map((row) => [...row]) },
    { newline: '\r\n', escapeFormulae: /^[=+\-@\t\r]/ },
  ) + '\r\n'
