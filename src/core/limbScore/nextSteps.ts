import { isEndId, toReactionId } from '../chart/ids'
import { END_WORDS, placeName } from '../chart/placeNames'
import { isOwn, reactionsMet, type Goes } from '../chart/tries'
import { present } from '../sure'
import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { Move } from '../chart/move'
import type { Run, RunStep } from '../chart/run'
import type { Beat } from './play'

export interface NextStep {
  step: RunStep
  says: string
  hint: string
}

/** All steps that may follow the last beat of a run: moves with each outcome, answers, and letting it happen. */
export function nextSteps(chart: Chart, last: Beat | undefined, run: Run): NextStep[] {
  const place = last?.place ?? { kind: 'position' as const, id: run.start }
  if (place.kind === 'position') {
    const moves = chart.moves.filter(({ from }) => from === place.id)
    const unprompted = Object.keys(lookUp(chart.positions, place.id)?.unprompted?.reactions ?? {})
    return [
      ...moves.map((move) => lands(chart, move)),
      ...moves.flatMap((move) => [...metBy(chart, move, move), stalls(move)]),
      ...unprompted.map((id): NextStep => ({
        step: { reaction: toReactionId(id) },
        says: nameOf(chart.reactions, id),
        hint: 'they do, while we hold still',
      })),
    ]
  }
  if (place.kind !== 'reaction') return []
  const answers = chart.answers.filter(({ reaction }) => reaction === place.id)
  const moves = answers.flatMap(({ move }) => lookUp(chart.moves, move) ?? [])
  const endsIn = present(lookUp(chart.reactions, place.id)).endsIn
  return [
    ...moves.map((move) => lands(chart, move)),
    ...answers.flatMap((answer) => {
      const record = present(lookUp(chart.moves, answer.move))
      return [...metBy(chart, record, isOwn(answer) ? answer : record), stalls(record)]
    }),
    {
      step: {},
      says: 'We let it happen',
      hint: isEndId(endsIn) ? END_WORDS[endsIn] : `to ${placeName(chart.positions, endsIn)}`,
    },
  ]
}

const nameOf = (records: readonly { id: string; name: string }[], id: string) => lookUp(records, id)?.name ?? id

const lands = (chart: Chart, { id, name, to }: Move): NextStep => ({
  ...{ step: { move: id }, says: name },
  hint: to === 'finish' ? 'a finish' : `lands in ${placeName(chart.positions, to)}`,
})

const stalls = ({ id, name }: Move): NextStep => ({
  step: { move: id, stalls: true },
  says: `${name}: nothing comes of it`,
  hint: '',
})

/** What they may do to a move that goes `as` it says itself, or as an answer says. */
const metBy = (chart: Chart, { id, name }: Move, as: Goes): NextStep[] =>
  reactionsMet(as).flatMap((reaction) =>
    as.race?.reaction === reaction || (as.tries?.reactions?.[reaction] ?? 0) > 0
      ? [{ step: { move: id, reaction }, says: nameOf(chart.reactions, reaction), hint: `they do, to ${name}` }]
      : [],
  )
