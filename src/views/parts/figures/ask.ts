import { present } from '../../../core/sure'
import { inject, provide, shallowRef, type InjectionKey, type ShallowRef } from 'vue'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import type { Question } from '../../../core/insight/explain'
import { explainAtOnce, explained, type Asked, type Explained } from '../../../core/say/explanation'

interface Asking {
  /** The figure that was pressed, which the answer is shown beside. */
  anchor: ShallowRef<HTMLElement | null>
  answer: ShallowRef<Explained | null>
  ask: (asked: Asked, anchor: HTMLElement) => Promise<void>
  close: () => void
}

const KEY: InjectionKey<Asking> = Symbol('asking')

/** The explanation that is open; one at a time for all figures on all screens. */
export function provideAsking(): Asking {
  const charts = useCharts()
  const figures = useFigures()
  const anchor = shallowRef<HTMLElement | null>(null)
  const answer = shallowRef<Explained | null>(null)

  async function ask(asked: Asked, at: HTMLElement) {
    if (anchor.value === at) return void close()
    answer.value = await answerTo(asked)
    anchor.value = answer.value ? at : null
  }

  async function answerTo(asked: Asked): Promise<Explained | null> {
    const { chart } = charts
    if (!chart || !figures.figures) return null
    const atOnce = explainAtOnce(chart, figures.figures, asked, present(figures.scenario))
    if (atOnce) return atOnce
    const question = asked as Question
    const explanation = await figures.explain(question)
    return explanation && explained(chart, question, explanation)
  }

  function close() {
    anchor.value?.focus()
    anchor.value = null
  }

  const asking = { anchor, answer, ask, close }
  provide(KEY, asking)
  return asking
}

export function useAsking(): Asking {
  return present(inject(KEY))
}
