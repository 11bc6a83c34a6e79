import { present } from '../../../core/sure'
import type { Scene } from '../../../core/slope/scene'
import { standalone } from './saving'
import { t } from '../../../words/slope'
import './printing.css'

/** Pixels of the picture across one A4 page, where it is printed on several, so that names can be read. */
const PAGE = { width: 1080, height: 725 }
const OVERLAP = 40

/** Puts the picture on paper, on one page or on as many as it needs to be readable, until `offPaper`. */
export function onPaper(
  root: HTMLElement,
  scene: Scene,
  title: string,
  pages: 'one' | 'tiled',
  cautions: readonly string[],
): void {
  offPaper()
  const sheet = document.createElement('div')
  sheet.className = 'slope-print prints-wide'
  const { width, height } = scene
  const across = pages === 'one' ? 1 : Math.ceil((width - OVERLAP) / (PAGE.width - OVERLAP))
  const down = pages === 'one' ? 1 : Math.ceil((height - OVERLAP) / (PAGE.height - OVERLAP))
  for (let row = 0; row < down; row++) {
    for (let column = 0; column < across; column++) {
      const page = document.createElement('section')
      const head = document.createElement('p')
      head.textContent = t('slope.titleTheSlopeAcross', {
        title,
        across:
          across * down > 1 ? t('slope.rowOfAcross', { row: row * across + column + 1, across: across * down }) : '',
      })
      const picture = standalone(root, scene)
      picture.removeAttribute('width')
      picture.removeAttribute('height')
      const box =
        pages === 'one'
          ? [0, 0, width, height]
          : [column * (PAGE.width - OVERLAP), row * (PAGE.height - OVERLAP), PAGE.width, PAGE.height]
      picture.setAttribute('viewBox', box.join(' '))
      page.append(head, picture)
      sheet.append(page)
    }
  }
  if (cautions.length) present(sheet.lastElementChild).append(listOf(cautions))
  root.closest('.slope')?.after(sheet)
}

/** Whether the picture is on paper already. */
export const isPrepared = () => Boolean(document.querySelector('.slope-print'))

/** Takes the picture from the paper. */
export const offPaper = () => document.querySelector('.slope-print')?.remove()

function listOf(lines: readonly string[]): HTMLElement {
  const list = document.createElement('ul')
  list.className = 'slope-cautions'
  for (const line of lines) list.append(Object.assign(document.createElement('li'), { textContent: line }))
  return list
}
