import type { Answer } from '../../chart/answer'
import { CHART_KIND } from '../../chart/chartKind'
import type { Chart } from '../../chart/chart'
import { NOTHING_SEEN } from '../../chart/cue'
import { COLD_GUESS, markGuess, NEW_ANSWER, newMove, positionFromName } from '../../chart/guesses'
import { toMoveId, toPositionId, toReactionId, type PositionId } from '../../chart/ids'
import { lookUp } from '../../chart/lookUp'
import type { Move } from '../../chart/move'
import type { Position } from '../../chart/position'
import type { Race } from '../../chart/race'
import { isOwn, type Tries } from '../../chart/tries'
import { AHEAD, KINDS, type Kind } from '../../chart/words'
import { fieldsOf, isRecord } from '../../document/fields'
import { idFromName, isId } from '../../document/ids'
import { checkDocument } from '../../document/read'
import { copyOf } from '../../typed'
import { nameKey } from '../../notation/fork'
import { need, number, oneOf, Wrong } from '../in/cells'
import { listIn, type CellError, type ReadTable, type Row } from '../in/readTable'

/** What taking rows into a chart came to. */
export interface TakenRows {
  added: number
  changed: number
  same: number
  /** Names of positions that rows named and that the chart did not have. */
  places: string[]
}
export type TableTaken = { ok: true; value: TakenRows } | { ok: false; errors: CellError[] }

/**
 * Takes rows into a chart: what is there by id or by name gets what the row says, all others come new; a position that
 * a move names is made. If any row is wrong, the chart is not changed, and all that is wrong is returned.
 */
export function takeTable(chart: Chart, read: ReadTable): TableTaken {
  const copy = copyOf(chart)
  const taking = new Taking(copy, read)
  const taken = taking.run()
  if (!taken.ok) return taken
  const { positions, moves, reactions, answers } = copy
  Object.assign(chart, { positions, moves, reactions, answers })
  return taken
}

const ONE_OF: Record<string, string> = { positions: 'position', moves: 'move', reactions: 'reaction' }

type Named = { id: string; name: string }

const LISTS = ['holds', 'aliases', 'uses', 'needs', 'adds', 'drops', 'keeps', 'strips', 'tags']

/** A record as text, the same in whatever order its fields were set. */
const inOrder = (record: object): string =>
  JSON.stringify(record, (_, value: unknown) =>
    isRecord(value) ? Object.fromEntries(Object.entries(value).toSorted(([a], [b]) => (a < b ? -1 : 1))) : value,
  )

class Taking {
  private readonly errors: CellError[] = []
  private readonly lines = new Map<object, number>()
  private readonly taken: TakenRows = { added: 0, changed: 0, same: 0, places: [] }
  /** Tries that rows set, as they were before, by the record: they are begun anew with its first row. */
  private readonly begun = new Map<Move | Answer, Tries>()
  /** Records of which rows say how tries go, as they were. */
  private readonly before = new Map<object, string>()

  constructor(
    private readonly chart: Chart,
    private readonly read: ReadTable,
  ) {}

  run(): TableTaken {
    for (const row of this.read.rows) {
      try {
        this[this.read.table](row)
      } catch (error) {
        if (!(error instanceof Wrong)) throw error
        this.say(row.line, error.column, error.message)
      }
    }
    this.keepGuesses()
    for (const [record, was] of this.before) this.taken[inOrder(record) === was ? 'same' : 'changed']++
    if (!this.errors.length)
      for (const { path, message } of checkDocument(CHART_KIND, this.chart)) this.locate(path, message)
    if (this.errors.length) return { ok: false, errors: this.errors.toSorted((a, b) => a.line - b.line) }
    return { ok: true, value: this.taken }
  }

  private say(line: number, as: string, message: string): void {
    const column = this.read.matched.find((one) => one.as === as)?.column ?? as
    this.errors.push({ line, column, message })
  }

  /** Says a problem of the chart at the row that has brought it. */
  private locate([list, index, field]: (string | number)[], message: string): void {
    const records = fieldsOf(this.chart)[String(list)]
    const record: unknown = Array.isArray(records) ? records[Number(index)] : undefined
    const line = typeof record === 'object' && record ? this.lines.get(record) : undefined
    this.say(line ?? 1, String(field ?? ''), message)
  }

  positions(row: Row): void {
    const name = need(row, 'name')
    const known = this.find(this.chart.positions, row, name)
    const position = known ?? this.newPosition(row, name, row.cells.family)
    this.change(position, known, row, () => {
      const { family, ahead, frame, out, threat } = row.cells
      if (family) position.family = family
      if (ahead) {
        position.ahead = oneOf(AHEAD, 'ahead', ahead)
        markGuess(position, 'ahead', false)
      }
      if (frame) position.frame = frame
      if (out) {
        position.out = { ...position.out, every: number('out', out) }
        markGuess(position, 'out', false)
      }
      if (threat) position.threat = { ...position.threat, every: number('threat', threat) }
    })
  }

