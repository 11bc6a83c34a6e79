import { expect, test } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { nothingSerious, openDemo, refusal, settled, worth } from './coach'

test('the chain is said from the start, followed by its numbers, saved and printed', async ({ page }) => {
  await openDemo(page)
  await page.getByRole('link', { name: 'Runs' }).click()
  const chain = page.getByRole('region', { name: 'The chain, said' })
  await expect(chain.getByRole('heading', { level: 1 })).toHaveText('The chain from Underhook, head clear')
  await expect(chain.locator('#told-1')).toContainText(
    'From underhook, head clear, snap from the underhook. Four times of ten it lands',
  )
  const paragraphs = chain.getByRole('article')
  const few = await paragraphs.count()
  await chain.getByLabel('How much is told').selectOption('0.9')
  await expect.poll(() => paragraphs.count()).toBeGreaterThan(few)
  await chain.locator('#told-1').getByRole('link', { name: '(2)' }).click()
  await expect(chain.locator('#told-2')).toBeInViewport()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    chain.getByRole('button', { name: /Markdown/ }).click(),
  ])
  const text = readFileSync(await file.path(), 'utf8')
  expect(text).toContain('# The chain from Underhook, head clear')
  expect(text).toContain('breaks up after 60 s')
  expect(text).toContain('Tap early, apply slowly, release at once.')
  await page.evaluate(() => (window.print = () => document.documentElement.setAttribute('data-printed', 'yes')))
  await chain.getByRole('button', { name: 'Print' }).click()
  await expect(page.locator('html')).toHaveAttribute('data-printed', 'yes')
  await page.emulateMedia({ media: 'print' })
  const sheet = page.locator('.part-print')
  await expect(sheet).toContainText('snap from the underhook')
  await expect(sheet.getByRole('list', { name: 'Cautions' })).toContainText('Tap early')
})

test('the chain follows the plan: another answer is another sentence, and another start another chain', async ({
  page,
}) => {
  await openDemo(page)
  await page.goto('/#/runs')
  const chain = page.getByRole('region', { name: 'The chain, said' })
  await expect(chain.locator('#told-1')).toContainText('we have no answer yet')
  await page.goto('/#/worksheet/underhook-head-clear?move=snap-from-the-underhook&reaction=steps-around&answer=1')
  await expect(page.locator('input:focus')).toBeVisible()
  await page.keyboard.type('snap the head')
  await page.keyboard.press('Enter')
  await settled(page)
  await page.goto('/#/runs')
  await expect(chain.locator('#told-1')).toContainText('If they step around (three times of ten), snap the head down')
  await chain.getByLabel('Told from').fill('Knee on belly')
  await page.getByRole('option', { name: 'Knee on belly' }).click()
  await expect(chain.getByRole('heading', { level: 1 })).toHaveText('The chain from Knee on belly')
  await expect(chain.locator('#told-1')).toContainText('From knee on belly,')
})

test('axe finds nothing serious on Runs, light and dark', async ({ page }) => {
  test.slow()
  await openDemo(page)
  await page.goto('/#/runs')
  await expect(page.locator('#told-2')).toBeVisible()
  await nothingSerious(page)
  await page.goto('/#/runs/what-if')
  await page.getByLabel('Moves may be only shown').check()
  await expect(page.getByRole('list', { name: 'What is only shown' })).toBeVisible({ timeout: 20_000 })
  await nothingSerious(page)
})

