import { sure, present } from '../sure'
import type { Chart } from '../chart/chart'
import { holder, sharesLimb } from '../chart/hold'
import type { HoldId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import type { Run } from '../chart/run'
import { HoldTable } from '../holds/holdTable'
import { limbWords } from '../holds/limbWords'
import { cannotStayOn } from './frameChange'
import { escapeRemarks } from './escapes'
import { play, type Played } from './play'
import type { Remark } from './remark'
import { sidesDisagree } from '../sides/turns'
import { doer, stepsTaken, type Taken } from './steps'

/** All findings of the limb check on a run, in the order of its steps. */
export function remarksOn(chart: Chart, run: Run, played: Played = play(chart, run)): Remark[] {
  const steps = stepsTaken(chart, played.beats)
  const table = new HoldTable(chart.holds ?? [])
  const found = steps.flatMap((step) => [
    ...twoJobs(chart, step),
    ...missing(chart, step, steps),
    ...needsNothing(step),
    ...frameRemarks(chart, step),
    ...sidesRemarks(chart, step),
    ...escapeRemarks(chart, table, step),
  ])
  const all = [...found, ...gateRemarks(chart, steps), ...brokenRemark(run, played)]
  return all.sort((a, b) => a.step - b.step)
}

const nameOf = (chart: Chart, id: HoldId) => `“${lookUp(chart.holds, id)?.name ?? id}”`

/** Holds that go off only because another hold takes one of their limbs. */
function twoJobs(chart: Chart, step: Taken): Remark[] {
  const said = step.move?.drops ?? []
  const stripped: readonly string[] = [...(step.move?.strips ?? []), ...(step.reaction?.strips ?? [])]
  return step.off.flatMap((id): Remark[] => {
    if (said.includes(id) || stripped.includes(id)) return []
    const hold = present(lookUp(chart.holds, id))
    const rival = step.on.map((other) => present(lookUp(chart.holds, other))).find((other) => sharesLimb(hold, other))
    if (!rival) return []
    const limb = present(rival.limbs.find((one) => hold.limbs.includes(one)))
    const whose = holder(hold) === 'ours' ? 'Our' : 'Their'
    return [
      {
        ...{ kind: 'two-jobs', key: `two-jobs ${doer(step)} ${id} ${rival.id}`, step: step.number },
        says: `${whose} ${limbWords(limb)} would do two jobs: ${nameOf(chart, id)} and ${nameOf(chart, rival.id)}.`,
        fix:
          holder(hold) === 'ours'
            ? `Say that this step lets go of ${nameOf(chart, id)}, or take the new hold with another limb.`
            : `Say that it is given up.`,
      },
    ]
  })
}

/** Holds that the move needs and that are not on. */
function missing(chart: Chart, step: Taken, steps: readonly Taken[]): Remark[] {
  const needs = step.move?.needs ?? []
  return needs.flatMap((id): Remark[] => {
    if (step.before.holds.includes(id)) return []
    const lost = steps.slice(0, step.number - 1).findLast(({ off }) => off.includes(id))
    return [
      {
        ...{ kind: 'missing', key: `missing ${doer(step)} ${id}`, step: step.number },
        says: `${present(step.move).name} needs ${nameOf(chart, id)}, ${lost ? `which step ${lost.number} let go of` : 'which is not on yet'}.`,
        fix: lost
          ? `Keep it on at step ${lost.number}, or take it again before step ${step.number}.`
          : `Take it before step ${step.number}.`,
      },
    ]
  })
}

/** A finish for which nothing has to be on: it stays worth the same whatever is let go. */
function needsNothing({ move, number, lands }: Taken): Remark[] {
  if (move?.to !== 'finish' || !lands || move.needs?.length) return []
  return [
    {
      ...{ kind: 'needs-nothing', key: `needs-nothing ${move.id}`, step: number },
      says: `${move.name} is a finish, and needs nothing: what must be on?`,
      fix: 'Say which holds it needs. As long as it needs none, letting go costs nothing.',
    },
  ]
}

/**
 * Holds that are let go of before the hold is on that a checkpoint asks for first; counted from the step with the
 * checkpoint.
 */
function gateRemarks(chart: Chart, steps: readonly Taken[]): Remark[] {
  return steps.flatMap((gated, at) =>
    (gated.move?.checkpoints ?? []).flatMap(({ gate }): Remark[] => {
      if (!gate || !gated.before.holds.includes(gate.hold)) return []
      const end = steps.slice(at).find(({ off, after }) => off.includes(gate.hold) || after.holds.includes(gate.next))
      if (!end?.off.includes(gate.hold) || end.after.holds.includes(gate.next)) return []
      if (end.reaction?.strips?.includes(gate.hold)) return []
      return [
        {
          ...{ kind: 'too-early', key: `too-early ${doer(gated)} ${gate.hold} ${gate.next}`, step: end.number },
          says: `${nameOf(chart, gate.hold)} is let go of before ${nameOf(chart, gate.next)} is on.`,
          fix: `Keep it until then, or bring ${nameOf(chart, gate.next)} on first.`,
        },
      ]
    }),
  )
}

/** Holds that the chart leaves on although the change of frame or side breaks their contact. */
function frameRemarks(chart: Chart, step: Taken): Remark[] {
  return step.after.holds.flatMap((id): Remark[] => {
    if (!step.before.holds.includes(id)) return []
    const why = cannotStayOn(present(lookUp(chart.holds, id)), step)
    if (!why) return []
    return [
      {
        ...{ kind: 'frame', key: `frame ${doer(step)} ${id}`, step: step.number },
        says: `${nameOf(chart, id)} stays on in the chart, but ${why}.`,
        fix: `Let go of it at this step, or take it again after.`,
      },
    ]
  })
}

function sidesRemarks(chart: Chart, step: Taken): Remark[] {
  if (!step.move || !step.lands) return []
  return sidesDisagree(chart, step.move).map(({ ask, brings, landing }) => ({
    ...{ kind: 'sides', key: `sides ${doer(step)} ${ask}`, step: step.number },
    says: `After ${present(step.move).name}, ${ask} is ${String(brings)}; where it lands it is ${String(landing)}.`,
    fix: 'Say what the move does to the sides, or change the sides of the landing.',
  }))
}

function brokenRemark(run: Run, { broken }: Played): Remark[] {
  if (!broken) return []
  return [
    {
      ...{ kind: 'broken', key: `broken ${sure(run.steps[broken.step]).move ?? ''}`, step: broken.step + 1 },
      says: `The run cannot go on: ${broken.reason}.`,
      fix: 'Take this step and those after it away, or chart what leads to it.',
    },
  ]
}