  moves(row: Row): void {
    const name = need(row, 'name')
    const from = this.position(need(row, 'from'))
    const known = this.find(this.chart.moves, row, name, (one) => one.from === from)
    const move = known ?? this.newMove(row, name, from)
    this.change(move, known, row, () => {
      const { kind, seconds, reply, lands, to } = row.cells
      if (to) move.to = this.landing(to)
      if (kind) move.kind = oneOf(KINDS, 'kind', kind)
      if (reply && /^(yes|true|1|x)$/i.test(reply)) move.reply = true
      if (seconds) {
        move.seconds = number('seconds', seconds)
        markGuess(move, 'seconds', false)
      }
      if (lands !== undefined) move.tries = withCounts(move.tries, number('lands', lands), row)
    })
  }

  reactions(row: Row): void {
    const name = need(row, 'name')
    const endsIn = this.end(need(row, 'endsIn'))
    const known = this.find(this.chart.reactions, row, name, (one) => one.endsIn === endsIn)
    const reaction =
      known ?? added(this.chart.reactions, { id: toReactionId(this.id(this.chart.reactions, row, name)), name, endsIn })
    this.change(reaction, known, row, () => {
      reaction.endsIn = endsIn
      if (row.cells.seconds) reaction.seconds = number('seconds', row.cells.seconds)
    })
  }

  answers(row: Row): void {
    const [reaction, move] = [this.named('reactions', row, 'reaction'), this.named('moves', row, 'move')]
    const known = this.answer(reaction.id, move.id)
    const answer = known ?? added(this.chart.answers, { reaction: toReactionId(reaction.id), move: toMoveId(move.id) })
    // A move that is only in reply says nothing of how it goes: the answer must.
    this.change(answer, known, row, () => {
      if (!known && !isOwn(move)) answer.tries = { ...NEW_ANSWER }
    })
  }

  tries(row: Row): void {
    const { position, reaction, move } = row.cells
    const outcome = need(row, 'outcome')
    const count = number('count', need(row, 'count'))
    if (position && !move) return this.ofPlace(row, outcome, count)
    const of = reaction
      ? this.answer(this.named('reactions', row, 'reaction').id, this.named('moves', row, 'move').id)
      : this.named('moves', row, 'move')
    if (!of) throw new Wrong('reaction', `"${move ?? ''}" is no answer to "${reaction ?? ''}"`)
    this.lines.set(of, row.line)
    const tries = this.begin(of)
    if (outcome === 'lands' || outcome === 'stalls') tries[outcome] = count
    else if (outcome === 'race') of.race = this.race(row, count)
    else if (outcome === 'reaction')
      tries.reactions = { ...tries.reactions, [this.named('reactions', row, 'to').id]: count }
    else if (outcome === 'elsewhere') tries.elsewhere = { ...tries.elsewhere, [this.end(need(row, 'to'))]: count }
    else throw new Wrong('outcome', `"${outcome}" is not one of lands, stalls, reaction, elsewhere, race`)
  }

  private touch(record: object): void {
    if (!this.before.has(record)) this.before.set(record, inOrder(record))
  }

  private race(row: Row, tries: number): Race {
    const { id: reaction } = this.named('reactions', row, 'to')
    const times = { ours: number('ours', need(row, 'ours')), theirs: number('theirs', need(row, 'theirs')) }
    const { spread } = row.cells
    return { reaction, ...times, ...(spread === undefined ? {} : { spread: number('spread', spread) }), tries }
  }

  /** The tries of a record, emptied where this is the first row of it. */
  private begin(of: Move | Answer): Tries {
    const had = of.tries ?? {}
    if (this.begun.has(of)) return had
    this.begun.set(of, had)
    this.touch(of)
    return (of.tries = had.tallies ? { tallies: had.tallies } : {})
  }

  /** A guess of which no count was changed stays a guess. */
  private keepGuesses(): void {
    const counts = ({ weight: _, ...tries }: Tries) => inOrder(tries)
    for (const [of, had] of this.begun)
      if (had.weight !== undefined && of.tries && counts(of.tries) === counts(had)) of.tries = had
  }

