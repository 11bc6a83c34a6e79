import dayjs from 'dayjs'
import { lookUp } from '../core/chart/lookUp'
import { newAnswers, takeAnswers } from '../core/club/edits/homework'
import { mayBeLogged, type ClubPerson } from '../core/club/person'
import { failure, success, type Result } from '../core/problem'
import { useClubs } from './clubs'
import { useReading } from './reading'
import { t } from '../words/files'

/** Answers that were taken into the log: whose, how many were new, and how many of these were known. */
interface TakenAnswers {
  person: ClubPerson
  came: number
  known: number
}

const refused = (message: string): Result<never> => failure({ code: 'refused', path: [], message })

/**
 * Takes a file of answers into the log of the club that gave the homework, as one step that can be undone. Null where
 * the reading was stopped; a problem where the club is not in this browser, or where nothing of the person may be kept.
 */
export async function takeInAnswers(text: string): Promise<Result<TakenAnswers> | null> {
  const read = await useReading().read('answers', text)
  if (!read?.ok) return read
  const answers = read.value
  const clubs = useClubs()
  await clubs.start()
  if (!lookUp(clubs.entries, answers.club)) return refused(t('files.theClubIsNotHere', { club: answers.club }))
  if (clubs.club?.id !== answers.club && !(await clubs.open(answers.club)))
    return refused(t('files.theClubIsNotHere', { club: answers.club }))
  const { club } = clubs
  const person = lookUp(club?.people, answers.us)
  if (!club || !person) return refused(t('files.nobodyOfTheseAnswers', { us: answers.us }))
  if (!mayBeLogged(person)) return refused(t('files.notOfMinors', { name: person.name }))
  const come = newAnswers(club, answers)
  clubs.edit(t('files.takeInTheAnswers', { name: person.name }), (draft) =>
    takeAnswers(draft, answers, dayjs().format('YYYY-MM-DD')),
  )
  return success({ person, came: come.length, known: come.filter(({ known }) => known !== 'again').length })
}
