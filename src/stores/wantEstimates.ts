import { LAST_CLUB } from './estimates'

let asked: Promise<unknown> | null = null

/** Lets the log of the club count, if there is a club. */
export function wantEstimates(): void {
  if (hasClub()) asked ??= import('./clubs').then(({ useClubs }) => useClubs().start())
}

function hasClub(): boolean {
  try {
    return Boolean(localStorage.getItem(LAST_CLUB))
  } catch {
    return false
  }
}
