import dayjs from 'dayjs'
import { shiftedBy } from '../../../core/club/shift'
import { CLUB_KIND } from '../../../core/club/clubKind'
import { readDocument } from '../../../core/document/read'
import { useClubs } from '../../../stores/clubs'
import { openDemo } from '../files/demo'

/** Opens the demo club with its plan: as it is kept, or as it ships, its last class (only planned) being today's. */
export async function openDemoClub(): Promise<void> {
  const clubs = useClubs()
  await clubs.start()
  await openDemo()
  const { default: data } = await import('../../../../demo/tern-street.ataque-club.json')
  const demo = readDocument(CLUB_KIND, data)
  if (!demo.ok) throw new Error('the demo club is broken')
  if (clubs.entries.some(({ id }) => id === demo.value.id)) return void (await clubs.open(demo.value.id))
  await clubs.add(shiftedBy(demo.value, dayjs().format('YYYY-MM-DD')))
}
