import { expect, test } from '@playwright/test'
import { choose, openDemoClub, openScenario, worth } from './coach'

test('who plays against whom changes the figures, says why, and goes back to nobody in particular', async ({
  page,
}) => {
  await openDemoClub(page)
  await page.goto('/#/people?person=mirek&part=sheet')
  const name = 'Mirek'
  const traits = page.getByRole('region', { name: 'Against the usual in the group' })
  await choose(page, traits.getByRole('combobox', { name: 'legs, length' }), 'much more')
  await page.goto('/#/desk')
  const usual = await worth(page)
  const drawer = await openScenario(page)
  const against = drawer.getByRole('region', { name: 'Who against whom' })
  await choose(page, against.getByRole('combobox', { name: 'Us' }), name)
  await expect(against.getByRole('list', { name: 'What these two change' })).toContainText(
    /lands [\d.]+ of ten, usually [\d.]+\./,
  )
  await expect.poll(() => worth(page)).not.toBe(usual)
  await expect(against.getByRole('region', { name: 'What the plan does otherwise' })).toContainText(/In .+ instead of/)
  await expect(page.getByTestId('scenario').filter({ hasText: `${name} against somebody` })).toBeVisible()
  await choose(page, against.getByRole('combobox', { name: 'Us' }), 'nobody in particular')
  await expect.poll(() => worth(page)).toBe(usual)
})
