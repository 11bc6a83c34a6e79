import type { Chart } from '../chart/chart'
import type { Hold } from '../chart/hold'
import type { PositionId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import { capabilityWords, leftWords, limbsWords } from '../holds/limbWords'
import type { ShuttingSet } from '../holds/oneMore'
import { pinCheck, reopenedBy, usesOf } from '../holds/pinCheck'
import type { Figures } from '../insight/figures'
import { listed, lowerFirst } from './speech'

/** The fewest holds that shut every escape here, or those that leave least. `nameOf`: of a hold. */
export function sayFewest({ holds, remaining, free, isExact }: ShuttingSet, nameOf: (id: string) => string): string {
  const still = remaining.map(({ name, left }) => `“${lowerFirst(name)}” (${leftWords(left)})`)
  const names = listed(holds.map((id) => `“${nameOf(id)}”`))
  const limbs = limbsWords(free, 'our')
  const rest = [
    ...(limbs ? [`Then we still have free: ${limbs}.`] : ['Then none of our limbs is free.']),
    ...(still.length ? [`They still have: ${listed(still)}.`] : []),
    ...(isExact ? [] : ['Only the strongest holds were tried.']),
  ]
  if (!holds.length) return `No hold that is charted takes anything from what they do here: ${listed(still)}.`
  return [
    still.length
      ? `No set of holds shuts all; least is left to them with ${names}.`
      : `The fewest that shut all: ${names}.`,
    ...rest,
  ].join(' ')
}

/** Why letting go of a hold changes nothing for the worth of a position. */
export function whyNothing(chart: Chart, position: PositionId, hold: Hold, figures: Figures): string {
  const takes = (hold.denies ?? []).map(({ capability }) => capability)
  if (!takes.length) return 'nobody has said what it takes from them'
  const { escapes } = pinCheck(chart, position)
  const used = escapes.flatMap(({ reaction }) => {
    const record = lookUp(chart.reactions, reaction)
    return record ? usesOf(record) : []
  })
  if (!takes.some((one) => used.includes(one))) {
    return `nothing that they do here needs to ${listed(takes.map(capabilityWords), 'or')}`
  }
  const reopened = reopenedBy(chart, position, hold.id)
  if (!reopened.length) return 'it gives them back less than one try of ten'
  const met = figures.met.filter((one) => one.position === position && one.visits > 0)
  const isMet = reopened.some(({ reaction }) => met.some((one) => one.reaction === reaction))
  const names = listed(reopened.map(({ name }) => `“${lowerFirst(name)}”`))
  return isMet ? `we lose nothing by ${names} here` : `on the best plan we do not meet ${names} here`
}
