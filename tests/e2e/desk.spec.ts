import { expect, test } from '@playwright/test'
import { openDemo, settled, worth } from './coach'

test('the Desk says first what to drill, and what is promised comes when it is done', async ({ page }) => {
  await openDemo(page)
  const panel = page.getByRole('region', { name: 'What to drill' })
  const first = panel.getByTestId('drill').first()
  await expect(first).toContainText(/comes up about .+; lands \d of ten now, \d\.?\d? drilled/)
  const gain = panel.getByRole('listitem').first().getByRole('button')
  await expect(gain).toHaveText(/^\+/)
  const promised = Number((await gain.getAttribute('title'))!.replace(/^.*: /, '').replace(' per hundred', ''))
  await gain.click()
  await expect(page.getByText(/What it would bring/)).toBeVisible()
  await page.keyboard.press('Escape')
  const before = Number(await worth(page).then((text) => text.replace(' per hundred', '')))
  const name = await first.locator('b').textContent()
  await first.click()
  const strip = page.getByRole('group', { name: `Tries of ${name}`, exact: true })
  const lands = strip.getByRole('spinbutton', { name: /: lands/ })
  const stalls = strip.getByRole('spinbutton').last()
  await lands.focus()
  await page.keyboard.press('ArrowRight')
  await stalls.focus()
  await page.keyboard.press('ArrowLeft')
  await settled(page)
  await expect
    .poll(async () => Number((await worth(page)).replace(' per hundred', '')))
    .toBeGreaterThan(before + promised / 3)
})
