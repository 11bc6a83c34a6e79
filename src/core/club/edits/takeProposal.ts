import type { Chart } from '../../chart/chart'
import { lookUp } from '../../chart/lookUp'
import { idFromName } from '../../document/ids'
import type { Club } from '../clubKind'
import { KEPT, themeMinutes, type Thing } from '../propose'
import { MOST_POINTS, type Block } from '../session'
import { sessionIn } from './sessions'

/** Of the minutes on a thing: so much is watched and so much tried; the rest is rounds. */
const [WATCHED, TRIED] = [0.25, 0.4]
const [WORK, REST] = [60, 15]

/** Puts a proposal, or parts of it, into a class, in place of what was watched, tried and worked from a position. */
export function takeProposal(club: Club, session: string, chart: Chart, theme: string, things: readonly Thing[]): void {
  const of = sessionIn(club, session)
  const kept = of.blocks.filter(({ kind }) => KEPT.includes(kind))
  const minutes = themeMinutes(of)
  const taken = new Set(kept.map(({ id }) => id))
  const blocks = things.flatMap((thing) => blocksOf(chart, thing, taken))
  const at = kept.findLastIndex(({ kind }) => kind === 'warm-up') + 1
  of.blocks = [...kept.slice(0, at), ...blocks, ...roundsOf(chart, things, minutes, taken), ...kept.slice(at)]
  of.theme = theme
}

function freshId(name: string, taken: Set<string>): string {
  const id = idFromName(name, taken)
  taken.add(id)
  return id
}

function blocksOf(chart: Chart, { move: id, minutes }: Thing, taken: Set<string>): Block[] {
  const move = lookUp(chart.moves, id)
  if (!move) return []
  const about = { chart: chart.id, kind: 'move' as const, id }
  const points = (move.checkpoints ?? []).map(({ text }) => text).slice(0, MOST_POINTS)
  const mistake = move.checkpoints?.find(({ fault }) => fault)?.fault?.mistake
  const more = mistake ? { mistake } : {}
  const watched = Math.max(1, Math.round(minutes * WATCHED))
  const tried = Math.max(1, Math.round(minutes * TRIED))
  return [
    {
      id: freshId('watch', taken),
      kind: 'watch',
      minutes: watched,
      about,
      ...(points.length ? { points } : {}),
      ...more,
    },
    {
      ...{ id: freshId('try', taken), kind: 'try', minutes: tried, about, resistance: 'scripted', withWhom: 'learn' },
      ...more,
    },
  ]
}

/** Rounds from where the thing that brings most begins, for what is left of the minutes. */
function roundsOf(chart: Chart, things: readonly Thing[], all: number, taken: Set<string>): Block[] {
  const [first] = things
  const position = lookUp(chart.moves, first?.move)?.from
  const used = (minutes: number) =>
    Math.max(1, Math.round(minutes * WATCHED)) + Math.max(1, Math.round(minutes * TRIED))
  const minutes = all - things.reduce((sum, one) => sum + used(one.minutes), 0)
  const rounds = Math.floor((minutes * 60) / (WORK + REST))
  if (!position || rounds < 1) return []
  return [
    {
      ...{ id: freshId('rounds-from', taken), kind: 'rounds-from', minutes, work: WORK, rest: REST, rounds },
      ...{ about: { chart: chart.id, kind: 'position', id: position }, resistance: 'full', withWhom: 'rounds' },
    },
  ]
}
