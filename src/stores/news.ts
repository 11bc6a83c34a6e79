import { shallowRef } from 'vue'
import { messageOf } from '../core/problem'
import { t } from '../words'

/** What a piece of news lets the coach do about it. */
export type NewsAction = 'undo'

export interface News {
  text: string
  kind: 'info' | 'warning'
  action?: NewsAction
  /** Milliseconds since 1970. */
  at: number
}

/** Tells the coach something once; the frame shows it, with what can be done about it. */
export type Tell = (text: string, kind?: News['kind'], action?: NewsAction) => void

export function useNews() {
  const news = shallowRef<News | null>(null)
  const tell: Tell = (text, kind = 'info', action) => {
    news.value = { text, kind, at: Date.now(), ...(action ? { action } : {}) }
  }
  /** The same work; what it cannot do now is told, and comes to false. `done`: what it would have been, as "opened". */
  const telling =
    <A extends unknown[], T>(work: (...args: A) => Promise<T>, done: string) =>
    (...args: A): Promise<T | false> =>
      work(...args).catch((error: unknown) => {
        tell(t('keeping.thisCannotBeDoneNowError', { done, error: messageOf(error) }), 'warning')
        return false
      })
  /** The same work, which also takes away the news that offers it. */
  const settling =
    <T>(action: NewsAction, work: () => T) =>
    (): T => {
      if (news.value?.action === action) news.value = null
      return work()
    }
  return { news, tell, telling, settling }
}
