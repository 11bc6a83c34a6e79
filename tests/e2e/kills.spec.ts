import { expect, test, type Page } from '@playwright/test'
import { amount, report } from '../faults/amount'
import { openDemo, settled } from './coach'

const SHEET = '/#/worksheet/underhook-head-clear'
const strip = (page: Page) => page.getByRole('spinbutton', { name: 'Shoot the high crotch: lands' })

/** Tells, whenever the screen changes, how many tries it shows as saved. */
async function watch(page: Page, heard: (value: number) => void): Promise<void> {
  await page.exposeFunction('heard', heard)
  await page.evaluate(() => {
    const tell = () => {
      const saved = document.querySelector('[data-test=saved]')?.textContent ?? ''
      const now = document.activeElement?.getAttribute('aria-valuenow')
      if (saved.trim().startsWith('Saved') && now) (window as unknown as { heard(n: number): void }).heard(Number(now))
    }
    new MutationObserver(tell).observe(document.body, {
      subtree: true,
      childList: true,
      attributes: true,
      characterData: true,
    })
  })
}

const KILLS = amount(5, 200)

test('a tab that is killed at any moment has kept what it showed as saved', async ({ context, page: first }) => {
  test.setTimeout(30 * 60_000)
  await openDemo(first)
  await first.goto(SHEET)
  await strip(first).focus()
  await Promise.all([first.keyboard.press('2'), first.keyboard.press('0')])
  await expect(strip(first)).toHaveAttribute('aria-valuenow', '20')
  await settled(first)
  await first.close()
  let saved = 20
  let shown = 20
  let worst = 0
  for (let kill = 0; kill < KILLS; kill++) {
    const page = await context.newPage()
    await page.goto(SHEET)
    // Up in one tab and down in the next, so that what is kept lies between what was saved and what was shown.
    const kept = Number(await strip(page).getAttribute('aria-valuenow'))
    expect(kept).toBeGreaterThanOrEqual(Math.min(saved, shown))
    expect(kept).toBeLessThanOrEqual(Math.max(saved, shown))
    worst = Math.max(worst, Math.abs(shown - kept))
    saved = shown = kept
    await watch(page, (value) => (saved = value))
    await strip(page).focus()
    const pressing = press(page, kill % 2 ? 'ArrowLeft' : 'ArrowRight', () => (shown += kill % 2 ? -1 : 1))
    await new Promise((later) => setTimeout(later, Math.random() * 600))
    if (kill % 3) await page.goto('chrome://crash').catch(() => undefined)
    await page.close()
    await pressing
  }
  report('killed tabs', KILLS, 0, `${worst} edits that were not shown as saved yet`)
})

/** Presses a key up to six times, until the tab is gone. */
async function press(page: Page, key: string, pressed: () => void): Promise<void> {
  try {
    for (let n = 0; n < 6; n++) {
      pressed()
      await page.keyboard.press(key)
      await page.waitForTimeout(Math.random() * 120)
    }
  } catch {
    // The tab was killed under it.
  }
}
