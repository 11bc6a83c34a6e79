import { expect, test } from '@playwright/test'
import { exported, importText, openDemo, settled, worth } from './coach'

test('a new coach mends the worst leak, and keeps it', async ({ page }) => {
  await openDemo(page)
  const before = await worth(page)

  await page.getByTestId('leak').first().click()
  const row = page.locator('li:focus')
  await expect(row).toHaveAttribute('aria-label', /They: /)
  await page.keyboard.press('a')
  await page.keyboard.type('turn to')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('link', { name: 'Turn to the single' }).first()).toBeVisible()
  await page.getByRole('spinbutton', { name: 'Hip-sit to guard in answer: lands' }).press('9')
  await expect.poll(() => worth(page)).not.toBe(before)
  const mended = await worth(page)
  expect(Number(mended.split(' ')[0])).toBeGreaterThan(Number(before.split(' ')[0]))

  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => worth(page)).toBe(before)
  await page.getByRole('button', { name: 'Redo' }).click()
  await expect.poll(() => worth(page)).toBe(mended)

  await settled(page)
  await page.reload()
  await settled(page)
  expect(await worth(page)).toBe(mended)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => worth(page)).toBe(before)
  await page.getByRole('button', { name: 'Redo' }).click()
  await expect.poll(() => worth(page)).toBe(mended)

  const file = await exported(page)
  await page.getByRole('button', { name: 'Delete' }).click()
  await expect(page.getByText('No chart yet.')).toBeVisible()
  // Nothing brings it back, so it asks.
  await page.getByRole('button', { name: 'Forget for good' }).click()
  await page.getByRole('tooltip').getByRole('button', { name: 'Forget for good' }).click()
  await importText(page, JSON.stringify(file))
  await settled(page)
  expect(await exported(page)).toEqual(file)
  expect(await worth(page)).toBe(mended)
})

test('a loose end takes an answer in five keystrokes from where it is listed', async ({ page }) => {
  await openDemo(page)
  const before = await worth(page)
  await expect(page.getByTestId('loose-end').first()).toContainText('Hitches up and stacks')
  await page.getByTestId('loose-end').first().focus()
  await page.keyboard.press('Enter')
  await expect(page.locator('input[role="combobox"]:focus')).toBeVisible()
  for (const key of ['o', 'p', 'e', 'Enter']) await page.keyboard.press(key)
  await expect.poll(() => worth(page)).not.toBe(before)
  await expect(
    page.getByRole('article', { name: /^Armbar from mount/ }).getByRole('link', { name: 'Open it standing' }),
  ).toBeVisible()
})

test('every figure opens to terms that sum to it', async ({ page }) => {
  await openDemo(page)
  await page.getByRole('link', { name: 'Worksheet' }).click()
  const names = [
    /^Worth of Underhook/,
    /^Worth of Shoot the high crotch/,
    /^Net of Buries the head/,
    /^Worth once they: Buries/,
  ]
  for (const name of names) {
    const figure = page.getByRole('region', { name: 'Underhook, head clear' }).getByRole('button', { name }).first()
    const finer = (await figure.getAttribute('data-tip'))!.match(/(−?\d+\.\d+)$/)![1]
    await figure.click()
    const dialog = page.getByRole('dialog', { name: /made of/ })
    await expect(dialog.locator('tfoot td').last()).toHaveText(finer)
    const adds = await dialog.locator('tbody tr td:last-child').allTextContents()
    const sum = adds.reduce((total, text) => total + Number(text.replace('−', '-')), 0)
    expect(Math.abs(sum - Number(finer.replace('−', '-')))).toBeLessThan(0.005 * (adds.length + 1))
    await page.keyboard.press('Escape')
    await expect(dialog).toBeHidden()
  }
})

test('an empty chart is useful after three entries', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Start an empty chart' }).click()
  await page.getByLabel('Search or name a position').fill('Side control')
  await page.keyboard.press('Enter')
  await page.getByLabel('Say a move in a line').fill('Americana (finish): 3 land; 4 turns in (turtle) > ?; 3 nothing')
  await page.keyboard.press('Enter')
  await expect(page.getByText('no answer yet')).toBeVisible()
  const before = await worth(page)
  await page.getByRole('button', { name: 'Answer Turns in' }).click()
  await page.keyboard.type('Take the back')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('link', { name: 'Take the back' })).toBeVisible()
  await expect.poll(() => worth(page)).not.toBe('')
  expect(before).toMatch(/\d/)
})
