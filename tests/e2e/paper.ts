import type { Page } from '@playwright/test'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'

/** A page of a PDF: its size and its words, in points, the origin at the lower left. */
interface PaperPage {
  width: number
  height: number
  words: { text: string; left: number; right: number; low: number; high: number }[]
}

/**
 * The screen as the browser's own print command puts it on paper, read by a program of others. `format`: the paper in
 * the printer; `isAsSet`: the sheet says itself how large it is.
 */
export async function onPaper(page: Page, format: 'A4' | 'Letter', isAsSet = false): Promise<PaperPage[]> {
  const data = new Uint8Array(await page.pdf({ format, preferCSSPageSize: isAsSet, printBackground: true }))
  return readPages(data)
}

async function readPages(data: Uint8Array): Promise<PaperPage[]> {
  const task = getDocument({ data, verbosity: 0 })
  const pdf = await task.promise
  const pages: PaperPage[] = []
  for (let i = 1; i <= pdf.numPages; i++) {
    const one = await pdf.getPage(i)
    const { width, height } = one.getViewport({ scale: 1 })
    const { items } = await one.getTextContent()
    const words = items.flatMap((item) => {
      if (!('str' in item) || !item.str.trim()) return []
      const [, , , , left, low] = item.transform as number[]
      return [{ text: item.str, left: left!, right: left! + item.width, low: low!, high: low! + item.height }]
    })
    pages.push({ width, height, words })
  }
  await task.destroy()
  return pages
}

/** Words of which some part is not on their page. */
export const offPage = ({ width, height, words }: PaperPage): string[] =>
  words
    .filter(({ left, right, low, high }) => left < 0 || low < 0 || right > width + 1 || high > height + 1)
    .map(({ text }) => text)

export const textOf = (pages: readonly PaperPage[]): string =>
  pages.flatMap(({ words }) => words.map(({ text }) => text)).join(' ')
