import { present, sure } from '../sure'
import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import { isOwn, wholeOf, type Tries, type Whole } from '../chart/tries'
import type { Moved, ScenarioFigure } from '../questions/depends'
import { shareOf, type TriesPart } from '../questions/shifted'
import type { DrillTarget } from '../questions/target'
import { inPlace, lowerFirst, tellMove, upperFirst } from './speech'
import type { IfResult } from '../questions/whatIf'

/** Two figures per hundred with as many decimals as it takes to tell them apart, two at most: "40.1" and "39.7". */
export function apart(one: number, other: number): [one: string, other: string] {
  const said = [0, 1, 2].map((decimals): [string, string] => [
    (one * 100).toFixed(decimals).replace('-', '−'),
    (other * 100).toFixed(decimals).replace('-', '−'),
  ])
  return sure(said.find(([a, b]) => a !== b) ?? said[0])
}

/** The consequences of a change, in sentences. */
export function sayWhatIf(result: IfResult): string[] {
  const { now, then, finish, behind, changes } = result
  if (Math.abs(then - now) < 0.0005 && !changes.length) return ['It would change nothing that matters from the start.']
  const against = (one: number, other: number) => {
    const [a, b] = apart(one, other)
    return a === b ? `${a}, as now` : `${a} against ${b}`
  }
  const worth = `Then the start is worth ${against(then, now)}: of a hundred exchanges we finish ${against(finish.then, finish.now)}, and end behind or caught ${against(behind.then, behind.now)}.`
  const plan = changes.length
    ? 'The plan is another in these places, those met most first.'
    : 'The plan stays the same.'
  return [worth, plan]
}

/** A position in which another move is best after the change: "In knee on belly, mount instead of holding still." */
export function sayChange(chart: Chart, { position, was, now }: IfResult['changes'][number]): string {
  const place = upperFirst(inPlace(lookUp(chart.positions, position)?.name ?? ''))
  const before =
    was === 'wait'
      ? 'holding still'
      : was === null
        ? 'nothing'
        : `“${lowerFirst(lookUp(chart.moves, was)?.name ?? '')}”`
  const after =
    now === 'wait'
      ? 'hold still'
      : now === null
        ? 'nothing is left to do'
        : tellMove(lookUp(chart.moves, now)?.name ?? '')
  return `${place}, ${after} instead of ${before}.`
}

const SCENARIO_FIGURES: Readonly<Record<ScenarioFigure, { head: string; detail: string }>> = {
  breakUp: { head: 'How soon something breaks it up', detail: 'a quarter sooner, or later' },
  slips: { head: 'How often a failed try loses the position', detail: 'five in a hundred less, or more' },
  repeat: { head: 'How well a failed move works when tried again at once', detail: 'a tenth less, or more' },
  sharpness: { head: 'How often they see it coming', detail: 'a tenth less, or more' },
  'ends ours': { head: 'What it is worth to end ahead', detail: 'ten less, or more' },
  'ends even': { head: 'What it is worth to end even', detail: 'ten less, or more' },
  'ends theirs': { head: 'What it is worth to end behind', detail: 'ten less, or more' },
}

/** What was moved in words: the move or answer, and which of its counts; or the scenario's figure. */
export function sayDependence(chart: Chart, moved: Moved): { head: string; detail: string } {
  if (moved.of === 'scenario') return SCENARIO_FIGURES[moved.figure]
  const { target, part } = moved
  const answer = target.of === 'answer' ? chart.answers[target.answer] : undefined
  const move = present(lookUp(chart.moves, target.of === 'move' ? target.move : present(answer).move))
  const tries = wholeOf(answer && isOwn(answer) ? answer : move)
  const ofTen = Math.round(shareOf(tries, part) * 10)
  const against = answer ? `, against “${lowerFirst(lookUp(chart.reactions, answer.reaction)?.name ?? '')}”` : ''
  return { head: upperFirst(move.name), detail: `${sayPart(chart, part)} ${ofTen} of ten${against}` }
}

const sayPart = (chart: Chart, part: TriesPart): string =>
  part.of === 'reaction'
    ? `meets “${lowerFirst(lookUp(chart.reactions, part.reaction)?.name ?? '')}”`
    : part.of === 'lands'
      ? 'lands'
      : 'comes to nothing'

/**
 * All figures of the tries of a chart, with the text by which the coach chooses one. `share`: its present share of the
 * tries, 0 to 1.
 */
export function figuresOfTries(chart: Chart): { says: string; target: DrillTarget; part: TriesPart; share: number }[] {
  const parts = ({ reactions }: Tries): TriesPart[] => [
    { of: 'lands' },
    { of: 'stalls' },
    ...Object.keys(reactions ?? {}).map((reaction): TriesPart => ({ of: 'reaction', reaction })),
  ]
  const each = (tries: Whole, name: string, target: DrillTarget) =>
    parts(tries).map((part) => ({ says: `${name} ${sayPart(chart, part)}`, target, part, share: shareOf(tries, part) }))
  return [
    ...chart.moves.flatMap((one) => (isOwn(one) ? each(wholeOf(one), one.name, { of: 'move', move: one.id }) : [])),
    ...chart.answers.flatMap((one, answer) => {
      const { reaction, move } = one
      const against = lowerFirst(lookUp(chart.reactions, reaction)?.name ?? '')
      return isOwn(one)
        ? each(wholeOf(one), `${lookUp(chart.moves, move)?.name}, against “${against}”,`, { of: 'answer', answer })
        : []
    }),
  ]
}
