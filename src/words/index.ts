import { createI18n } from 'vue-i18n'
import en from './en.json' with { type: 'json' }

/*
 * What the interface says: labels, hints, headings and the names of steps that can be undone, in one file a language.
 * Sentences that the core works out are in `core/say`, since the command line says them too.
 */

type Words = typeof en
/** "area.word": where it is said, and which. */
export type WordKey = { [Area in keyof Words]: `${Area}.${Extract<keyof Words[Area], string>}` }[keyof Words]
type Named = Record<string, string | number | null | undefined>

/** The languages of the interface, each by its own name. What one of them does not say is said in English. */
export const LANGUAGES = { en: 'English', de: 'Deutsch' } as const
export type Language = keyof typeof LANGUAGES
const KEY = 'ataque-language'

function keptLanguage(): Language {
  try {
    return localStorage.getItem(KEY) === 'de' ? 'de' : 'en'
  } catch {
    return 'en'
  }
}

/** The language that is spoken. Labels are made as the modules load, so that it is settled before any of them. */
export const language = keptLanguage()
const other = language === 'de' ? (await import('./de.json')).default : undefined
if (typeof document !== 'undefined') document.documentElement.lang = language

/** Speaks another language from now on; the page is loaded anew for it. */
export function speak(chosen: Language): void {
  localStorage.setItem(KEY, chosen)
  location.reload()
}

/** Not all of it need be said in the other language. */
const messages = { en, de: (other ?? en) as typeof en }

export const i18n = createI18n({
  legacy: false,
  locale: language,
  fallbackLocale: 'en',
  messages,
  // `>` and `<` are part of the notation that some of the words show.
  warnHtmlMessage: false,
})

/**
 * The words of a key in the language that is set. `given` fills the places in braces; a number, alone or after what is
 * given, chooses between one and many ("{n} move | {n} moves").
 */
export function t(key: WordKey, given: Named | number = {}, many?: number): string {
  const { t: say } = i18n.global
  if (typeof given === 'number') return say(key, given)
  return many === undefined ? say(key, given) : say(key, { n: many, ...given }, many)
}

/**
 * `t` that also knows the words of an area that are fetched with the screens of the area, so that nobody waits for them
 * before.
 */
export function knowing<Area extends string, Words extends Record<string, string>>(area: Area, words: Words) {
  i18n.global.mergeLocaleMessage('en', { [area]: words })
  return (
    key: WordKey | `${Area}.${Extract<keyof Words, string>}`,
    given: Named | number = {},
    many?: number,
  ): string => t(key as WordKey, given, many)
}
