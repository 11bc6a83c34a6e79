import { present } from '../sure'
import type { Chart } from '../chart/chart'
import type { HoldId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import type { Reaction } from '../chart/reaction'
import type { Person } from '../chart/words'
import type { HoldSet, HoldTable } from '../holds/holdTable'
import { gradeOf, pinCheck, usesOf } from '../holds/pinCheck'
import { capabilityWords } from '../holds/limbWords'
import type { Remark } from './remark'
import { doer, type Taken } from './steps'

/** A smaller share left of an escape counts as none. */
const NOTHING = 1e-9
/** An escape of which less than this share was left counts as reopened when a step more than doubles the share. */
const NEARLY_SHUT = 0.35

/** Remarks on a reaction that uses a limb that is not free, and on escapes that a step gives back to them. */
export function escapeRemarks(chart: Chart, table: HoldTable, step: Taken): Remark[] {
  return [...impossible(chart, table, step), ...reopened(chart, table, step)]
}

function impossible(chart: Chart, table: HoldTable, step: Taken): Remark[] {
  if (step.reaction) return impossibleReaction(chart, table, step, step.reaction)
  const { move, before, lands } = step
  const on = table.setOf(before.holds)
  if (!move || !lands || table.left(move, on, 'theirs') > NOTHING) return []
  const shut = present(usesOf(move).find((capability) => table.capabilityLeft(capability, on, 'theirs') <= NOTHING))
  return [
    {
      ...{ kind: 'impossible', key: `impossible ${doer(step)}`, step: step.number },
      says: `${move.name} cannot land: we cannot ${capabilityWords(shut)}, because of ${namesOf(chart, table, shut, 'theirs', on)}.`,
      fix: 'Strip their hold first, or choose another move.',
    },
  ]
}

const namesOf = (chart: Chart, table: HoldTable, capability: string, by: Person, on: HoldSet) =>
  table
    .idsOf(table.denying(capability, by) & on)
    .map((id) => `“${lookUp(chart.holds, id)?.name}”`)
    .join(' and ')

/** When a reaction meets a move, the holds that the move drops are off already, those that it adds are not on yet. */
function impossibleReaction(chart: Chart, table: HoldTable, step: Taken, reaction: Reaction): Remark[] {
  const { move, before } = step
  const on = table.setOf(before.holds) & ~table.setOf(move?.drops)
  const used = usesOf(reaction).filter((capability) => table.capabilityLeft(capability, on, 'ours') <= NOTHING)
  const taken = capabilitiesOfHolds(chart, reaction).find((one) => table.capabilityLeft(one, on, 'ours') <= NOTHING)
  const shut = table.left(reaction, on, 'ours') <= NOTHING ? used[0] : taken
  if (!shut) return []
  return [
    {
      ...{ kind: 'impossible', key: `impossible ${doer(step)} ${reaction.id}`, step: step.number },
      says: `${reaction.name} cannot come: they cannot ${capabilityWords(shut)}, because of ${namesOf(chart, table, shut, 'ours', on)}.`,
      fix: 'Choose another reaction, or let the hold take less from them.',
    },
  ]
}

/** The capabilities of the hands with which the reaction's own holds would be taken. */
function capabilitiesOfHolds(chart: Chart, { adds }: Reaction): string[] {
  const limbs = (adds ?? []).flatMap((id) => lookUp(chart.holds, id)?.limbs ?? [])
  return limbs.flatMap((limb) =>
    /-hand$/.test(limb) ? [limb] : /-(knee|foot)$/.test(limb) ? [limb.replace(/-.*/, '-leg')] : [],
  )
}

/** Escapes from where the step leads that were shut, or nearly, before it and are open, or much wider, after it. */
function reopened(chart: Chart, table: HoldTable, step: Taken): Remark[] {
  if (!step.lands || step.after.place.kind !== 'position') return []
  const known = pinCheck(chart, step.after.place.id, step.after.holds).escapes.filter((escape) => escape.isHindrable)
  const before = table.setOf(step.before.holds)
  return known.flatMap((escape): Remark[] => {
    const was = table.left(present(lookUp(chart.reactions, escape.reaction)), before, 'ours')
    if (was > NEARLY_SHUT || gradeOf(escape.left) === 'shut' || escape.left < 2 * was + 0.1) return []
    const uses = usesOf(present(lookUp(chart.reactions, escape.reaction)))
    const gone = step.off.filter((id) => deniesAny(chart, id, uses)).map((id) => `“${lookUp(chart.holds, id)?.name}”`)
    if (!gone.length) return []
    return [
      {
        ...{ kind: 'reopened', key: `reopened ${doer(step)} ${escape.reaction}`, step: step.number },
        says: `This escape is back: ${escape.name}. ${gone.join(' and ')} went off.`,
        fix: `Be quick, or keep ${gone[0]} until something else stands in the way.`,
      },
    ]
  })
}

const deniesAny = (chart: Chart, id: HoldId, capabilities: readonly string[]) =>
  (lookUp(chart.holds, id)?.denies ?? []).some(({ capability }) => capabilities.includes(capability))
