import { expect, test } from '@playwright/test'
import { openDemoClub, openDemoWithRound } from './coach'
import { offPage, onPaper, textOf } from './paper'
import { withoutRoom } from './room'
import { open } from './screens'

/** Screens that are printed, what must be on the sheet, and whether it lies on its side. */
const SHEETS = [
  { path: '/desk', says: 'What costs us most' },
  { path: '/slope', says: 'Step-around armbar', isWide: true },
  { path: '/slope?show=all', says: 'Side control, hips low', isWide: true },
  { path: '/worksheet/side-control-head-and-far-arm?move=americana', says: 'Americana' },
  { path: '/worksheet-paper?of=knee-on-belly,side-control-hips-low', says: 'Knee on belly' },
  { path: '/see-and-do', says: 'They sit to a hip' },
  { path: '/holds/side-control-hips-low', says: 'Their hips' },
  { path: '/score/two-arms-then-the-choke', says: 'Cross the wrists', isWide: true },
  { path: '/runs', says: 'The chain from Underhook, head clear' },
  { path: '/runs/side-by-side', says: 'arms at its end', isWide: true },
  { path: '/runs/rounds', says: 'worked □□□□□' },
  { path: '/runs/beat', says: 'How they would beat us' },
  { path: '/runs/what-if', says: 'What if' },
  { path: '/shelf?region=side-control&at=move%20americana-finish', says: 'Head up' },
  { path: '/rules', says: 'What scores' },
]
const isSweep = process.env.ATAQUE_SWEEP === 'all'
/** Pixels that are left between the margins of a page of paper, upright and on its side. */
const ACROSS = { A4: [703, 1031], Letter: [725, 965] } as const

for (const format of isSweep ? (['A4', 'Letter'] as const) : (['A4'] as const))
  test(`every sheet fits its pages, on ${format}`, async ({ page }) => {
    test.setTimeout(240_000)
    await openDemoWithRound(page)
    const wrong: Record<string, unknown> = {}
    for (const { path, says, isWide = false } of SHEETS) {
      await open(page, path)
      const pages = await onPaper(page, format)
      const text = textOf(pages)
      expect.soft(text, path).toContain(says)
      // The head and the foot of every sheet, and the number of every page.
      expect.soft(text, path).toMatch(/Tern Street.*from Underhook, head clear.*they see it coming/)
      expect.soft(text, path).toContain('does not replace a qualified coach')
      pages.forEach(({ words }, i) => {
        const last = words.map((word) => word.text).join('')
        expect.soft(last.replaceAll(' ', ''), path).toContain(`${i + 1}/${pages.length}`)
      })
      for (const { width, height } of pages) expect.soft(width > height, path).toBe(isWide)
      const off = pages.flatMap(offPage)
      await page.emulateMedia({ media: 'print' })
      await page.setViewportSize({ width: ACROSS[format][isWide ? 1 : 0], height: 900 })
      const squeezed = await withoutRoom(page)
      await page.emulateMedia({ media: null })
      await page.setViewportSize({ width: 1280, height: 800 })
      if (off.length || squeezed.length) wrong[path] = { off, squeezed }
    }
    expect(wrong).toEqual({})
  })

/** What of a class is printed, each on one page, and what is on it. */
const OF_A_CLASS = [
  { path: '/sessions?class=class-2026-11-24', says: ['60 of 60 min planned', 'Hands joined before any hook', 'Odile'] },
  { path: '/sessions/cards?class=class-2026-11-24', says: ['Start: with', 'One mistake:', 'Mat 2', 'Ends at Had it.'] },
  { path: '/sessions/home?class=lesson-2026-11-14', says: ['Ines', 'Far wrist pinned', 'Shoulder: Americana'] },
]

test('a class, its cards with the pairs by mat, and a page to take home are a page of paper each', async ({ page }) => {
  await openDemoClub(page)
  for (const { path, says } of OF_A_CLASS) {
    await open(page, path)
    const pages = await onPaper(page, 'A4')
    const text = textOf(pages)
    expect(pages, path).toHaveLength(1)
    for (const one of says) expect.soft(text, path).toContain(one)
    expect(text, path).toContain('Tap early')
    // It is about the class, not about the plan and its scenario.
    expect(text, path).not.toContain('they see it coming')
    expect(pages.flatMap(offPage), path).toEqual([])
  }
})
