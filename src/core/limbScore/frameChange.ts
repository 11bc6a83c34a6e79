import type { Hold } from '../chart/hold'
import { frameOf } from '../sides/frames'
import { partHeld } from './rows'
import type { Taken } from './steps'

const isLeg = (limb: string) => /-(hip|knee|foot)$/.test(limb)

/**
 * Why a hold that the chart leaves on cannot stay on through this step, in words; undefined where it can. From behind,
 * our left is next to their left; face to face it is next to their right. So our leg on their left or right side loses
 * contact when the frame changes between the two, or when we go across to the other side. Our chest on their back loses
 * contact when they turn to face us. Arms are not checked, since they can reach across.
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
