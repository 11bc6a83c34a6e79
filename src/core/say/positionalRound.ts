import { present } from '../sure'
import type { PositionalRound } from '../chart/positionalRound'
import type { Chart } from '../chart/chart'
import type { Position } from '../chart/position'
import { answersTo } from '../chart/edits/answers'
import { ALWAYS, cautionLines } from '../chart/hazard'
import { isEndId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import { END_WORDS } from '../chart/placeNames'
import { inPlace, lowerFirst, tellMove, upperFirst, weAreIn, whenThey } from './speech'

/** A card as it is read out before a round. */
export interface SaidRound {
  title: string
  start: string
  begins: string
  we: string
  they: string
  ends: string
  cautions: string[]
}

/** With which holds on a round starts: nothing where there are none. */
export function sayHoldsOn({ holds }: Pick<Chart, 'holds'>, position: Pick<Position, 'holds'>): string {
  const on = (position.holds ?? []).flatMap((id) => lookUp(holds, id)?.name ?? [])
  return on.length ? `with ${on.map(lowerFirst).join(', ')} on` : ''
}

/** Where a round starts, and with which holds on. */
export function sayStart(chart: Pick<Chart, 'holds'>, position: Pick<Position, 'name' | 'holds'>): string {
  return `${[position.name, sayHoldsOn(chart, position)].filter(Boolean).join(', ')}.`
}

/** What a positional round is: where it starts, who begins, what each may do, what ends it, and what it may injure. */
export function sayRound(chart: Chart, card: PositionalRound): SaidRound {
  const reaction = present(lookUp(chart.reactions, card.reaction))
  const move = lookUp(chart.moves, card.move)
  const position = present(lookUp(chart.positions, card.position))
  const answers = answersTo(chart, card.reaction).flatMap(({ answer }) => lookUp(chart.moves, answer.move) ?? [])
  const [best] = answers
  const isFinish = best?.to === 'finish'
  const away = isEndId(reaction.endsIn)
    ? END_WORDS[reaction.endsIn]
    : `they are out ${inPlace(lookUp(chart.positions, reaction.endsIn)?.name ?? '')}`
  const stop =
    card.positionOnly || isFinish
      ? 'control is held for three seconds'
      : best
        ? weAreIn(lookUp(chart.positions, best.to)?.name ?? '')
        : 'we have found an answer'
  const lines = cautionLines([...(move ? [move] : []), ...answers])
  return {
    title: `${reaction.name}: what now?`,
    start: sayStart(chart, position),
    begins: move ? `We begin: ${tellMove(move.name)}, and stop where it meets them.` : 'They begin.',
    they: `${upperFirst(whenThey(reaction.name))}; nothing else.`,
    we: answers.length
      ? `${upperFirst(
          answers
            .slice(0, 3)
            .map(({ name }) => tellMove(name))
            .join(', or '),
        )}.`
      : 'Look for an answer: there is none yet.',
    ends: `${upperFirst(stop)}${isFinish && !card.positionOnly ? ', the finish only shown' : ''}; or ${away}; or ${card.seconds} s are over. Then back to the start.`,
    cautions: lines.length ? lines : [ALWAYS],
  }
}
