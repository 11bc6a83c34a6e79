import { watchEffect } from 'vue'
import { useSettings } from '../../stores/settings'

/** Applies what the coach has set to the whole document: how dense it is, and on which paper it is printed. */
export function useLiking(): void {
  const settings = useSettings()
  const sheet = new CSSStyleSheet()
  document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet]
  watchEffect(() => {
    const { paper, density } = settings.value
    document.documentElement.classList.toggle('close', density === 'close')
    sheet.replaceSync(paper === 'printer' ? '' : `@page { size: ${paper} } @page wide { size: ${paper} landscape }`)
  })
}
