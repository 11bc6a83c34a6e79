import { refDebounced } from '@vueuse/core'
import { computed, type Ref } from 'vue'
import { letterOf, type TryPart } from '../../../components/tryParts'
import type { Chart } from '../../../core/chart/chart'
import type { PositionId, ReactionId } from '../../../core/chart/ids'
import { lookUp } from '../../../core/chart/lookUp'
import { triesOf } from '../../../core/chart/tries'
import { sayLines, sayStill } from '../../../core/notation/edits/sayLines'
import type { Created, ForkError } from '../../../core/notation/fork'
import { nearMisses, type NearMiss } from '../../../core/notation/near'
import { writeSeen } from '../../../core/notation/writeSeen'
import { placeName } from '../../../core/chart/placeNames'
import { lowerFirst } from '../../../core/say/speech'
import { useWorksheet, stripIn } from '../inspectors/sheet'
import { t } from '../../../words/add'

/** What saying a text would do to the chart: nothing is changed yet. */
export interface Preview {
  /** Of each move that is said: its tries drawn, and where it leads. */
  strips: { name: string; leads: string; parts: TryPart[]; text: string }[]
  /** What is seen on coming here, as a line; absent where nothing of it is said. */
  seen?: string
  created: Created[]
  near: NearMiss[]
  errors: ForkError[]
}

/** How long nothing is typed before it is worked out what would come of it, in milliseconds. */
const PAUSE = 120

/** The preview of a text that is being typed; null while there is none. */
export function usePreview(text: Ref<string>) {
  const { chart, position } = useWorksheet()
  const steady = refDebounced(text, PAUSE)
  return computed(() => {
    const here = position.value
    return here && steady.value.trim() ? previewOf(chart.value, here.id, steady.value) : null
  })
}

export function previewOf(chart: Chart, position: PositionId, text: string): Preview {
  // The lists of the chart are replaced, never changed: a copy of what holds them is enough.
  const next = { ...chart }
  const said = sayLines(next, position, text)
  if (!said.ok) return { strips: [], created: [], near: [], errors: said.errors }
  const { created, moves, isSeenSaid } = said.value
  const strips = moves.flatMap((id) => {
    const move = lookUp(next.moves, id)
    if (!move) return []
    const tries = triesOf(move)
    const met = Object.keys(tries.reactions ?? {})
    const parts = stripIn(next, tries, new Map(met.map((reaction, i) => [reaction, letterOf(i)])))
    const leads =
      move.to === 'finish'
        ? t('common.aFinish')
        : move.to === move.from
          ? t('common.staysHere')
          : placeName(next.positions, move.to)
    return [{ name: move.name, leads, parts, text: inWords(parts) }]
  })
  const seen = isSeenSaid ? { seen: writeSeen(next, position) } : {}
  return { strips, ...seen, created, near: nearMisses(chart, created), errors: [] }
}

/** What saying what they do while we hold still would do: the records that it makes, and what is wrong with it. */
export function previewStill(chart: Chart, position: PositionId, line: string) {
  const said = sayStill({ ...chart }, position, line)
  if (!said.ok) return { reactions: [] as ReactionId[], created: [], near: [], errors: said.errors }
  return { ...said.value, near: nearMisses(chart, said.value.created), errors: [] }
}

const WORDS: Partial<Record<string, string>> = { lands: t('add.land'), nothing: t('add.comeToNothing') }
const inWords = (parts: readonly TryPart[]) =>
  parts
    .filter(({ count }) => count > 0)
    .map(({ count, label }) => `${count} ${WORDS[label] ?? lowerFirst(label)}`)
    .join(', ')
