import { toHoldId, toMoveId, toReactionId, type HoldId, type PositionId } from '../ids'
import { present } from '../../sure'
import { Refusal } from '../../problem'
import type { Chart } from '../chart'
import type { Hold } from '../hold'
import { holder, sharesLimb } from '../hold'
import { idFromName } from '../../document/ids'
import { Gone, idsIn, moveIn, positionIn, reactionIn } from './find'

/** The fields of moves and reactions that name holds. */
const NAMING = ['needs', 'adds', 'drops', 'keeps', 'strips'] as const

export function holdIn(chart: Chart, id: string): Hold {
  const hold = chart.holds?.find((one) => one.id === id)
  if (!hold) throw new Gone('hold', id)
  return hold
}

export function addHold(chart: Chart, fields: Omit<Hold, 'id'>): HoldId {
  const id = toHoldId(idFromName(fields.name, idsIn(chart.holds ?? [])))
  chart.holds = [...(chart.holds ?? []), { id, ...fields }]
  return id
}

/**
 * Puts a hold on in a position; what the same limbs of that person did before, they let go of. Returns what that was.
 */
export function putOn(chart: Chart, position: PositionId, id: string): HoldId[] {
  const hold = holdIn(chart, id)
  const record = positionIn(chart, position)
  const rivals = (record.holds ?? []).filter((other) => {
    const one = holdIn(chart, other)
    return other !== id && sharesLimb(one, hold)
  })
  record.holds = [...(record.holds ?? []).filter((other) => other !== id && !rivals.includes(other)), hold.id]
  return rivals
}

export function takeOff(chart: Chart, position: PositionId, id: string): void {
  const record = positionIn(chart, position)
  const left = (record.holds ?? []).filter((other) => other !== id)
  if (left.length) record.holds = left
  else delete record.holds
}

/** Puts a hold on in a position: one that the chart has, or one of `more`, which then comes into it. */
export function putOnKnown(chart: Chart, position: PositionId, id: string, more: readonly Hold[]): void {
  const known = more.find((hold) => hold.id === id)
  if (known && !chart.holds?.some((hold) => hold.id === id)) chart.holds = [...(chart.holds ?? []), { ...known }]
  putOn(chart, position, id)
}

/** What a hold takes from a capability; 0 takes the denial away. */
export function setDenial(chart: Chart, id: string, capability: string, strength: number): void {
  const hold = holdIn(chart, id)
  const others = (hold.denies ?? []).filter((denial) => denial.capability !== capability)
  const denies = strength > 0 ? [...others, { capability, strength }] : others
  if (denies.length) hold.denies = denies
  else delete hold.denies
}

/** Sets the limbs of a hold; positions where one of them does something else already let go of that. */
export function setLimbs(chart: Chart, id: string, limbs: Hold['limbs']): void {
  if (!limbs.length) return
  const hold = holdIn(chart, id)
  for (const { name, adds } of chart.moves) {
    const others = adds?.includes(hold.id)
      ? adds.filter((other) => other !== id).map((other) => holdIn(chart, other))
      : []
    const rival = others.find(
      (other) => holder(other) === holder(hold) && other.limbs.some((limb) => limbs.includes(limb)),
    )
    if (rival) throw new Refusal(`“${name}” puts “${rival.name}” on too, with the same limb`)
  }
  hold.limbs = limbs
  for (const position of chart.positions) if (position.holds?.includes(toHoldId(id))) putOn(chart, position.id, id)
}

/** Takes a hold away from everything that names it. */
export function removeHold(chart: Chart, id: string): void {
  holdIn(chart, id)
  chart.holds = present(chart.holds).filter((hold) => hold.id !== id)
  for (const position of chart.positions) if (position.holds?.includes(toHoldId(id))) takeOff(chart, position.id, id)
  removeGates(chart, id)
  const records = [...chart.moves, ...chart.reactions] as Partial<Record<(typeof NAMING)[number], HoldId[]>>[]
  for (const record of records) {
    for (const field of NAMING) {
      if (!record[field]?.includes(toHoldId(id))) continue
      const left = record[field].filter((other) => other !== id)
      if (left.length) record[field] = left
      else delete record[field]
    }
  }
}

/** A gate that names the hold says nothing any more. */
function removeGates(chart: Chart, id: string): void {
  for (const checkpoint of chart.moves.flatMap(({ checkpoints }) => checkpoints ?? [])) {
    if (checkpoint.gate?.hold === id || checkpoint.gate?.next === id) delete checkpoint.gate
  }
}

/** What a move or a reaction does with holds; `adds` may not give one limb two jobs. An empty list goes. */
export function setHolds(
  chart: Chart,
  list: 'moves' | 'reactions',
  id: string,
  field: (typeof NAMING)[number],
  ids: readonly string[],
): void {
  const record: { name: string } & { [Key in (typeof NAMING)[number]]?: HoldId[] } =
    list === 'moves' ? moveIn(chart, toMoveId(id)) : reactionIn(chart, toReactionId(id))
  const holds = ids.map((id) => holdIn(chart, id))
  if (field === 'adds') {
    const rivals = holds.flatMap((one, i) => holds.slice(i + 1).map((other) => [one, other] as const))
    const clash = rivals.find(([one, other]) => sharesLimb(one, other))
    if (clash)
      throw new Refusal(
        `“${clash[0].name}” and “${clash[1].name}” take the same limb: ${record.name} cannot put both on`,
      )
  }
  if (holds.length) record[field] = holds.map(({ id }) => id)
  else delete record[field]
}
