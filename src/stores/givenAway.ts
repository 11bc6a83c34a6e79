import { useStorage } from '@vueuse/core'
import dayjs from 'dayjs'

/** A file that left this browser: of which document, its name, and the day. */
interface GivenAway {
  of: string
  name: string
  day: string
}

/** So many are remembered. */
const MOST = 100
const given = useStorage<GivenAway[]>('ataque-given-away', [])

/** Remembers that a file of a document was given away; what is deleted here later is still in it. */
export function giveAway(of: string, name: string): void {
  given.value = [...given.value, { of, name, day: dayjs().format('YYYY-MM-DD') }].slice(-MOST)
}

/** The files of a document that were given away. */
export const givenAway = (of: string): readonly GivenAway[] => given.value.filter((one) => one.of === of)
