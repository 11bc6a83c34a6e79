import type { Chart } from '../../core/chart/chart'
import { holder } from '../../core/chart/hold'
import { toPositionId, type PositionId } from '../../core/chart/ids'
import { lookUp } from '../../core/chart/lookUp'
import type { Move } from '../../core/chart/move'
import type { Position } from '../../core/chart/position'
import { totalOf, wholeOf } from '../../core/chart/tries'
import { scenarioOf, type Scenario } from '../../core/game/scenario'
import { figuresOf, worthsOf, type Figures } from '../../core/insight/figures'
import { rulesHere } from '../../core/shelf/decisions'
import { wantedOfRegion, pullIn } from '../../core/shelf/edits/pull'
import { REASONS } from '../../core/shelf/reasons'
import { shelfAsChart, type Shelf } from '../../core/shelf/shelf'
import { emptyChart } from '../../core/chart/chart'
import { present } from '../../core/sure'
import type { Row } from './structure'
import { WARNINGS, type Warning } from './warnings'

/* What must hold of the Shelf as it is played: everything as one chart, four minutes, against somebody of our level. */

const SECONDS = 240
/** A difference of worth that a coach would not see. */
const SAME = 0.001

const played = (chart: Chart): { scenario: Scenario; figures: Figures | null } => {
  const scenario = scenarioOf(chart, { seconds: SECONDS })
  const found = figuresOf(chart, scenario)
  return { scenario, figures: found.ok ? found.value.figures : null }
}

/** What a move is worth from a position; null where it cannot be tried there. */
function moveWorth(chart: Chart, move: Move): number | null {
  const worths = worthsOf(chart, scenarioOf(chart, { seconds: SECONDS }), move.from)
  return worths.ok ? (worths.value.moves[move.id] ?? null) : null
}

const withPosition = (chart: Chart, id: string, change: (position: Position) => Position): Chart => ({
  ...chart,
  positions: chart.positions.map((one) => (one.id === id ? change(one) : one)),
})

/** Holds on, and those of before that need none of their limbs. */
function settled(chart: Chart, before: readonly string[], on: readonly string[]): Position['holds'] {
  const holds = chart.holds ?? []
  const busy = new Set(on.flatMap((id) => limbsOf(holds, id)))
  const left = before.filter((id) => !on.includes(id) && !limbsOf(holds, id).some((limb) => busy.has(limb)))
  return holds.map(({ id }) => id).filter((id) => on.includes(id) || left.includes(id))
}

function limbsOf(holds: NonNullable<Chart['holds']>, id: string): string[] {
  const hold = present(lookUp(holds, id))
  return hold.limbs.map((limb) => `${holder(hold)} ${limb}`)
}

/** What a move is worth with the hold of a warning and without it, where it may be tried without. */
export function warned(chart: Chart, { move: id, hold }: Warning): { on: number; off: number } {
  const move = present(lookUp(chart.moves, id))
  const { reply: _, keeps: __, ...rest } = move
  const cold: Move = { ...rest, needs: (move.needs ?? []).filter((one) => one !== hold) }
  const free = { ...chart, moves: chart.moves.map((one) => (one.id === id ? cold : one)) }
  const on = withPosition(free, move.from, (one) => {
    const holds = settled(chart, one.holds ?? [], [hold])
    return holds ? { ...one, holds } : one
  })
  const off = withPosition(free, move.from, (one) => ({
    ...one,
    holds: (one.holds ?? []).filter((other) => other !== hold),
  }))
  return { on: moveWorth(on, cold) ?? -1, off: moveWorth(off, cold) ?? -1 }
}

/** The chart with as many of ten landing as the reasons allow at one end of their ranges. */
export function atEnd(shelf: Shelf, end: 0 | 1): Chart {
  const chart = shelfAsChart(shelf)
  const moved = <R extends Shelf['moves'][number] | Shelf['answers'][number]>(record: R): R => {
    const { tries, reason } = record
    if (!tries || !reason || record.race) return record
    const lands = (REASONS[reason].lands[end] * totalOf(wholeOf(record))) / 10
    const others = totalOf(tries) - (tries.lands ?? 0)
    const keep = others > 0 ? (totalOf(tries) - lands) / others : 0
    const scaled = Object.fromEntries(Object.entries(tries.reactions ?? {}).map(([id, n]) => [id, n * keep]))
    return { ...record, tries: { ...tries, lands, stalls: (tries.stalls ?? 0) * keep, reactions: scaled } }
  }
  return { ...chart, moves: shelf.moves.map(moved), answers: shelf.answers.map(moved) }
}

/** Of the warnings, those of which the sign is not as they say. */
const unheeded = (chart: Chart): string[] =>
  WARNINGS.filter((one) => {
    const { on, off } = warned(chart, one)
    return on - off <= 0
  }).map(({ move, hold }) => `${move} without ${hold}`)

/** Of thirty warnings, how many must keep their sign at either end of the ranges. */
const ROBUST = 24

/** Rules of which the figures say otherwise, and why that is no fault. */
export const RULE_EXCEPTIONS: Readonly<Record<string, string>> = {
  'rule-back-rule-4': 'It is for short legs; the figures are for nobody in particular.',
  'rule-feet-rule-d18': 'It is for when the hand does not reach; the figure is of the choke before that is known.',
  'rule-back-rule-23': 'It is for whoever is smaller; the figures are for nobody in particular.',
}

