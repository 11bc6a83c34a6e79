import { expect, test } from '@playwright/test'
import { openDemoWithRound } from './coach'
import { open, screensAt } from './screens'

/** Of a screen that is opened anew: how far what one reads may jump, in shares of the window (web.dev/cls). */
const MOST = 0.02
const isSweep = process.env.ATAQUE_SWEEP === 'all'

/** Every screen, in two halves that run side by side. */
const SIZES = [{ width: 1280, height: 800 }, ...(isSweep ? [{ width: 390, height: 844 }] : [])]
const HALVES = SIZES.flatMap((size) => [1, 2].map((half) => ({ ...size, half })))

for (const { width, height, half } of HALVES)
  test(`what comes late finds its room kept, at ${width} px, half ${half} of the screens`, async ({ page }) => {
    test.setTimeout(480_000)
    await page.setViewportSize({ width, height })
    await page.addInitScript(() => {
      const shifts: string[] = []
      let sum = 0
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries() as unknown as {
          value: number
          hadRecentInput: boolean
          sources: { node?: Element }[]
        }[]) {
          if (entry.hadRecentInput) continue
          sum += entry.value
          const what = entry.sources.map(({ node }) => node?.className ?? node?.nodeName).join(', ')
          shifts.push(`${entry.value.toFixed(3)} ${what}`)
        }
      }).observe({ type: 'layout-shift', buffered: true })
      Object.assign(window, { shifted: () => ({ sum, shifts }) })
    })
    await openDemoWithRound(page)
    const wrong: Record<string, unknown> = {}
    // The mats first, while the round is on: after it there are no buttons that could jump.
    const isMat = ({ path }: { path: string }) => path.startsWith('/mat')
    const screens = screensAt(width).filter((_, i) => i % 2 === half - 1)
    for (const { name, path } of [...screens.filter(isMat), ...screens.filter((one) => !isMat(one))]) {
      await page.goto('about:blank')
      await open(page, path)
      await page.waitForTimeout(600)
      const found = await page.evaluate(() =>
        (window as unknown as { shifted: () => { sum: number; shifts: string[] } }).shifted(),
      )
      if (found.sum > MOST) wrong[name] = found
    }
    expect(wrong).toEqual({})
  })
