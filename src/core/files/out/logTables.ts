import type { Chart } from '../../chart/chart'
import { lookUp } from '../../chart/lookUp'
import type { Club } from '../../club/clubKind'
import type { TryFact } from '../../club/logRecords'
import type { Table } from './tables'

/**
 * The log of a club as tables: tries, rounds and what was rehearsed. Names stand beside ids where the chart, or the
 * club, still has what they name.
 */
export function logTables(club: Club, chart: Chart | null): Table[] {
  const person = (id: string | undefined) => lookUp(club.people, id)?.name ?? ''
  const own = (of: string | undefined) => (chart && of === chart.id ? chart : null)
  const name = (list: 'moves' | 'reactions' | 'positions', of: string | undefined, id: string | undefined) =>
    lookUp<{ id: string; name: string }>(own(of)?.[list], id)?.name ?? id ?? ''
  return [
    {
      name: 'tries',
      columns: ['when', 'in', 'us', 'them', 'move', 'answering', 'outcome', 'resistance', 'gi', 'session', 'chart'],
      rows: club.tries.map((one) => [
        ...[one.when, one.in, person(one.us), person(one.them), name('moves', one.chart, one.move)],
        ...[name('reactions', one.chart, one.reply), outcomeOf(one, name), one.resistance ?? ''],
        ...[one.gi === undefined ? '' : one.gi ? 'yes' : 'no', one.session ?? '', one.chart ?? ''],
      ]),
    },
    {
      name: 'rounds',
      columns: ['when', 'from', 'us', 'them', 'seconds', 'ended', 'session', 'chart'],
      rows: club.rounds.map((one) => [
        ...[one.when, name('positions', one.chart, one.position), person(one.us), person(one.them), one.seconds],
        ...[one.ended, one.session ?? '', one.chart ?? ''],
      ]),
    },
    {
      name: 'rehearsed',
      columns: ['at', 'who', 'position', 'move', 'they do', 'seen', 'chair', 'known', 'chart'],
      rows: (club.rehearsed ?? []).map((one) => [
        ...[new Date(one.at).toISOString(), person(one.us), name('positions', one.chart, one.position)],
        ...[name('moves', one.chart, one.move), name('reactions', one.chart, one.reaction), one.cue ?? ''],
        ...[one.chair ?? 'ours', one.known, one.chart],
      ]),
    },
  ]
}

function outcomeOf(
  { outcome, chart }: TryFact,
  name: (list: 'reactions' | 'positions', of: string | undefined, id: string) => string,
): string {
  if (typeof outcome === 'string') return outcome
  if ('reaction' in outcome) return name('reactions', chart, outcome.reaction)
  return name('positions', chart, outcome.elsewhere)
}
