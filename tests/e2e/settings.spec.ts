import { expect, test, type Page } from '@playwright/test'
import { onPaper } from './paper'
import { openDemo, openScenario } from './coach'
import { open } from './screens'

const choose = (page: Page, group: string, option: string) =>
  page.getByRole('radiogroup', { name: group }).getByText(option, { exact: true }).click()

test('what is set is kept: the theme, times in seconds, closer lines, and paper', async ({ page }) => {
  await openDemo(page)
  await open(page, '/settings')
  await choose(page, 'Theme', 'Dark')
  await expect(page.locator('html')).toHaveClass(/dark/)
  await choose(page, 'Times', '240 s')
  await expect(page.getByTestId('scenario')).toContainText('240 s')
  const gap = () => page.locator('.settings').evaluate((element) => getComputedStyle(element).columnGap)
  const before = parseFloat(await gap())
  await choose(page, 'Density', 'Close together')
  expect(parseFloat(await gap())).toBeLessThan(before)
  await choose(page, 'Paper', 'Letter')
  await page.reload()
  await expect(page.locator('html')).toHaveClass(/dark.*close|close.*dark/)
  await expect(page.getByTestId('scenario')).toContainText('240 s')
  const drawer = await openScenario(page)
  await expect(drawer.getByRole('textbox', { name: 'Clock' })).toHaveValue('240 s')
  await page.keyboard.press('Escape')
  const [sheet] = await onPaper(page, 'A4', true)
  expect([Math.round(sheet!.width), Math.round(sheet!.height)]).toEqual([612, 792])
})

test('letters alone are commands until they are turned off, and never just after something was typed', async ({
  page,
}) => {
  await openDemo(page)
  await page.goto('/#/worksheet/underhook-head-clear')
  const line = page.getByRole('textbox', { name: /line/i }).first()
  const search = page.getByRole('textbox', { name: 'Search or name a position' })
  await expect(line).toBeVisible()
  await page.keyboard.press('/')
  await expect(search).toBeFocused()
  await search.blur()
  await page.keyboard.press('n')
  await expect(line).not.toBeFocused()
  await page.waitForTimeout(450)
  await page.keyboard.press('n')
  await expect(line).toBeFocused()
  await open(page, '/settings')
  await page.getByRole('switch', { name: 'A letter alone is a command' }).press('Space')
  await page.goto('/#/worksheet/underhook-head-clear')
  await expect(line).toBeVisible()
  await page.waitForTimeout(450)
  await page.keyboard.press('/')
  await expect(search).not.toBeFocused()
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeHidden()
})

test('the frame speaks another language, in which nothing is cut off', async ({ page }) => {
  await openDemo(page)
  await open(page, '/settings')
  await page.getByRole('combobox', { name: 'Language' }).click({ force: true })
  await page.getByRole('option', { name: 'Deutsch' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Einstellungen' })).toBeVisible()
  await expect(page.locator('html')).toHaveAttribute('lang', 'de')
  await expect(page.getByRole('link', { name: 'Arbeitsblatt' })).toBeVisible()
})
