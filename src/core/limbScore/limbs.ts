import type { Chart } from '../chart/chart'
import { holder, type Hold } from '../chart/hold'
import type { HoldId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import type { Person } from '../chart/words'
import type { HoldTable } from '../holds/holdTable'
import { gradeOf, QUESTIONS } from '../holds/pinCheck'
import { isAtTheNeck, other, partHeld, ROWS, type Row } from './rows'

/** `held`: gripped or hooked, and may be pulled free. `trapped`: pinned by a leg, a hip or body weight. */
export type LimbState = 'free' | 'holds' | 'attacks' | 'held' | 'trapped'

const GRIPS = /-(hand|elbow|shoulder)$/

/** The state of a limb while these holds are on. Being held or trapped counts before holding or attacking. */
export function limbState({ by, limb, parts }: Row, on: readonly Hold[]): LimbState {
  const against = on.filter((hold) => holder(hold) === other(by) && isHeldBy(limb, parts, hold))
  const isArm = limb.endsWith('-arm')
  if (isArm && against.some(({ limbs }) => limbs.some((part) => !GRIPS.test(part)))) return 'trapped'
  if (against.length) return 'held'
  const own = on.filter((hold) => holder(hold) === by && hold.limbs.some((part) => parts.includes(part)))
  if (!own.length) return 'free'
  return own.some(isAtTheNeck) ? 'attacks' : 'holds'
}

/** An arm counts as held by a hold on the hand or the elbow, not by one on the shoulder. */
function isHeldBy(limb: Row['limb'], parts: Row['parts'], { on }: Hold): boolean {
  const held = partHeld(on)
  if (!held || !parts.includes(held)) return false
  return !limb.endsWith('-arm') || !held.endsWith('-shoulder')
}

/** How many of our arms can attack (free, or at the neck already) and how many of theirs can defend; 0 to 2 each. */
export function armsFree(on: readonly Hold[]): { attack: number; defend: number } {
  const arms = (by: Person) => ROWS.filter((row) => row.by === by && row.limb.endsWith('-arm'))
  const states = (by: Person) => arms(by).map((row) => limbState(row, on))
  return {
    attack: states('ours').filter((state) => state === 'free' || state === 'attacks').length,
    defend: states('theirs').filter((state) => state !== 'held' && state !== 'trapped').length,
  }
}

export type Control = 'free' | 'partly' | 'controlled'

/** For hips, shoulders and face: whether our holds shut all of their capabilities, some, or none. */
export function controlsOf(table: HoldTable, ids: readonly HoldId[]): { ask: string; control: Control }[] {
  const on = table.setOf(ids)
  return QUESTIONS.map(({ ask, capabilities }) => {
    const left = capabilities.map((capability) => gradeOf(table.capabilityLeft(capability, on, 'ours')))
    const control: Control = left.every((grade) => grade === 'open')
      ? 'free'
      : left.every((grade) => grade === 'shut')
        ? 'controlled'
        : 'partly'
    return { ask, control }
  })
}

/** The holds with these ids. */
export const holdsOf = (chart: Chart, ids: readonly HoldId[]): Hold[] =>
  ids.flatMap((id) => lookUp(chart.holds, id) ?? [])
