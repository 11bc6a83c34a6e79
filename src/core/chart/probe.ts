import { IsBoolean } from 'class-validator'
import { Optional } from '../document/constraints'
import { IsFactor } from './constraints'

/**
 * How trying a move changes when it is only shown: by what its landing, its stalling and their reactions are
 * multiplied.
 */
export interface ProbeFactors {
  lands: number
  stalls: number
  reactions: number
}

/**
 * A move that is shown to see what they do seldom goes through; they react to it all the same, or see that it is
 * nothing.
 */
export const PROBE: ProbeFactors = { lands: 0.4, stalls: 1.5, reactions: 1 }

/** What a chart, or one of its moves, says otherwise. */
export class Probe {
  @Optional() @IsFactor() lands?: number
  @Optional() @IsFactor() stalls?: number
  @Optional() @IsFactor() reactions?: number
  /** It cannot be shown: one goes, or does not. */
  @Optional() @IsBoolean() never?: boolean
}

/** The factors of a move: its own, else the chart's, else the usual ones; null where it is never only shown. */
export function probeOf(own: Probe | undefined, usual: ProbeFactors | null): ProbeFactors | null {
  if (!usual || own?.never) return null
  const { lands = usual.lands, stalls = usual.stalls, reactions = usual.reactions } = own ?? {}
  return { lands, stalls, reactions }
}
