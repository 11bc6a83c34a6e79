import { expect, test } from '@playwright/test'
import { openDemoWithRound } from './coach'
import { open, SCREENS } from './screens'

const isSweep = process.env.ATAQUE_SWEEP === 'all'

test('no part that stands beside another is narrower than 280 px', async ({ page }) => {
  await page.setViewportSize({ width: 1100, height: 800 })
  await openDemoWithRound(page)
  for (const { path } of SCREENS.filter(({ name }) => /^(worksheet|holds|shelf|rules)$/.test(name))) {
    await open(page, path)
    const widths = await page
      .locator('.parts > *')
      .evaluateAll((parts) => parts.map((part) => part.getBoundingClientRect().width))
    expect(widths.length, path).toBeGreaterThan(1)
    expect(Math.min(...widths), path).toBeGreaterThanOrEqual(280)
  }
})

/** A window of 1280 x 1024 at 200 % and at 400 %, in which all is read and reached by scrolling one way only. */
for (const [share, width, height] of [
  ['200 %', 640, 512],
  ['400 %', 320, 256],
] as const)
  test(`at ${share} everything is read in one column`, async ({ page }) => {
    await page.setViewportSize({ width, height })
    await openDemoWithRound(page)
    for (const { path } of SCREENS.filter(({ name }) => isSweep || /^(desk|worksheet|shelf)/.test(name))) {
      await open(page, path)
      const { wide, room } = await page.evaluate(() => {
        const main = document.querySelector('#screen')!
        const scroller = innerHeight < 480 ? document.documentElement : main
        return { wide: document.documentElement.scrollWidth - innerWidth, room: scroller.clientHeight }
      })
      expect([path, wide]).toEqual([path, 0])
      expect(room, path).toBeGreaterThan(200)
      // The last words can be scrolled to, and are then in view; what comes late may push them on once more.
      const last = page.locator('#screen').getByText(/\w/).locator('visible=true').last()
      await expect(async () => {
        await last.scrollIntoViewIfNeeded()
        await expect(last, path).toBeInViewport({ timeout: 1000 })
      }).toPass()
    }
  })
