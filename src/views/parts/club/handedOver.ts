import { useStorage } from '@vueuse/core'

/** A device that somebody else logs with is locked to one mat, until the coach's code. `mat` 0: it is the coach's. */
export interface HandedOver {
  mat: number
  code: string
}

export const useHandedOver = () => useStorage<HandedOver>('ataque-handed-over', { mat: 0, code: '' })
