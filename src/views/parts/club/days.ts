import dayjs from 'dayjs'
import { language } from '../../../words'

/** A day as one says it: "Tue 24 Nov", with the year where it is not this one. */
export function dayText(when: string): string {
  const year = dayjs(when).year() === dayjs().year() ? {} : ({ year: 'numeric' } as const)
  return new Intl.DateTimeFormat(language === 'en' ? 'en-GB' : language, {
    ...{ weekday: 'short', day: 'numeric', month: 'short' },
    ...year,
  }).format(dayjs(when).toDate())
}