/** What must hold of the Shelf as a game. */
export const GAME: readonly Row[] = [
  {
    what: 'regions that cannot be played when they are brought into an empty chart',
    find: (shelf) =>
      shelf.regions
        .filter(({ id }) => {
          const chart = emptyChart('new', 'New')
          pullIn(chart, shelf, wantedOfRegion(shelf, id))
          return !played(chart).figures
        })
        .map(({ id }) => id),
  },
  {
    what: 'locks that are worth no more, with what is on, than where they came from',
    find: (shelf) => {
      const chart = shelfAsChart(shelf)
      return chart.moves.filter((move) => leadsToLock(chart, move) && !isWorthIt(chart, move)).map(({ id }) => id)
    },
  },
  {
    what: 'positions in which they hold the neck and where the neck is not defended first',
    find: (shelf) => {
      const chart = shelfAsChart(shelf)
      const { figures } = played(chart)
      return chart.positions
        .filter(({ holds = [] }) => holds.some((id) => id === THEIR_ARM) && !holds.some((id) => GUARDS.has(id)))
        .filter(({ id }) => !defends(chart, figures?.positions[id]?.best))
        .map(({ id }) => id)
    },
  },
  {
    what: 'escapes that land in the attacker’s chair',
    find: (shelf) => {
      const chart = shelfAsChart(shelf)
      return chart.moves.filter((move) => changesChair(chart, move)).map(({ id }) => id)
    },
  },
  {
    what: 'decision rules that the figures contradict without a reason why',
    find: (shelf) => contradicted(shelf).filter((id) => !(id in RULE_EXCEPTIONS)),
  },
  {
    what: 'moves that cannot be tried in any line from any start',
    find: (shelf) => {
      const chart = shelfAsChart(shelf)
      const { figures } = played(chart)
      return chart.moves.filter((move) => !move.reply && !canBeTried(chart, move, figures)).map(({ id }) => id)
    },
  },
  { what: 'warnings that the figures do not give', isOfOurs: true, find: (shelf) => unheeded(shelfAsChart(shelf)) },
  ...([0, 1] as const).map((end): Row => ({
    isOfOurs: true,
    what: `warnings that do not hold with all tries at the ${end ? 'upper' : 'lower'} end, where more than ${WARNINGS.length - ROBUST} do not`,
    find: (shelf) => {
      const found = unheeded(atEnd(shelf, end))
      return found.length > WARNINGS.length - ROBUST ? found : []
    },
  })),
]

/** Their arm round our neck, and what we put against it. */
const THEIR_ARM = 'their-choking-arm-at-our-neck'
const GUARDS = new Set<string>(['our-hands-on-the-choking-wrist', 'our-palm-in-the-gap'])

/** Whether a move puts something against the choking arm, or leads to where that is the first thing. */
function defends(chart: Chart, best: string | null | undefined): boolean {
  const move = lookUp(chart.moves, best ?? undefined)
  if (!move) return false
  if (move.adds?.some((id) => GUARDS.has(id))) return true
  const there = lookUp(chart.positions, move.to)?.holds ?? []
  return there.some((id) => id === THEIR_ARM) && !there.some((id) => GUARDS.has(id))
}

/** A position that is all about its finishes: nothing else is begun there. */
function leadsToLock(chart: Chart, { from, to, reply }: Move): boolean {
  const from_ = lookUp(chart.positions, from)
  if (reply || from === to || from_?.ahead === 'theirs') return false
  const there = chart.moves.filter((one) => one.from === to && !one.reply)
  return there.length > 0 && there.every((one) => one.to === 'finish')
}

function isWorthIt(chart: Chart, move: Move): boolean {
  const from = present(lookUp(chart.positions, move.from))
  const carried =
    settled(
      chart,
      (from.holds ?? []).filter((id) => !move.drops?.includes(id)),
      move.adds ?? [],
    ) ?? []
  const arrived = withPosition(chart, move.to, (one) => {
    const holds = settled(chart, carried, one.holds ?? [])
    return holds ? { ...one, holds } : one
  })
  const { figures } = played(arrived)
  const worth = (id: PositionId) => figures?.positions[id]?.value ?? 0
  return worth(toPositionId(move.to)) > worth(move.from) + SAME
}

/** An escape may end in a position of ours, but not in one that its own family is attacked from. */
function changesChair(chart: Chart, { from, to }: Move): boolean {
  const [here, there] = [lookUp(chart.positions, from), lookUp(chart.positions, to === 'finish' ? undefined : to)]
  return here?.ahead === 'theirs' && there?.ahead === 'ours' && here.family === there.family && !REVERSALS.has(from)
}

/** Where turning them over in place is what is meant. */
const REVERSALS = new Set<string>(['def-kimura-mid-pass'])

const contradicted = (shelf: Shelf): string[] => {
  const chart = shelfAsChart(shelf)
  const { figures } = played(chart)
  if (!figures) return []
  const judged = chart.positions.flatMap(({ id }) => rulesHere(chart, shelf, id, figures))
  return [...new Set(judged.filter(({ compared }) => compared?.says === 'the other way').map(({ rule }) => rule.id))]
}

/** Whether all that a move needs is on where one comes to its position, or is put on there. */
function canBeTried(chart: Chart, move: Move, figures: Figures | null): boolean {
  if (figures?.moves[move.id]?.value !== null && figures?.moves[move.id]) return true
  const carried = new Set<string>(lookUp(chart.positions, move.from)?.holds ?? [])
  for (const into of chart.moves) {
    if (into.to !== move.from) continue
    for (const id of [...(into.adds ?? []), ...(lookUp(chart.positions, into.from)?.holds ?? [])]) carried.add(id)
  }
  return (move.needs ?? []).every((id) => carried.has(id))
}
