import { useStorage } from '@vueuse/core'
import { computed } from 'vue'
import { clockText } from '../core/say/figureText'

/** How the coach likes to read and to press: of this browser, not of a chart. */
export interface Settings {
  /** A plain letter is a command: "N" says a move. Off for who speaks to the machine. */
  singleKeys: boolean
  /** Times as 4:00, or as 240 s. */
  time: 'minutes' | 'seconds'
  /** On which paper is printed; as the printer says where it is neither. */
  paper: 'printer' | 'A4' | 'letter'
  density: 'roomy' | 'close'
  /** After so many days a round that was logged counts half. */
  halfLife: number
}

const AS_IT_COMES: Settings = { singleKeys: true, time: 'minutes', paper: 'printer', density: 'roomy', halfLife: 180 }
const kept = useStorage<Settings>('ataque-settings', AS_IT_COMES, undefined, { mergeDefaults: true })

/** The settings; what is set is kept at once, and is so in other tabs as well. */
export const useSettings = () => kept

/** A stretch of time as the coach reads it; "none" where there is no limit. */
export const timeText = (seconds: number | null): string =>
  kept.value.time === 'seconds' && seconds !== null ? `${seconds} s` : clockText(seconds)

/** Whether a plain letter is a command. */
export const hasSingleKeys = computed(() => kept.value.singleKeys)
