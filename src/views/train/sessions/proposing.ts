import { computed } from 'vue'
import { bandsOf } from '../../../core/chart/bands'
import { lookUp } from '../../../core/chart/lookUp'
import { dayAfter } from '../../../core/club/days'
import { memoryOf, Practised } from '../../../core/learn/practice'
import { mayAllDo } from '../../../core/club/protect'
import { limitsOf } from '../../../core/club/limits'
import { proposals, themeMinutes, type Drillable } from '../../../core/club/propose'
import type { Session } from '../../../core/club/session'
import { peopleOf } from '../../../core/club/whoIsThere'
import type { Gain } from '../../../core/questions/gains'
import { lastAskedOf, missedAmong, type MissedAmong } from '../../../core/rehearse/recall'
import { sayGain } from '../../../core/say/gain'
import { present } from '../../../core/sure'
import type { Move } from '../../../core/chart/move'
import { played } from '../../../stores/estimates'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'
import { useFigures } from '../../../stores/figures'
import { useQuestion } from '../../../stores/questions'

/** Why something is proposed: what a drill brings, and who was asked for it and did not know it. */
interface Why {
  says: string
  notKnown: MissedAmong
}

/** Themes that are offered. */
const MOST = 3

/** What could be trained in a class: worked out from what the plan loses, who comes and what was shown before. */
export function useProposing(session: () => Session) {
  const clubs = useClubs()
  const charts = useCharts()
  const figures = useFigures()
  const { answer, progress } = useQuestion(() => ({ of: 'gains' as const }))

  const may = computed(() => {
    const club = present(clubs.club)
    return mayAllDo(peopleOf(club, session()), limitsOf(club), session().opened)
  })

  /** What is due again for most of those who come and were shown it. */
  const due = computed(() => {
    const { chart } = charts
    const [club, { people, when }] = [present(clubs.club), session()]
    const memory = chart ? memoryOf(new Practised(chart, club, dayAfter(when, -1)), people, when) : []
    return new Set<string>(memory.flatMap((one) => (one.due * 2 > one.shown ? [one.move] : [])))
  })

  /** What those who come were asked of the plan last, each. */
  const asked = computed(() =>
    lastAskedOf(present(clubs.club).rehearsed ?? [], session().people, charts.chart?.id ?? ''),
  )
  /** Of an answer: whoever was asked for what it answers. Of a move by itself: where the plan tries it. */
  const missed = (move: Move, reply: string | undefined): MissedAmong =>
    missedAmong(asked.value, ({ chair, position, reaction }) => {
      if (chair === 'theirs') return false
      if (reply !== undefined) return reaction === reply
      return reaction === undefined && position === move.from && figures.figures?.positions[move.from]?.best === move.id
    })

  /** What a class is about: the band that a position lies in. */
  const themes = computed(() => {
    const bands = bandsOf(charts.chart?.positions ?? [])
    return new Map(bands.flatMap(({ name, positions }) => positions.map(({ id }) => [id, name] as const)))
  })

  function drillable(gain: Gain): (Drillable & Why) | null {
    const { chart } = charts
    if (!chart || gain.of !== 'drill') return null
    const { target } = gain
    const answer = target.of === 'answer' ? chart.answers[target.answer] : undefined
    const move = lookUp(chart.moves, target.of === 'move' ? target.move : answer?.move)
    const theme = move && themes.value.get(move.from)
    if (!move || theme === undefined || !may.value(move)) return null
    const notKnown = missed(move, answer?.reaction)
    return {
      ...{ move: move.id, theme, gain: gain.gain, says: sayGain(played.value(chart), gain).detail, notKnown },
      ...(answer ? { reply: answer.reaction } : {}),
      isDue: due.value.has(move.id),
      isMissed: notKnown.missed * 2 > notKnown.asked,
    }
  }

  const drillables = computed(() => (answer.value ?? []).flatMap((gain) => drillable(gain) ?? []))
  const found = computed(() =>
    answer.value ? proposals(drillables.value, themeMinutes(session())).slice(0, MOST) : null,
  )
  /** Why a thing is in a proposal. */
  const why = ({ move, reply }: Drillable): Why | undefined =>
    drillables.value.find((one) => one.move === move && one.reply === reply)
  return { found, progress, why }
}
