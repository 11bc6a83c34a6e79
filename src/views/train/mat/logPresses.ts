import { computed, ref } from 'vue'
import { beginRound, endRound, logPress, reopenRound } from '../../../core/club/edits/liveRounds'
import type { Ended } from '../../../core/club/logRecords'
import type { LiveRound, Mat } from '../../../core/club/live/liveRecords'
import {
  logScreen,
  pressMove,
  pressNotIt,
  pressOutcome,
  pressTheirs,
  pressUndo,
  standingOf,
  type Choice,
  type LogScreen,
} from '../../../core/club/live/pressLog'
import type { TryOutcome } from '../../../core/match/tryLog'
import { lastOf } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { ENDED_NAMES } from '../../parts/club/ended'
import { useLiveClass } from './live'
import type { Press } from './press'
import { t } from '../../../words/train'

/** A press so soon after another is a finger that has bounced, in milliseconds. */
const BOUNCE = 300
const ENDS = ['tap', 'had-it', 'out', 'reversed', 'time', 'no-result'] as const

/** What stands on the screen: a question, large buttons, and smaller ones under them. */
interface Shown {
  asks: string
  presses: Press[]
  under: Press[]
  isList?: boolean
}

/** The presses that log a round on a mat, each an edit. */
function useLogging(mat: () => Mat, pressed: () => void) {
  const charts = useCharts()
  const { start, edit } = useLiveClass()
  let pressedAt = -Infinity

  function once(does: () => void) {
    const at = Date.now()
    if (at - pressedAt < BOUNCE) return
    pressedAt = at
    pressed()
    does()
  }
  const press = (label: string, change: (round: LiveRound) => void) =>
    once(() => edit(label, (draft) => logPress(draft, mat().n, change)))

  return {
    tries: (name: string, id: string) => press(name, (round) => pressMove(round, id)),
    theirs: (name: string, id: string) => press(name, (round) => charts.chart && pressTheirs(charts.chart, round, id)),
    came: (name: string, outcome: TryOutcome | 'unseen') =>
      press(name, (round) => charts.chart && pressOutcome(charts.chart, round, outcome)),
    notIt: () => press(t('train.notIt'), pressNotIt),
    end: (ended: Ended) => once(() => edit(ENDED_NAMES[ended], (draft) => endRound(draft, mat().n, ended, Date.now()))),
    /** A tap to a crank is a tap, but nothing has landed. */
    endCranked: () =>
      once(() =>
        edit(t('train.tappedToACrank'), (draft) => {
          logPress(draft, mat().n, (round) => {
            const tried = lastOf(round.tries)
            if (tried) tried.outcome = 'failed'
          })
          endRound(draft, mat().n, 'tap', Date.now())
        }),
      ),
    undo: () =>
      once(() =>
        edit(t('train.undo'), (draft) => {
          if (mat().round) logPress(draft, mat().n, (round) => void pressUndo(round))
          else reopenRound(draft, mat().n)
        }),
      ),
    begin: () =>
      once(() => edit(t('train.beginARound'), (draft) => beginRound(draft, mat().n, start.value, Date.now()))),
  }
}

/** What can be pressed on the log of a mat, and the presses. */
export function useLogPresses(mat: () => Mat) {
  const charts = useCharts()
  const { order, initialsOf } = useLiveClass()
  /** Between people of one club it is said by initials, not by us and them. */
  const other = () => initialsOf(mat().round?.them ?? '')
  /** What has been opened besides the large buttons. */
  const opened = ref<'more' | 'theirs' | 'over' | null>(null)
  const does = useLogging(mat, () => (opened.value = null))
  const at = computed(() => {
    const { round } = mat()
    return round ? standingOf(round) : {}
  })
  const screen = computed(() => charts.chart && logScreen(charts.chart, at.value, order.value))

  const opens = (what: typeof opened.value, name: string): Press => ({
    ...{ key: what ?? 'back', name },
    does: () => void (opened.value = what),
  })
  const back = opens(null, t('train.back'))
  const over = opens('over', t('train.roundOver'))
  const tried = (choices: readonly Choice[]): Press[] =>
    choices.map(({ id, name }) => ({ key: id, name, does: () => does.tries(name, id) }))
  const theirs = (choices: readonly Choice[]): Press[] =>
    choices.map(({ id, name }) => ({ key: id, name, does: () => does.theirs(name, id) }))
  const reactions = (choices: readonly Choice[]): Press[] =>
    choices.map(({ id, name }, i) => ({
      ...{ key: id, name, does: () => does.came(name, { reaction: id }) },
      letter: String.fromCharCode('a'.charCodeAt(0) + i),
    }))

  function asksTry({ most, more, theirs: they }: Extract<LogScreen, { asks: 'try' }>): Shown {
    if (opened.value === 'more')
      return { asks: t('train.whatIsTried'), presses: tried(more), under: [back], isList: true }
    if (opened.value === 'theirs')
      return { asks: t('train.whatDoesWhoDo', { who: other() }), presses: theirs(they), under: [back], isList: true }
    const under = [opens('more', t('train.other')), opens('theirs', t('train.whoAttacks', { who: other() })), over]
    return { asks: t('train.whatIsTried'), presses: tried(most), under }
  }

  function asksOutcome({ move, most, more }: Extract<LogScreen, { asks: 'outcome' }>): Shown {
    if (opened.value === 'more')
      return { asks: t('train.whatDidWhoDo', { who: other() }), presses: reactions(more), under: [back], isList: true }
    const came = (key: 'lands' | 'stalls' | 'unseen', name: string): Press => ({
      ...{ key, name, isOurs: key === 'lands' },
      does: () => does.came(name, key),
    })
    return {
      asks: t('train.whatCameOf', { move: move.name }),
      presses: [came('lands', t('train.landed')), came('stalls', t('train.nothing')), ...reactions(most)],
      under: [opens('more', t('train.more')), came('unseen', t('train.didNotSee')), over],
    }
  }

  const ending = (one: (typeof ENDS)[number]): Press => ({
    ...{ key: one, name: ENDED_NAMES[one], isOurs: one === 'had-it' },
    does: () => does.end(one),
  })
  const asksFinish = (): Shown => ({
    asks: t('train.howDidItEnd'),
    presses: [
      ...[ending('tap'), ending('had-it')],
      { key: 'crank', name: t('train.tappedToACrank'), does: does.endCranked },
      { key: 'not', name: t('train.notIt'), does: does.notIt },
    ],
    under: [],
  })

  const shown = computed((): Shown | null => {
    const { value: now } = screen
    if (!now) return null
    if (opened.value === 'over' || now.asks === 'over')
      return { asks: t('train.howDidItEnd'), presses: ENDS.map(ending), under: opened.value ? [back] : [] }
    if (now.asks === 'try') return asksTry(now)
    return now.asks === 'outcome' ? asksOutcome(now) : asksFinish()
  })
  return { shown, place: computed(() => screen.value?.place ?? ''), begin: does.begin, undo: does.undo }
}
