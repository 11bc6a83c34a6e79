import { LAST_CLUB } from './estimates'

let asked: Promise<void> | null = null

/**
 * Lets the log of the club count, if there is a club: what it takes is fetched only then. Null where there is none.
 * Never rejects: without the log the figures are those of the guesses.
 */
export function wantEstimates(): Promise<void> | null {
  if (hasClub()) asked ??= read().catch(() => undefined)
  return asked
}

async function read(): Promise<void> {
  const { useClubs } = await import('./clubs')
  await useClubs().start()
}

function hasClub(): boolean {
  try {
    return Boolean(localStorage.getItem(LAST_CLUB))
  } catch {
    return false
  }
}
