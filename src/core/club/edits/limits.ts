import { putField } from '../../document/fields'
import type { Club } from '../clubKind'
import type { Limits } from '../limits'

/** Sets a limit of the club's own, or (undefined) takes it away, so that ours holds again. */
export function setLimit<F extends keyof Limits>(club: Club, field: F, value: Limits[F] | undefined): void {
  const limits = club.limits ?? {}
  putField(limits, field, value)
  if (Object.keys(limits).length) club.limits = limits
  else delete club.limits
}

/** All limits as we have them. */
export function backToOurLimits(club: Club): void {
  delete club.limits
}
