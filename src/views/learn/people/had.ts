import { computed } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import type { ClubPerson } from '../../../core/club/person'
import { facedIn, type Faced } from '../../../core/learn/faced'
import { byRegion, Practised, type Practice } from '../../../core/learn/practice'
import { isLive } from '../../../core/match/tryLog'
import { useLog } from '../../parts/club/log'
import { t, type LearnKey } from '../../../words/learn'

/** A move that somebody has had, with on whom they tried it. */
export interface Had extends Practice {
  name: string
  faced: Faced
}

const isKnown = ({ shown, drilled, rounds, matches }: Practice) =>
  shown !== null || drilled !== null || rounds.of + matches.of > 0

/** What a person has had of the open chart, by region; and how many of its moves they have not been shown. */
export function useHad(person: () => ClubPerson) {
  const { log } = useLog()
  return computed(() => {
    if (!log.value) return null
    const { chart, club, tries, now } = log.value
    const all = new Practised(chart, club, now).of(person().id)
    const own = tries.filter((one) => one.us === person().id && isLive(one))
    const had = all.filter(isKnown).map((one): Had => ({
      ...one,
      name: lookUp(chart.moves, one.move)?.name ?? one.move,
      faced: facedIn(
        own.filter(({ move }) => move === one.move),
        person(),
        club.people,
      ),
    }))
    return { regions: byRegion(chart, had), notShown: all.filter(({ shown }) => shown === null).length, now }
  })
}

const WHOM: Record<string, LearnKey> = {
  'lighter true': 'learn.onLighterBeginners',
  'heavier true': 'learn.onHeavierBeginners',
  'null true': 'learn.onBeginners',
  'lighter false': 'learn.onLighter',
  'heavier false': 'learn.onHeavier',
}

/** "12 tries, 9 on lighter beginners". */
export function facedText({ tries, mostly, partners }: Faced): string {
  const whom = mostly && WHOM[`${mostly.weight} ${mostly.isBeginner}`]
  if (whom) return t('learn.facedMostly', { tries: triesText(tries), whom: t(whom, { n: mostly.tries }) })
  if (!partners) return triesText(tries)
  return t('learn.facedMany', { tries: triesText(tries), partners: t('learn.nPartners', partners) })
}

export const triesText = (n: number): string => t('learn.nTries', n)
