import type { Chart } from '../../chart/chart'
import { MAX_SEEN, NOTHING_SEEN, TEN } from '../../chart/cue'
import { addCue, setSeen } from '../../chart/edits/cues'
import { positionIn } from '../../chart/edits/find'
import type { CueId, PositionId } from '../../chart/ids'
import { asTitle, type Created, type ForkResult, type SeenLine } from '../fork'
import { findCue } from '../names'

/** What saying what is seen made: the cues that are new to the chart. */
export interface SeenSaid {
  created: Created[]
}

/**
 * Sets how often what is seen on coming to a position, in place, beside what is charted there already; cues that are
 * not charted are made. Where the line does not say how often nothing in particular is seen, it is the rest of ten.
 * Returns errors with their places; the chart may then be changed in part, so call it on a copy.
 */
export function applySeen(chart: Chart, position: PositionId, line: SeenLine): ForkResult<SeenSaid> {
  const created: Created[] = []
  const hadNothing = positionIn(chart, position).seen?.[NOTHING_SEEN] !== undefined
  for (const { count, name } of line.cues) {
    const known = findCue(chart, position, name, line.subject)
    if (!known && name.byId) return fail(name, `there is no cue #${name.text}`)
    if (known) setSeen(chart, position, known.id, count)
    else {
      const words = asTitle(line.subject ? `${line.subject.text} ${name.text}` : name.text)
      addCue(chart, position, words, count)
      created.push({ kind: 'cue', name: words })
    }
  }
  const { [NOTHING_SEEN]: _, ...named } = positionIn(chart, position).seen ?? {}
  const last = line.cues[line.cues.length - 1]
  if (last && Object.keys(named).length > MAX_SEEN) {
    return fail(last.name, `at most ${MAX_SEEN} things are told apart in one position`)
  }
  const sum = Object.values(named).reduce((all, n) => all + n, 0)
  const nothing = line.nothing ?? Math.max(0, TEN - sum)
  positionIn(chart, position).seen = inOrder(named, nothing || hadNothing ? nothing : undefined)
  if (sum + nothing === 0 && last) return fail(last.name, 'at least one of them must be seen now and then')
  return { ok: true, value: { created } }
}

const fail = ({ at, end }: { at: number; end: number }, message: string): ForkResult<never> => ({
  ok: false,
  errors: [{ at, end, message }],
})

const inOrder = (named: Record<CueId, number>, nothing: number | undefined): Record<string, number> =>
  nothing === undefined ? named : { ...named, [NOTHING_SEEN]: nothing }
