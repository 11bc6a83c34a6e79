import { bandsOf } from '../chart/bands'
import type { Chart, Settings } from '../chart/chart'
import { emptyChart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { Move } from '../chart/move'
import { partOf } from '../chart/part'
import type { Position } from '../chart/position'
import { goingBy, wholeOf, withTallies, type Goes } from '../chart/tries'
import { isBeginner, isMinor, type ClubPerson } from '../club/person'
import type { Figures } from '../insight/figures'
import { scenarioOf } from '../game/scenario'
import { entriesOf } from '../typed'
import { cardsOf } from './cards'
import { PACK_FILE } from './packFiles'
import type { Pack } from './packKind'

/** What homework is about: a band of positions by its key, or a run by its id. */
export interface HomeworkSubject {
  kind: 'region' | 'run'
  id: string
}

/** The positions that homework is about, and its name in the chart; null where that is gone. */
export function subjectOf(chart: Chart, { kind, id }: HomeworkSubject): { name: string; positions: string[] } | null {
  if (kind === 'region') {
    const band = bandsOf(chart.positions).find(({ key }) => key === id)
    return band ? { name: band.name, positions: band.positions.map((one) => one.id) } : null
  }
  const run = lookUp(chart.runs, id)
  if (!run) return null
  const tried = run.steps.flatMap(({ move }) => lookUp(chart.moves, move)?.from ?? [])
  return { name: run.name, positions: [...new Set<string>([run.start, ...tried])] }
}

interface Given {
  id: string
  club: string
  person: ClubPerson
  subject: HomeworkSubject
  /** As 2026-11-28. */
  day: string
  says?: string
}

/**
 * Homework about a part of a chart: the part, and the questions of it with the answers of the whole plan. `may`: which
 * moves who gets it may do; no others are in it. Notes, tallies and rival's records stay with the coach. Null where
 * what it is about is gone.
 */
export function packOf(chart: Chart, figures: Figures, given: Given, may: (move: Move) => boolean): Pack | null {
  const subject = subjectOf(chart, given.subject)
  if (!subject) return null
  const { id, club, person, day, says } = given
  const part = chartOfPart(chart, figures, subject, given, may)
  const cards = cardsOf(part, within(figures, part, new Set(subject.positions)), may)
  return {
    ...{ format: PACK_FILE.format, version: PACK_FILE.version, id, title: subject.name },
    ...{ club, us: person.id, of: chart.id, given: day, ...(says ? { says } : {}) },
    ...{ chart: part, cards: cards.map(({ key: _, ...card }) => card), rehearsed: [] },
  }
}

/** The part as a chart of its own, which is worth at its rim what the whole is worth there. */
function chartOfPart(
  chart: Chart,
  figures: Figures,
  { name, positions }: { name: string; positions: readonly string[] },
  { id, person, subject }: Given,
  may: (move: Move) => boolean,
): Chart {
  const aside = new Set<string>(scenarioOf(chart).aside)
  const part = partOf(chart, positions, { may: (move) => may(move) && !aside.has(move.id), hasAllAnswers: true })
  const run = subject.kind === 'run' ? lookUp(chart.runs, subject.id) : undefined
  const moves = new Set<string>(part.moves.map((move) => move.id))
  const isWhole = run?.steps.every(({ move }) => move === undefined || moves.has(move))
  const inner = new Set(positions)
  return {
    ...emptyChart(id, name),
    settings: settingsOf(chart, figures, positions, person),
    positions: part.positions.map((one) => withoutNotes(inner.has(one.id) ? one : rim(one, figures))),
    holds: part.holds.map(withoutNotes),
    cues: part.cues.map(withoutNotes),
    moves: part.moves.map((one) => withoutNotes(asCounted(one))),
    reactions: part.reactions.map(withoutNotes),
    answers: part.answers.map(asCounted),
    ...(run && isWhole ? { runs: [withoutNotes(run)] } : {}),
  }
}

/** A position beyond which the part does not go: nothing happens there, and it is worth what the plan makes of it. */
function rim({ threat: _, out: __, ...position }: Position, { positions }: Figures): Position {
  const worth = positions[position.id]?.value
  return worth === undefined ? position : { ...position, endWorth: worth }
}

function withoutNotes<R extends object>(record: R): R {
  if (!('notes' in record)) return record
  const { notes: _, ...rest } = record
  return rest as R
}

/** With the rounds that were tallied in the tries, instead of beside them. */
const asCounted = <R extends Goes>(record: R): R =>
  record.tries?.tallies ? goingBy(record, withTallies(wholeOf(record))) : record

/** It begins where the plan is most often, if not where the coach's exchange begins. */
function settingsOf(chart: Chart, figures: Figures, positions: readonly string[], person: ClubPerson): Settings {
  const { settings = {} } = chart
  const { breakUp, repeat, slips, ends, probe, words } = settings
  const { start, objective, rules, seconds, sharpness } = scenarioOf(chart)
  const visitsOf = new Map<string, number>(entriesOf(figures.positions).map(([id, { visits }]) => [id, visits]))
  const visits = (id: string) => visitsOf.get(id) ?? 0
  const most = positions.reduce((best, one) => (visits(one) > visits(best) ? one : best), positions[0] ?? '')
  const from = positions.includes(start) ? start : most
  const group = isMinor(person) ? 'minors' : isBeginner(person) ? 'beginners' : undefined
  const own = (settings.ruleSets ?? []).filter(({ id }) => id === rules)
  return {
    ...Object.fromEntries(
      Object.entries({ breakUp, repeat, slips, ends, probe, words, group }).filter(([, value]) => value !== undefined),
    ),
    ...(own.length ? { ruleSets: own } : {}),
    scenario: { start: from, seconds, sharpness, objective: objective === 'win' ? 'careful' : objective, rules },
  }
}

/** The figures of the positions of a part, and of what is tried there. */
function within(figures: Figures, part: Chart, inner: ReadonlySet<string>): Figures {
  const moves = new Set<string>(part.moves.filter(({ from }) => inner.has(from)).map(({ id }) => id))
  return {
    ...figures,
    positions: Object.fromEntries(entriesOf(figures.positions).filter(([id]) => inner.has(id))),
    moves: Object.fromEntries(entriesOf(figures.moves).filter(([id]) => moves.has(id))),
    met: figures.met.filter(({ position, move }) => inner.has(position) && (move === null || moves.has(move))),
  }
}
