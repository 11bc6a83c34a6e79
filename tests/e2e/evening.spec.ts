import { expect, test } from '@playwright/test'
import { openDemo, openScenario, settled, tick, worth } from './coach'

test('a coach’s evening: forty seconds left and someone who always turns in, from the plan to the printed sheet', async ({
  page,
}) => {
  await openDemo(page)
  await page.evaluate(() => (window.print = () => document.documentElement.setAttribute('data-printed', 'yes')))

  // Forty seconds left, from the flank of their turtle.
  await openScenario(page)
  await page.getByRole('combobox', { name: 'Start' }).fill('Turtle, at the flank')
  await page.getByRole('option', { name: 'Turtle, at the flank' }).click()
  await page.getByLabel('Clock', { exact: true }).fill('0:40')
  await page.getByLabel('Clock', { exact: true }).press('Enter')
  await page.keyboard.press('Escape')
  await settled(page)
  const usual = await worth(page)

  // He always turns in: what would that be worth, and then plan for it.
  await page.getByRole('link', { name: 'Runs' }).click()
  await page.getByRole('link', { name: 'What if' }).click()
  const what = page.getByRole('region', { name: 'What if' })
  await what.getByRole('combobox', { name: 'What they use' }).fill('turns in under')
  await page
    .getByRole('option', { name: /^Turns in under us/ })
    .first()
    .click()
  await expect(what.locator('.said')).toContainText(/^\s*Then the start is worth [\d.]+ against [\d.]+/)
  await what.getByRole('button', { name: 'Plan for this' }).click()
  await expect.poll(() => worth(page)).not.toBe(usual)
  await expect(page.getByRole('navigation', { name: 'Screens' }).getByRole('button', { name: 'Undo' })).toHaveAttribute(
    'data-tip',
    /supposed/,
  )

  // The plan, said.
  await page.getByRole('link', { name: 'The chain, said' }).click()
  await expect(page.locator('#told-1')).toContainText('whatever you see, clock the collar')
  await expect(page.locator('#told-2')).toContainText(
    'If they turn in under us (seven times of ten), go for the cross-face and pass',
  )
  await expect(page.getByRole('region', { name: 'When to give it up' }).getByRole('listitem').first()).toContainText(
    'goes wrong',
  )

  // How sure that is: watched, and not given up.
  await page.getByRole('button', { name: 'How sure?' }).click()
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible()
  await expect(page.getByText(/^\d+ to \d+$/)).toBeVisible()

  // How they would beat it, and the repair.
  await page.getByRole('link', { name: 'How they would beat us' }).click()
  const beat = page.getByRole('region', { name: 'How they would beat us' })
  await expect(beat.locator('.said')).toContainText('First they close the guard twice as often')
  await expect(beat.locator('.said')).toContainText('drilling “open it standing” brings back')
  const beaten = await worth(page)
  await beat.getByRole('link', { name: 'Repair it on the Worksheet' }).click()
  const lands = page.getByRole('spinbutton', { name: 'Open it standing: lands' })
  await lands.focus()
  await lands.press('ArrowRight')
  await expect.poll(() => worth(page)).not.toBe(beaten)
  const repaired = await worth(page)
  expect(Number.parseFloat(repaired)).toBeGreaterThan(Number.parseFloat(beaten))

  // A round of what still leaks, tallied on the mat.
  await page.getByRole('link', { name: 'Desk' }).click()
  await page
    .getByRole('region', { name: 'What costs us most' })
    .getByRole('button', { name: /^A round of Closes the guard/ })
    .click()
  const card = page.getByRole('article', { name: 'Closes the guard: what now?' })
  await expect(card).toContainText('Tap early, apply slowly, release at once.')
  for (let i = 0; i < 4; i++) await card.getByRole('button', { name: /^It worked/ }).click()
  await card.getByRole('button', { name: /^It did not/ }).click()
  await expect(card.getByRole('button', { name: 'It worked 4' })).toBeVisible()
  await expect.poll(() => worth(page)).not.toBe(repaired)

  // The run is pinned, and the sheet printed.
  await page.getByRole('link', { name: 'The chain, said' }).click()
  await page.getByRole('button', { name: 'Keep as a run' }).click()
  await page.getByRole('link', { name: 'Side by side' }).click()
  const side = page.getByRole('region', { name: 'Runs side by side' })
  await tick(side.getByRole('checkbox', { name: 'From Turtle, at the flank' }))
  const pinned = side
    .getByRole('article')
    .filter({ has: page.getByRole('heading', { name: 'From Turtle, at the flank' }) })
  await expect(pinned).toContainText('Clock the collar')
  await expect(pinned).toContainText(/let go|loses the position/)
  await page.getByRole('link', { name: 'The chain, said' }).click()
  await page.getByRole('button', { name: 'Print' }).click()
  await expect(page.locator('html')).toHaveAttribute('data-printed', 'yes')
  await page.emulateMedia({ media: 'print' })
  const sheet = page.locator('.right')
  await expect(sheet).toContainText('0:40')
  await expect(sheet).toContainText('If they turn in under us')
  await expect(sheet.getByRole('list', { name: 'Cautions' })).toContainText('Tap early')

  // It is all kept.
  await page.emulateMedia({ media: 'screen' })
  const kept = await worth(page)
  await page.reload()
  await expect.poll(() => worth(page)).toBe(kept)
})
