import { expect, test } from '@playwright/test'
import { choose, exported, mirror, openDemo, refusal, settled, tick, worth } from './coach'

test('letting go of a hold reopens an escape, and every number moves', async ({ page }) => {
  await openDemo(page)
  const before = await worth(page)
  await page.getByRole('link', { name: 'Holds' }).click()
  await page.getByRole('navigation', { name: 'Positions' }).getByText('Side control, hips low').click()
  const escapes = page.getByRole('region', { name: 'Their escapes from here' })
  const escape = escapes.getByRole('row').filter({ hasText: 'Frames and hips out' })
  await expect(escape).toContainText('works 5 times of 10')
  const on = page.getByRole('region', { name: 'Holds that are on' })
  await expect(on).toContainText('reopens Frames and hips out')
  await expect(on.getByRole('listitem').filter({ hasText: 'Left knee on the near hip' }).locator('b')).toHaveText(
    /^−\d/,
  )

  await page.getByRole('button', { name: 'Let go of Left knee on the near hip' }).click()
  await expect(escape).toContainText('open')
  await expect(on).not.toContainText('Left knee on the near hip')
  await expect.poll(() => worth(page)).not.toBe(before)
  await page.keyboard.press('Control+z')
  await expect(escape).toContainText('works 5 times of 10')
  await expect.poll(() => worth(page)).toBe(before)

  const pins = page.getByRole('region', { name: 'Arrangements side by side' })
  const turning = pins.getByRole('listitem').filter({ hasText: 'Turns to the knees' })
  await expect(turning).toContainText('Cross-face and underhook')
  await expect(turning).toContainText('Side control, head and far arm')
  await page.evaluate(() => {
    window.print = () => document.body.setAttribute('data-printed', 'yes')
  })
  await page.getByRole('button', { name: 'Print' }).click()
  await page.emulateMedia({ media: 'print' })
  const sheet = page.locator('.right')
  await expect(sheet).toContainText('they see it coming 20 %')
  await expect(sheet.getByText('Cross-face and underhook', { exact: true })).toBeVisible()
  await page.emulateMedia({ media: 'screen' })

  const more = page.getByRole('region', { name: 'One more control' })
  const best = more.getByRole('listitem').first().getByRole('button')
  const name = (await best.textContent())!.trim()
  await best.click()
  await expect(on).toContainText(name)
  await expect(more).toContainText('least is left to them with “')
})

test('a hold is named, given limbs and what it takes, and is worth something on the Worksheet', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/holds/side-control-hips-low')
  await page.getByRole('button', { name: '+ hold' }).click()
  await page.keyboard.type('Cross-face')
  await page.keyboard.press('Enter')
  const detail = page.getByRole('complementary', { name: 'About the hold' })
  await expect(detail).toContainText('ours, in Side control, hips low')
  await tick(detail.getByLabel('left shoulder'))
  await tick(detail.getByLabel('left hand', { exact: true }), false)
  await detail.getByLabel('Takes from: turn away').fill('9')
  await page.keyboard.press('Tab')
  await expect(page.getByRole('region', { name: 'Their shoulders' })).toContainText('works 1 time of 10')
  await expect(detail).toContainText('this hold is worth')

  await page.getByRole('link', { name: 'Turns to the knees' }).click()
  await expect(page).toHaveURL(/worksheet\/side-control-hips-low/)
  await page.getByText('They must: turn away').click()
  await tick(page.getByLabel('bridge', { exact: true }))
  const file = (await exported(page)) as {
    holds: { id: string }[]
    positions: { id: string; holds?: string[] }[]
    reactions: { id: string; uses?: string[] }[]
  }
  expect(file.holds.find(({ id }) => id === 'cross-face')).toEqual({
    ...{ id: 'cross-face', name: 'Cross-face', limbs: ['left-shoulder'] },
    denies: [{ capability: 'turn-away', strength: 0.9 }],
  })
  expect(file.positions.find(({ id }) => id === 'side-control-hips-low')!.holds).toContain('cross-face')
  expect(file.reactions.find(({ id }) => id === 'turns-to-the-knees')!.uses).toEqual(['turn-away', 'bridge'])
})

test('flipped, every left is a right, what is done is kept as charted, and nothing else changes', async ({ page }) => {
  await openDemo(page)
  const before = await exported(page)
  const value = await worth(page)
  await page.goto('/#/holds/side-control-hips-low')
  const on = page.getByRole('region', { name: 'Holds that are on' })
  await expect(on).toContainText('our left knee on the left hip')
  await mirror(page)
  await expect(on).toContainText('our right knee on the right hip')
  await expect(on.getByRole('button', { name: 'Right knee on the near hip', exact: true })).toBeVisible()
  expect(await worth(page)).toBe(value)
  expect(await exported(page)).toEqual(before)

  await page.goto('/#/holds/side-control-hips-low?hold=left-knee-on-the-near-hip')
  await tick(page.getByLabel('right foot', { exact: true }))
  await mirror(page)
  await expect(on).toContainText('our left knee, our left foot on the left hip')
  await page.keyboard.press('Control+z')
  await expect(on).toContainText('our left knee on the left hip')
  await settled(page)
  await page.reload()
  await expect(on).toContainText('our left knee on the left hip')
})

test('the frame gives limbs their words, and a move says what it does to the sides', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/holds/back-top-arm-trapped')
  const on = page.getByRole('region', { name: 'Holds that are on' })
  await expect(on).toContainText('top knee')
  await choose(page, page.getByRole('combobox', { name: 'which side is on the mat' }), 'right')
  await expect(on).toContainText('bottom knee')
  await choose(page, page.getByRole('combobox', { name: 'which side is on the mat' }), 'not said')
  await expect(on).not.toContainText('bottom knee')
  await choose(page, page.getByRole('combobox', { name: 'Which picture' }), 'mount')
  await expect(page.getByLabel('which side is on the mat')).toHaveCount(0)
  await page.keyboard.press('Control+z')

  await page.goto('/#/worksheet/back-seatbelt-on?move=top-leg-over-the-top-arm')
  const detail = page.getByRole('complementary', { name: 'About it' })
  await expect(detail.getByText('What it does to the sides')).toBeVisible()
  await tick(detail.getByLabel('swaps which arm is over'))
  await expect(detail).toContainText('left after this move, right where it lands')
  await tick(detail.getByLabel('swaps which arm is over'), false)
  await expect(detail).not.toContainText('where it lands')
})

test('a trap is added on the Worksheet, and one that one limb cannot do is refused', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/worksheet/back-seatbelt-on?move=roll-to-the-over-side')
  const detail = page.getByRole('complementary', { name: 'About it' })
  await detail.getByText('Holds: none').click()
  const figure = page.locator('[data-row="roll-to-the-over-side"]').getByRole('button', { name: /worth/i }).first()
  const before = await figure.getAttribute('data-tip')
  await choose(page, detail.getByRole('combobox', { name: 'A hold that it puts on' }), 'Left hand on their left wrist')
  await expect(detail).toContainText('puts on Left hand on their left wrist')
  await expect(figure).not.toHaveAttribute('data-tip', before!)
  await choose(page, detail.getByRole('combobox', { name: 'A hold that it puts on' }), 'Left hand behind their head')
  await expect(refusal(page)).toContainText('take the same limb')
  await detail.getByRole('button', { name: 'No longer puts on: Left hand on their left wrist' }).click()
  await expect(figure).toHaveAttribute('data-tip', before!)
})
