import { readFileSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import { choose, openDemo, openScenario } from './coach'

test('the plan climbs on the Slope: a move is pressed, its fork stands alone, and leads to the Worksheet', async ({
  page,
}) => {
  await openDemo(page)
  await page.getByRole('link', { name: 'Slope' }).click()
  const picture = page.getByRole('group', { name: /^Our plan: from left to right/ })
  const highCrotch = picture.getByRole('button', { name: /^Shoot the high crotch: 1\d\d tries in a hundred/ })
  await expect(highCrotch).toBeVisible()
  // Higher is worth more: side control stands above the underhook, and what is worth 100 above both.
  const topOf = async (name: string) => (await picture.getByText(name, { exact: true }).first().boundingBox())!.y
  expect(await topOf('Side control, hips low')).toBeLessThan(await topOf('Underhook,'))
  expect(await topOf('100')).toBeLessThan(await topOf('Side control, hips low'))
  // A leak stands below where it happens, with what it costs.
  await expect(picture.getByText(/Sprawls on us −0\.\d/)).toBeVisible()
  expect(await topOf('Underhook,')).toBeLessThan((await picture.getByText(/Sprawls on us −/).boundingBox())!.y)

  await highCrotch.focus()
  await page.keyboard.press('Enter')
  const card = page.getByRole('complementary', { name: 'Shoot the high crotch' })
  await expect(card.getByRole('listitem').first()).toContainText('Sprawls on us: ')
  await expect(card.getByRole('listitem').first()).toContainText('We answer: Hip-sit to guard.')
  await expect(picture.getByText(/^Step across and lift/)).toHaveCount(0)
  await card.getByRole('button', { name: 'Open its fork' }).click()
  await expect(page.getByRole('article', { name: /^Shoot the high crotch/ })).toBeVisible()
})

test('the picture follows the plan: under rules without finishes it has no bar of a finish', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/slope')
  const picture = page.getByRole('group', { name: /^Our plan/ })
  await expect(picture.getByText(/^\s*Step-around armbar\s+1\d/)).toBeVisible()
  const rules = (await openScenario(page)).getByRole('combobox', { name: 'Rules' })
  await choose(page, rules, 'Juniors: positions only')
  await expect(picture.getByText(/Step-around armbar/)).toHaveCount(0)
  await expect(picture.getByText('Side control, hips low')).toBeVisible()
})

test('on a phone the climb is told step by step', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await openDemo(page)
  await page.goto('/#/slope')
  const steps = page.getByRole('list', { name: 'Our plan, step by step' })
  await expect(steps.getByRole('listitem').first()).toContainText('Underhook, head clear')
  await steps.getByRole('button', { name: /^Shoot the high crotch: / }).click()
  await expect(steps.getByRole('listitem').filter({ hasText: /^Sprawls on us: / })).toContainText('We answer')
})

test('the plan is seen from the other chair, and in a scenario laid over it', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/slope')
  const picture = page.getByRole('group', { name: /^Our plan: from left to right/ })
  await expect(picture.getByText('Side control, hips low')).toBeVisible()
  await choose(page, page.getByRole('combobox', { name: 'Laid over it, in outlines' }), 'If they see it coming 90 %')
  // Each ledge says how much less it is worth then.
  await expect(picture.getByText(/^\s*36\s+−\d/)).toBeVisible()
  await expect(page.getByText('In outlines: If they see it coming 90 %')).toBeVisible()

  await page.getByRole('radiogroup', { name: 'From whose chair' }).getByText('From theirs').click()
  await expect(page.getByText(/^Their best way through us: they sprawl on us twice as often/)).toBeVisible()
  const theirs = page.getByRole('group', { name: /^Their best way through us: what we try/ })
  await expect(theirs.getByText('They end ahead')).toBeVisible()
  await expect(theirs.getByText(/^\s*We finish\s+\d/)).toBeVisible()
  await theirs.getByRole('button', { name: /^Sprawls on us against Shoot the high crotch: / }).press('Enter')
  await expect(page.getByRole('complementary', { name: 'Shoot the high crotch' })).toContainText('Sprawls on us: ')
})

test('after a change the plan moves, and for a moment the old one stays with the difference', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/slope')
  const picture = page.getByRole('group', { name: /^Our plan: from left to right/ })
  await expect(picture.getByText(/^\s*36\s*$/)).toBeVisible()
  const rules = (await openScenario(page)).getByRole('combobox', { name: 'Rules' })
  await choose(page, rules, 'Juniors: positions only')
  await expect(page.getByText('In outlines: before the change')).toBeVisible()
  await expect(picture.getByText(/^\s*\d+\s+−\d/).first()).toBeVisible()
  await expect(page.getByText('In outlines: before the change')).toBeHidden({ timeout: 10_000 })
})

test('the plan is saved as a picture that says what it is, and prints on one page', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/slope')
  await expect(page.getByRole('group', { name: /^Our plan: from left to right/ })).toBeVisible()
  const save = async (kind: string) => {
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Save or print the picture' }).click()
    await page.getByRole('menuitem', { name: kind }).click()
    return readFileSync(await (await download).path())
  }
  const svg = (await save('Save as SVG')).toString()
  expect(svg).not.toMatch(/class=|var\(--/)
  const says = await page.evaluate((text) => {
    const root = new DOMParser().parseFromString(text, 'image/svg+xml')
    return [...root.querySelectorAll('text')].map((one) => one.textContent?.replace(/\s+/g, ' ').trim())
  }, svg)
  expect(says).toContain('Side control, hips low')
  expect(says).toContain('they do something that costs us')
  expect(says.some((text) => /from Underhook, head clear · 4:00 · .* \d{4}$/.test(text ?? ''))).toBe(true)
  expect((await save('Save as PNG')).subarray(1, 4).toString()).toBe('PNG')

  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1')
  expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(1)
  await page.emulateMedia({ media: 'print' })
  // Names of 15 px in a picture that is drawn for an A4 page across are 9 points or more.
  const scale = await page.evaluate(() => {
    const picture = document.querySelector<SVGSVGElement>('svg.climb')!
    return picture.getBoundingClientRect().width / picture.viewBox.baseVal.width
  })
  expect(15 * scale * 0.75).toBeGreaterThanOrEqual(9)
})

test('another chart is laid over the plan', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/charts')
  await page.getByRole('button', { name: 'Duplicate' }).first().click()
  await page.goto('/#/slope')
  await page.getByRole('combobox', { name: 'Laid over it, in outlines' }).click({ force: true })
  await page
    .getByRole('option', { name: /^Chart: / })
    .first()
    .click()
  await expect(page.getByText(/^In outlines: Chart: /)).toBeVisible()
  await expect(page.locator('.outlines rect').first()).toBeVisible()
})