test('they beat us in five sentences, and once it is repaired they have to look for another way', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/runs/beat')
  const panel = page.getByRole('region', { name: 'How they would beat us' })
  await expect(panel.getByText(/^First they .* twice as often .*With all of it the start is worth/)).toBeVisible({
    timeout: 20_000,
  })
  await expect(panel.getByRole('listitem')).toHaveCount(3)
  const first = panel.getByRole('listitem').first()
  await first.getByRole('button').click()
  await expect(page.getByText('worth of the start before it', { exact: false })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(panel.getByRole('link', { name: 'Repair it on the Worksheet' })).toHaveAttribute('href', /worksheet/)
  const before = await panel.locator('.said').textContent()
  await page.goto('/#/worksheet/underhook-head-clear?move=snap-from-the-underhook&reaction=steps-around&answer=1')
  await expect(page.locator('input:focus')).toBeVisible()
  await page.keyboard.type('snap the head')
  await page.keyboard.press('Enter')
  await settled(page)
  await expect(page.getByRole('link', { name: 'Snap the head down' }).first()).toBeVisible()
  await page.goto('/#/runs/beat')
  await expect(panel.locator('.said')).toBeVisible({ timeout: 20_000 })
  await expect(panel.locator('.said')).not.toHaveText(before!)
})

test('from a leak to a round: the card is made, tallied, and the leak’s number moves; undo takes it back', async ({
  page,
}) => {
  await openDemo(page)
  const before = await worth(page)
  await page
    .getByRole('region', { name: 'Worst leaks' })
    .getByRole('button', { name: 'A round of Sprawls on us' })
    .click()
  const card = page.getByRole('article', { name: 'Sprawls on us: what now?' })
  await expect(card).toContainText('They sprawl on us; nothing else.')
  await expect(card).toContainText('Tap early, apply slowly, release at once.')
  const net = await card.getByRole('button', { name: /^Net of/ }).getAttribute('title')
  for (let i = 0; i < 3; i++) await card.getByRole('button', { name: /^It worked/ }).click()
  await expect(card.getByRole('button', { name: 'It worked 3' })).toBeVisible()
  await expect.poll(() => worth(page)).not.toBe(before)
  await expect(card.getByRole('button', { name: /^Net of/ })).not.toHaveAttribute('title', net!)
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Undo' }).click()
  await expect(card.getByRole('button', { name: 'It worked 0' })).toBeVisible()
  await expect.poll(() => worth(page)).toBe(before)
  await card.getByLabel('position only, no finish').check()
  await card.getByLabel('Seconds of a round').fill('2')
  await card.getByLabel('Seconds of a round').press('Enter')
  await expect(refusal(page)).toContainText('from 5 to 600 seconds')
  await page.goto('/#/desk')
  await page
    .getByRole('region', { name: 'Loose ends' })
    .getByRole('button', { name: 'A round of Steps around' })
    .click()
  await expect(
    page.getByRole('article', { name: 'Steps around: what now?' }).getByRole('link', { name: 'Name the answer' }),
  ).toBeVisible()
  await page.evaluate(() => (window.print = () => undefined))
  await page.getByRole('button', { name: 'Print, four to a page' }).click()
  await page.emulateMedia({ media: 'print' })
  await expect(page.locator('.part-print')).toContainText('worked □□□□□')
  await expect(page.locator('.part-print').getByRole('button')).toHaveCount(0)
})

test('forty seconds left and someone who always turns in: what if, and what the start depends on', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/runs/what-if')
  const panel = page.getByRole('region', { name: 'What if' })
  await expect(panel).toContainText('nothing of it changes the chart')
  const before = await worth(page)
  await panel.getByLabel('What they use').fill('turns in under')
  await page
    .getByRole('option', { name: /Turns in under us/ })
    .first()
    .click()
  await panel.getByLabel('Left on the clock').fill('0:40')
  await panel.getByLabel('Left on the clock').press('Enter')
  await expect(
    panel.getByText(/^Then the start is worth \d+ instead of \d+: of a hundred exchanges we finish/),
  ).toBeVisible()
  const first = panel.locator('.said')
  const twice = await first.textContent()
  await panel.getByLabel('What we cannot use').selectOption('right-hand')
  await expect(first).not.toHaveText(twice!)
  await panel.getByRole('button', { name: 'As it is' }).click()
  await expect(panel).toContainText('nothing of it changes the chart')
  expect(await worth(page)).toBe(before)
  const depends = page.getByRole('region', { name: 'What the start depends on' })
  await expect(depends.getByRole('row', { name: /Arm-in choke lands 1 of ten/ })).toContainText(/[+−]\d/, {
    timeout: 20_000,
  })
})

