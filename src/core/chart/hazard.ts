import { sure } from '../sure'
import { IsString } from 'class-validator'
import { Optional } from '../document/constraints'

/** What a move can injure, and what both partners must heed. All in words. */
export class Hazard {
  /** A joint, the neck, breathing. */
  @Optional() @IsString() part?: string
  /** How fast it goes from nothing to harm. */
  @Optional() @IsString() speed?: string
  @Optional() @IsString() caution?: string
  /** What whoever attacks must control. */
  @Optional() @IsString() control?: string
  /** What whoever defends must do, and when and how to tap. */
  @Optional() @IsString() tap?: string
  /** How the partner lies or holds themselves so that it does not harm. */
  @Optional() @IsString() protect?: string
}

/** Stands under everything that is printed or drilled. */
export const ALWAYS =
  'Tap early, apply slowly, release at once. This does not replace a qualified coach, local rules or medical advice.'

/** Of a move, what its caution is told from. */
interface Cautioned {
  name: string
  to: string
  hazard?: Hazard
}

/**
 * What a sheet with these moves on it must say: a line for each part that can be injured, with its moves, and what
 * always holds.
 */
export function cautionLines(moves: readonly Cautioned[]): string[] {
  const byPart = new Map<string, Cautioned[]>()
  for (const move of moves) {
    const part = move.hazard?.part ?? (move.to === 'finish' ? 'not said yet' : '')
    if (part) byPart.set(part, [...(byPart.get(part) ?? []), move])
  }
  const lines = [...byPart].map(([part, all]) => {
    const names = [...new Set(all.map(({ name }) => name))].join(', ')
    const heed =
      all.find(({ hazard }) => hazard?.tap)?.hazard?.tap ?? all.find(({ hazard }) => hazard?.caution)?.hazard?.caution
    return `${sure(part[0]).toUpperCase()}${part.slice(1)}: ${names}.${heed ? ` ${heed.replace(/\.?$/, '.')}` : ''}`
  })
  return lines.length ? [...lines, ALWAYS] : []
}
