import { expect, test } from '@playwright/test'
import { openDemo } from './coach'

test('another screen has its name, the focus at its heading, and is scrolled as it was on the way back', async ({
  page,
}) => {
  await openDemo(page)
  await expect(page).toHaveTitle(/^Desk · Tern Street/)
  const main = page.locator('#screen')
  const top = () => main.evaluate((one) => one.scrollTop)
  await expect(page.getByTestId('drill').first()).toBeVisible()
  await main.evaluate((one) => one.scrollTo({ top: 300 }))
  expect(await top()).toBe(300)
  await page.getByRole('link', { name: 'Charts' }).click()
  await expect(page).toHaveTitle(/^Charts · Tern Street/)
  await expect(page.getByRole('heading', { level: 1, name: 'Charts' })).toBeFocused()
  await expect(page.locator('[aria-live=polite]', { hasText: /^Charts$/ })).toHaveCount(1)
  expect(await top()).toBe(0)
  await page.goBack()
  await expect(page).toHaveTitle(/^Desk/)
  await expect.poll(top).toBe(300)
})

test('Alt and an arrow stay the browser’s on the Slope, and an unknown place says so', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/slope?at=place%20knee-on-belly')
  const canvas = page.getByTestId('slope')
  await canvas.focus()
  const taken = await canvas.evaluate((one) => {
    const event = new KeyboardEvent('keydown', { key: 'ArrowLeft', altKey: true, bubbles: true, cancelable: true })
    one.dispatchEvent(event)
    return event.defaultPrevented
  })
  expect(taken).toBe(false)
  // The way past the rail is no address: it stays on the screen.
  await page.getByRole('button', { name: 'To the screen' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.locator('#screen')).toBeFocused()
  await expect(page).toHaveURL(/#\/slope/)
  await page.goto('/#/nowhere')
  await expect(page.getByRole('heading', { level: 1, name: 'Nothing here' })).toBeVisible()
  await expect(page.locator('#screen')).toContainText('/nowhere')
  await expect(page).toHaveTitle(/^Nothing here/)
})