test('runs stand side by side with what sets them apart, one kept from the chain, with notes', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/runs')
  await page.getByRole('button', { name: 'Keep as a run' }).click()
  await page.getByRole('link', { name: 'Side by side' }).click()
  const side = page.getByRole('region', { name: 'Runs side by side' })
  await side.getByRole('checkbox', { name: 'From Underhook, head clear' }).check()
  const names = side.getByRole('article').getByRole('heading')
  await expect(names).toHaveCount(3)
  await side.getByRole('checkbox', { name: 'Both arms by the legs, with the roll' }).uncheck()
  await expect(names).toHaveText(['Two arms trapped, then the choke', 'From Underhook, head clear'])
  await expect(side.getByText(/begins where it is worth \d+ more than where/)).toBeVisible()
  await side.getByRole('button', { name: 'Notes on From Underhook, head clear' }).click()
  await page.keyboard.type('against wrestlers')
  await page.keyboard.press('Control+Enter')
  await page.getByRole('heading', { level: 1 }).click()
  await settled(page)
  await page.reload()
  await side.getByRole('checkbox', { name: 'From Underhook, head clear' }).check()
  await expect(page.getByText('against wrestlers')).toBeVisible()
})

test('a limit on ending behind is searched, said and planned', async ({ page }) => {
  await openDemo(page)
  const before = await worth(page)
  await page.goto('/#/runs/what-if')
  const limit = page.getByRole('region', { name: 'Never risk more than' })
  await limit.getByLabel('Of a hundred exchanges, ending behind').fill('90')
  await limit.getByLabel('Of a hundred exchanges, ending behind').press('Enter')
  await expect(limit).toContainText('The plan keeps that already', { timeout: 20_000 })
  await limit.getByLabel('Of a hundred exchanges, ending behind').fill('2')
  await limit.getByLabel('Of a hundred exchanges, ending behind').press('Enter')
  await expect(limit).toContainText(/The plan keeps it once ending behind counts −?-?\d/, {
    timeout: 30_000,
  })
  await limit.getByRole('button', { name: 'Plan so' }).click()
  await expect.poll(() => worth(page)).not.toBe(before)
})

test('moves may be only shown: the plan picks one, the chain says what it should draw, and a move can be kept from it', async ({
  page,
}) => {
  await openDemo(page)
  const before = await worth(page)
  await page.goto('/#/runs/what-if')
  const commit = page.getByRole('region', { name: 'How hard to commit' })
  await expect(commit).toContainText(/It would be worth [\d.]+ in a hundred/, { timeout: 20_000 })
  await commit.getByLabel('Moves may be only shown').check()
  await expect.poll(() => worth(page)).not.toBe(before)
  await expect(commit.getByRole('list', { name: 'What is only shown' })).toContainText(
    /Spin behind is shown \d+ times in 100/,
  )
  await commit.getByLabel('Only shown, they react: times').fill('many')
  await commit.getByLabel('Only shown, they react: times').press('Enter')
  await expect(page.locator('.toast')).toContainText('A factor from 0 to 10')
  const shown = await worth(page)
  await commit.getByLabel('Only shown, they react: times').fill('1.5')
  await commit.getByLabel('Only shown, they react: times').press('Enter')
  await expect.poll(() => worth(page)).not.toBe(shown)
  await page.getByRole('link', { name: 'The chain, said' }).click()
  await page.getByLabel('How much is told').selectOption('0.9')
  await expect(page.getByText(/only begin to spin behind and expect that they follow and face us/)).toBeVisible()
  await expect(page.getByText(/If they follow and face us \(.+\), commit to the arm-in choke/)).toBeVisible()
  await page.goto('/#/worksheet/front-headlock-knees-down?move=spin-behind')
  await page.getByText('Only shown: as usual').click()
  await page.getByLabel('it cannot be shown').check()
  await page.goto('/#/runs/what-if')
  await expect(commit.getByText(/Spin behind/)).toHaveCount(0)
})
