const DAY = 24 * 60 * 60 * 1000

/** Whole days from one day to another (as 2026-11-28); below 0 where the other is earlier. */
export const daysBetween = (from: string, to: string): number => Math.round((Date.parse(to) - Date.parse(from)) / DAY)

/** The day so many days after another. */
export const dayAfter = (day: string, days: number): string =>
  new Date(Date.parse(day) + days * DAY).toISOString().slice(0, 10)
