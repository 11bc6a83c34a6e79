import { shallowRef } from 'vue'

/** What a piece of news lets the coach do about it. */
export type NewsAction = 'undo'

export interface News {
  text: string
  kind: 'info' | 'warning'
  action?: NewsAction
  /** Milliseconds since 1970. */
  at: number
}

/** Tells the coach something once; the frame shows it. */
export type Tell = (text: string, kind?: News['kind'], action?: NewsAction) => void

export function useNews() {
  const news = shallowRef<News | null>(null)
  const tell: Tell = (text, kind = 'info', action) => {
    news.value = { text, kind, at: Date.now(), ...(action ? { action } : {}) }
  }
  return { news, tell }
}
