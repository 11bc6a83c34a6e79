import './printPart.css'

/**
 * Prints one part of a screen on white, under a line with the chart's name and scenario, and with `cautions` below it.
 */
export function printPart(part: HTMLElement, head: string, cautions: readonly string[] = []): void {
  document.querySelector('.part-print')?.remove()
  const sheet = document.createElement('div')
  sheet.className = 'part-print'
  const line = document.createElement('p')
  line.textContent = head
  sheet.append(line, part.cloneNode(true))
  for (const text of cautions) sheet.append(Object.assign(document.createElement('p'), { textContent: text }))
  document.body.append(sheet)
  const root = document.documentElement
  const isDark = root.classList.contains('dark')
  root.classList.remove('dark')
  window.addEventListener(
    'afterprint',
    () => {
      sheet.remove()
      root.classList.toggle('dark', isDark)
    },
    { once: true },
  )
  window.print()
}
