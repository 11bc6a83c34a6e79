import { useNow } from '@vueuse/core'
import { computed, inject, provide, watch, type InjectionKey } from 'vue'
import { isLive, timedBlocks } from '../../../core/club/classPlan'
import { endTimedOut, roundSeconds } from '../../../core/club/edits/liveRounds'
import { clockFace, SECOND, spentIn, WARNING } from '../../../core/club/live/clock'
import { minutesBehind, offersFor } from '../../../core/club/live/behind'
import { limitsOf } from '../../../core/club/limits'
import type { Mat } from '../../../core/club/live/liveRecords'
import { heeds } from '../../../core/club/pairs'
import { COACH, initialsOfAll, peopleOf } from '../../../core/club/whoIsThere'
import { startingText } from '../../parts/club/blocks'
import { heedsText } from '../../parts/club/heeds'
import { turnOf, wayOf } from '../../../core/club/trial'
import { startOf } from '../../../core/club/blockMoves'
import { lookUp } from '../../../core/chart/lookUp'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'
import { useSignals } from './signals'
import { usePlanOrder } from './planOrder'
import { t } from '../../../words/train'

/** How often what the clock shows is looked at, in milliseconds. What it shows is worked out from the wall clock. */
const EVERY = 200

/** The class that is on, as all of its screens see it. */
function useLive() {
  const clubs = useClubs()
  const charts = useCharts()
  const clock = useNow({ interval: EVERY })
  const now = computed(() => clock.value.getTime())
  const live = computed(() => clubs.club?.live)
  const session = computed(() => lookUp(clubs.club?.sessions ?? [], live.value?.session))
  const timed = computed(() => (session.value ? timedBlocks(session.value) : []))
  const at = computed(() => timed.value.findIndex(({ block }) => block.id === live.value?.block))
  const block = computed(() => timed.value[at.value]?.block)
  const next = computed(() => timed.value[at.value + 1]?.block)
  const waves = computed(() => timed.value[at.value]?.waves ?? 1)
  const spent = computed(() => (live.value ? spentIn(live.value, now.value) : 0))
  const face = computed(() => block.value && clockFace(block.value, waves.value, spent.value))
  const isRunning = computed(() => live.value?.since !== undefined)
  const behind = computed(() => (session.value && live.value ? minutesBehind(session.value, live.value, now.value) : 0))
  const offers = computed(() =>
    session.value && live.value ? offersFor(session.value, live.value, Math.round(behind.value)) : [],
  )
  const people = computed(() => (clubs.club && session.value ? peopleOf(clubs.club, session.value) : []))
  /** Whoever can be on a mat: the coach too. */
  const partners = computed(() => [...people.value, COACH])
  const initials = computed(() => initialsOfAll(partners.value))
  /** Where rounds on the mats begin: a position of the chart that is open. */
  const start = computed(() => (charts.chart && block.value ? startOf(charts.chart, block.value) : undefined))
  const initialsFor = (id: string) => initials.value.get(id) ?? t('train.someone')
  const startText = computed(() => (block.value ? startingText(charts.chart, block.value) : ''))
  const hasMats = computed(() => block.value?.kind === 'rounds-from')

  /** The trial that the pairs are split by, and which way somebody tries who attacks; null where there is none. */
  const trialWay = (us: string) => {
    const { sessions = [], trials = [] } = clubs.club ?? {}
    const trial = lookUp(trials, block.value?.trial)
    if (!trial || !session.value) return null
    const way = wayOf(session.value.people.indexOf(us), turnOf(sessions, session.value, trial.id))
    return lookUp(charts.chart?.moves, trial[way].move)?.name ?? null
  }

  const edit = (label: string, change: Parameters<typeof clubs.edit>[1]) => clubs.edit(label, change)
  // From here, before a mat is opened: buttons that change places would be pressed in vain.
  const order = usePlanOrder(live)
  const signals = useSignals({ block, waves, spent })
  /** When the round on a mat is over by the clock. */
  const msOf = (mat: Mat) => roundSeconds(block.value ?? {}, mat) * SECOND
  watch(now, (ms, before) => {
    const ends = (live.value?.mats ?? []).flatMap((mat) => (mat.round ? [mat.round.since + msOf(mat)] : []))
    if (ends.some((end) => before < end - WARNING && ms >= end - WARNING)) signals.give('warning')
    if (!ends.some((end) => ms >= end)) return
    edit(t('train.timeIsOver'), (draft) => void endTimedOut(draft, ms))
    signals.give('rest')
  })

  return {
    ...{ now, live, session, timed, block, next, waves, face, isRunning, behind, offers, people, start, startText },
    ...{ hasMats, msOf, trialWay, order },
    ...{ edit, signals, initialsOf: initialsFor },
    /** What people who work together must heed, in words. */
    heedsOf: (ids: readonly string[]) =>
      heedsText(
        heeds(
          partners.value.filter(({ id }) => ids.includes(id)).map((one) => ({ ...one, name: initialsFor(one.id) })),
          limitsOf(present(clubs.club)),
        ),
        block.value !== undefined && isLive(block.value),
      ),
    nameOf: (id: string) => lookUp(partners.value, id)?.name ?? t('train.someone'),
  }
}

type LiveClass = ReturnType<typeof useLive>
const KEY: InjectionKey<LiveClass> = Symbol('live class')

export function provideLive(): LiveClass {
  const live = useLive()
  provide(KEY, live)
  return live
}

export const useLiveClass = (): LiveClass => present(inject(KEY))
