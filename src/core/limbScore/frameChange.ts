import type { Hold } from '../chart/hold'
import { frameOf } from '../sides/frames'
import { partHeld } from './rows'
import type { Taken } from './steps'

const isLeg = (limb: string) => /-(hip|knee|foot)$/.test(limb)

/**
 * Why a hold that stays on cannot: from behind someone our left meets their left, face to face it meets their right, so
 * a leg on a sided part of them would have to change hands; so it would when we go across to the other side. A chest
 * that lies on their back does not lie on it when they face us. Arms may reach across. Undefined where nothing speaks
 * against it.
 */
export function cannotStayOn(hold: Hold, { before, after, move, lands }: Taken): string | undefined {
  const [was, is] = [frameOf(before.frame)?.meets, frameOf(after.frame)?.meets]
  const turnsRound = was !== undefined && is !== undefined && was !== is
  const held = partHeld(hold.on)
  const isOnASide = held !== undefined && /^(left|right)-/.test(held)
  if (hold.limbs.some(isLeg) && isOnASide) {
    if (turnsRound)
      return `${is === 'front' ? 'they face us now' : 'we are behind them now'}: that leg meets their other side`
    if (lands && move?.across) return 'we are on the other side of them now'
  }
  const lies = hold.limbs.includes('chest') && /^(back|chest)$/.test(hold.on ?? '')
  if (lies && turnsRound) return is === 'front' ? 'they face us now' : 'we are behind them now'
  return undefined
}