  /** What they do in a position while we hold still, or what is seen on coming there. */
  private ofPlace(row: Row, outcome: string, count: number): void {
    const position = this.named('positions', row, 'position')
    this.lines.set(position, row.line)
    this.touch(position)
    if (outcome === 'reaction') {
      const { every = 10, reactions } = position.unprompted ?? {}
      position.unprompted = { every, reactions: { ...reactions, [this.named('reactions', row, 'to').id]: count } }
    } else if (outcome === 'seen') {
      const cue = row.cells.to === undefined ? NOTHING_SEEN : (lookUp(this.chart.cues, row.cells.to)?.id ?? '')
      if (!cue) throw new Wrong('to', `nothing like "${row.cells.to ?? ''}" is seen in this chart`)
      position.seen = { ...position.seen, [cue]: count }
    } else throw new Wrong('outcome', `"${outcome}" is not one of reaction, seen`)
  }

  private find<R extends Named>(
    records: R[],
    row: Row,
    name: string,
    isHere: (one: R) => boolean = () => true,
  ): R | undefined {
    return lookUp(records, row.cells.id) ?? records.find((one) => nameKey(one.name) === nameKey(name) && isHere(one))
  }

  /** Does what a row says to a record, with the fields that are lists or notes, and counts what it came to. */
  private change(record: object, known: object | undefined, row: Row, work: () => void): void {
    const before = JSON.stringify(record)
    work()
    for (const field of LISTS) {
      const cell = row.cells[field]
      if (cell !== undefined) fieldsOf(record)[field] = listIn(cell)
    }
    if (row.cells.notes !== undefined) fieldsOf(record).notes = row.cells.notes
    this.lines.set(record, row.line)
    if (!known) this.taken.added++
    else if (JSON.stringify(record) === before) this.taken.same++
    else this.taken.changed++
  }

  private id(records: readonly Named[], { cells }: Row, name: string): string {
    const asked = cells.id
    if (asked !== undefined && !isId(asked)) throw new Wrong('id', `"${String(asked)}" may not be an id`)
    return asked ?? idFromName(name, new Set(records.map((one) => one.id)))
  }

  private newPosition(row: Row, name: string, family?: string): Position {
    const id = toPositionId(this.id(this.chart.positions, row, name))
    return added(this.chart.positions, { id, ...positionFromName(name, family) })
  }

  private newMove(row: Row, name: string, from: PositionId): Move {
    const to = this.landing(need(row, 'to'))
    const kind: Kind =
      to === 'finish' ? 'submission' : lookUp(this.chart.positions, from)?.ahead === 'theirs' ? 'escape' : 'advance'
    const tries = row.cells.reply ? {} : { tries: { ...COLD_GUESS } }
    return added(this.chart.moves, {
      ...{ id: toMoveId(this.id(this.chart.moves, row, name)) },
      ...newMove({ name, kind, from, to, ...tries }),
    })
  }

  private position(text: string): PositionId {
    const known =
      lookUp(this.chart.positions, text) ?? this.chart.positions.find(({ name }) => nameKey(name) === nameKey(text))
    if (known) return known.id
    this.taken.places.push(text)
    return this.newPosition({ line: 0, cells: {} }, text).id
  }

  private landing(text: string): Move['to'] {
    if (['caught', 'over'].includes(nameKey(text)))
      throw new Wrong('to', 'a move of ours lands in a position or in a finish')
    return nameKey(text) === 'finish' ? 'finish' : this.position(text)
  }

  private end(text: string) {
    const word = nameKey(text)
    return word === 'caught' || word === 'over' ? word : this.position(text)
  }

  private named<L extends 'positions' | 'moves' | 'reactions'>(list: L, row: Row, column: string): Chart[L][number] {
    const text = need(row, column)
    const records: readonly Chart[L][number][] = this.chart[list]
    const known = records.find(({ id }) => id === text) ?? records.find(({ name }) => nameKey(name) === nameKey(text))
    if (!known) throw new Wrong(column, `there is no ${ONE_OF[list] ?? list} "${text}"`)
    return known
  }

  private answer(reaction: string, move: string): Answer | undefined {
    return this.chart.answers.find((one) => one.reaction === reaction && one.move === move)
  }
}

function added<R>(records: R[], record: R): R {
  records.push(record)
  return record
}

/** Tries with counts of their own: how many land of how many, the rest coming to nothing. */
function withCounts(tries: Tries | undefined, lands: number, row: Row): Tries {
  const of = row.cells.of === undefined ? Math.max(10, lands) : number('of', row.cells.of)
  if (lands < 0 || of < lands) throw new Wrong('lands', `${lands} of ${of} cannot land`)
  const { weight: _, stalls: __, ...rest } = tries ?? {}
  const met = [...Object.values(rest.reactions ?? {}), ...Object.values(rest.elsewhere ?? {})].reduce(
    (sum, n) => sum + n,
    0,
  )
  return { ...rest, lands, stalls: Math.max(0, of - lands - met) }
}
