import { present } from '../sure'
import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { Move } from '../chart/move'
import type { Run } from '../chart/run'
import { isOwn, totalOf, wholeOf, writtenOut, type Goes } from '../chart/tries'
import { HoldTable } from '../holds/holdTable'
import { play } from './play'

/** Compares a run with trying at once a finish that is possible from its start. */
export interface NowOrLater {
  first: Move
  now: Move
  /**
   * Reactions to the finish: how many of ten tries meet each, and the smallest share of it (0 to 1) that the run's
   * holds leave at any beat before the finish.
   */
  met: { name: string; ofTen: number; left: number }[]
  /**
   * A reaction to the finish that the run's first move answers. Of ten: tries of the finish that meet it (`ofTen`), and
   * tries of the first move that land as its answer (`lands`) and without the reaction (`cold`).
   */
  bait: { name: string; ofTen: number; lands: number; cold: number } | null
}

/** The comparison; null where the run begins with a finish, or no finish can be tried from its start. */
export function nowOrLater(chart: Chart, run: Run): NowOrLater | null {
  const first = lookUp(chart.moves, run.steps[0]?.move)
  const finishes = chart.moves.filter(({ from, to, reply }) => from === run.start && to === 'finish' && !reply)
  if (!first || first.to === 'finish' || !finishes.length) return null
  const now = finishes.reduce((best, move) => (landing(move) > landing(best) ? move : best))
  const tries = writtenOut(wholeOf(now))
  const total = totalOf(tries)
  const table = new HoldTable(chart.holds ?? [])
  const beats = play(chart, run).beats.filter(({ place }) => place.kind !== 'finish')
  const counts = Object.entries(tries.reactions ?? {}).filter(([, count]) => count > 0)
  const met = counts.map(([id, count]) => {
    const reaction = present(lookUp(chart.reactions, id))
    const least = Math.min(...beats.map(({ holds }) => table.left(reaction, table.setOf(holds), 'ours')))
    return { name: reaction.name, ofTen: (10 * count) / total, left: least }
  })
  const answer = counts
    .map(([reaction, count]) => ({
      count,
      reaction,
      answer: chart.answers.find((one) => one.reaction === reaction && one.move === first.id),
    }))
    .find((one) => one.answer)
  const bait = answer && {
    ...{ name: present(lookUp(chart.reactions, answer.reaction)).name, ofTen: (10 * answer.count) / total },
    lands: landing(answer.answer && isOwn(answer.answer) ? answer.answer : first),
    cold: first.reply ? 0 : landing(first),
  }
  return { first, now, met, bait: bait ?? null }
}

/** How many of ten tries land. */
function landing(of: Goes): number {
  const tries = writtenOut(wholeOf(of))
  return (10 * (tries.lands ?? 0)) / (totalOf(tries) || 1)
}
