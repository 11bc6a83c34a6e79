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
