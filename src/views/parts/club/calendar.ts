import dayjs from 'dayjs'
import ical from 'ical-generator'
import { timedBlocks } from '../../../core/club/classPlan'
import type { Session } from '../../../core/club/session'
import { aboutText, blockTitle } from './blocks'
import type { Chart } from '../../../core/chart/chart'

/** When a class begins that does not say when. */
const USUAL = '19:00'

/** Classes as entries of a calendar (iCalendar, RFC 5545), with their blocks by the minute; nobody is named in it. */
export function calendarOf(club: string, sessions: readonly Session[], chart: Chart | null): string {
  const calendar = ical({ name: club })
  for (const session of sessions) {
    const start = dayjs(`${session.when}T${session.at ?? USUAL}`)
    const lines = timedBlocks(session).map(({ block, from }) =>
      `${from} min: ${blockTitle(block)} ${aboutText(chart, block)}`.trim(),
    )
    calendar.createEvent({
      ...{ id: `${session.id}@ataque`, start: start.toDate(), end: start.add(session.minutes, 'minute').toDate() },
      ...{ summary: session.theme ?? club, description: lines.join('\n') },
    })
  }
  return calendar.toString()
}
