import AxeBuilder from '@axe-core/playwright'
import { expect, test } from '@playwright/test'
import { exported, openDemo, refusal, settled, tick, worth } from './coach'

test('rules in force move the number, score the plan and grey what they do not allow', async ({ page }) => {
  await openDemo(page)
  const free = await worth(page)
  await page.getByRole('link', { name: 'Rules' }).click()
  const juniors = page.getByRole('listitem').filter({ hasText: 'Juniors' })
  await expect(juniors).toContainText(/[−-]\d/)
  await tick(juniors.getByRole('radio'))
  await expect.poll(() => worth(page)).not.toBe(free)
  await expect(page.getByTestId('points')).toContainText(/\d\.\d : \d\.\d/)
  const table = page.getByRole('region', { name: 'Expected points' })
  await expect(table.getByRole('row', { name: /^takedown/ })).toContainText(/0\.\d\d/)
  await page.getByRole('region', { name: 'Out of this chart' }).getByRole('link').first().click()
  await expect(page.getByText(/^not allowed, Juniors/).first()).toBeVisible()
})

test('a set is copied, changed and kept in the file, and points follow', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/rules')
  await page.getByRole('button', { name: /^Gi, points/ }).click()
  await page.getByRole('button', { name: 'Copy to change' }).click()
  const sheet = page.getByRole('region', { name: 'Gi, points, copy' })
  await sheet.getByRole('button', { name: 'Plan under these' }).click()
  const points = page.getByTestId('points')
  await expect(points).toContainText(/\d/)
  const before = await points.textContent()
  await sheet.getByLabel('Points for takedown').fill('20')
  await sheet.getByLabel('Points for takedown').press('Enter')
  await expect(points).not.toHaveText(before!)
  await sheet.getByLabel('Points for mount').fill('many')
  await sheet.getByLabel('Points for mount').press('Enter')
  await expect(refusal(page)).toContainText('points, each from 0 to 99')
  await tick(sheet.getByLabel('armlocks'))
  await settled(page)
  const file = (await exported(page)) as { settings: { ruleSets: object[]; scenario: object } }
  expect(file.settings.ruleSets).toEqual([
    expect.objectContaining({
      name: 'Gi, points, copy',
      points: expect.objectContaining({ takedown: 20, mount: 4 }),
      forbids: expect.arrayContaining(['armlock']),
    }),
  ])
  expect(file.settings.scenario).toMatchObject({ rules: 'gi-points-copy', seconds: 360 })
})

test('what must be held first, hold-downs and time on the ground are set, and the points and the worth follow', async ({
  page,
}) => {
  await openDemo(page)
  await page.goto('/#/rules')
  await page.getByRole('button', { name: /^Judo/ }).click()
  await page.getByRole('button', { name: 'Copy to change' }).click()
  const sheet = page.getByRole('region', { name: 'Judo, copy' })
  await sheet.getByRole('button', { name: 'Plan under these' }).click()
  const table = page.getByRole('region', { name: 'Expected points' })
  await expect(table.getByRole('row', { name: /^held down for 10 s/ })).toContainText(/0\.\d\d/)
  const set = async (label: string, value: string) => {
    await sheet.getByLabel(label).fill(value)
    await sheet.getByLabel(label).press('Enter')
  }
  const thrown = table.getByRole('row', { name: /^takedown/ })
  const before = await thrown.textContent()
  await set('Seconds for which it must be held before it counts', '20')
  await expect(thrown).not.toHaveText(before!)
  await sheet.getByRole('button', { name: 'Add a hold-down' }).click()
  await expect(table.getByRole('row', { name: /^held down for 40 s/ })).toBeVisible()
  await set('Points for hold-down 1', '0')
  await expect(table.getByRole('row', { name: /^held down for 10 s/ })).toBeHidden()
  const hurried = await worth(page)
  await set('Mean seconds until the referee stands them up', '0')
  await expect.poll(() => worth(page)).not.toBe(hurried)
  const file = (await exported(page)) as { settings: { ruleSets: object[] } }
  expect(file.settings.ruleSets[0]).toMatchObject({
    heldFor: 20,
    holdDown: [
      { seconds: 20, points: 5 },
      { seconds: 40, points: 5 },
    ],
  })
  expect(file.settings.ruleSets[0]).not.toHaveProperty('stoodUp')
})

test('strikes say what they change where it is met, and the screen is sound', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/rules')
  await tick(page.getByRole('listitem').filter({ hasText: 'Strikes allowed' }).getByRole('radio'))
  await page.getByRole('button', { name: /^Strikes allowed/ }).click()
  await expect(page.getByRole('region', { name: 'What strikes change' })).toContainText('leaves the head open')
  const found = await new AxeBuilder({ page }).analyze()
  expect(found.violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([])
  await page.goto('/#/worksheet/side-control-head-and-far-arm')
  await expect(page.getByText('leaves the head open').first()).toBeVisible()
})
