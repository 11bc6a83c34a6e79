import { expect, test, type Page } from '@playwright/test'
import { openDemo, openScenario, settled, worth } from './coach'

/** What the browser has made of the look of the first element that a selector finds. */
const look = (page: Page, selector: string, ...properties: string[]) =>
  page
    .locator(selector)
    .first()
    .evaluate((element, names) => names.map((name) => getComputedStyle(element).getPropertyValue(name)), properties)

test('a scenario is kept under a name, left, and come back to', async ({ page }) => {
  await openDemo(page)
  const usual = await worth(page)
  const drawer = await openScenario(page)
  await drawer.getByLabel('Clock', { exact: true }).fill('0:40')
  await page.keyboard.press('Enter')
  await expect.poll(() => worth(page)).not.toBe(usual)
  const final = await worth(page)
  await drawer.getByLabel('Name of the scenario').fill('The final')
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('scenario')).toHaveText(/^The final: Underhook, head clear · 0:40 · /)

  await drawer.getByLabel('Clock', { exact: true }).fill('none')
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('scenario')).toHaveText(/^Underhook, head clear · no clock/)
  await drawer.getByRole('button', { name: 'The final', exact: true }).click()
  await expect.poll(() => worth(page)).toBe(final)
  await drawer.getByRole('button', { name: 'Forget the scenario The final' }).click()
  await page.getByTestId('message').getByRole('button', { name: 'Undo' }).click()
  await settled(page)
  await page.reload()
  await expect(page.getByTestId('scenario')).toHaveText(/^The final: /)
})

test('the library wears our look, light and dark', async ({ page }) => {
  await openDemo(page)
  const drawer = await openScenario(page)
  await drawer.getByLabel('Name of the scenario').fill('Usual')
  await page.keyboard.press('Enter')
  const pressed = ['background-color', 'color', 'border-top-left-radius', 'height']
  expect(await look(page, '.el-button--primary', ...pressed)).toEqual([
    'rgb(20, 82, 74)',
    'rgb(255, 255, 255)',
    '6px',
    '36px',
  ])
  expect((await look(page, '.el-button--primary', 'font-family'))[0]).toContain('Atkinson')
  expect(await look(page, '.el-select__wrapper', 'min-height', 'border-top-left-radius')).toEqual(['36px', '6px'])
  expect((await look(page, '.el-select__wrapper', 'box-shadow'))[0]).toContain('rgb(116, 136, 128)')
  expect(await look(page, 'body', 'font-size')).toEqual(['15px'])

  await page.getByRole('button', { name: 'Dark' }).click()
  await expect.poll(() => look(page, '.el-button--primary', 'background-color')).toEqual(['rgb(138, 216, 196)'])
  expect(await look(page, '.el-button--primary', 'color')).toEqual(['rgb(12, 31, 27)'])
  expect((await look(page, '.el-drawer', 'background-color'))[0]).not.toBe('rgb(255, 255, 255)')
})

test('a phone that is set to dark is dark from the start, also where nothing is around the screen', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.emulateMedia({ colorScheme: 'dark' })
  for (const path of ['/#/settings', '/#/mat']) {
    await page.goto('about:blank')
    await page.goto(path)
    await expect(page.locator('html')).toHaveClass(/dark/)
  }
})
