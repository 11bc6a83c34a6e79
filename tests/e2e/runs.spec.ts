import { expect, test } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { choose, openDemo, openScenario, refusal, settled, tick, worth } from './coach'

test('the chain is said from the start, followed by its numbers, saved and printed', async ({ page }) => {
  await openDemo(page)
  await page.getByRole('link', { name: 'Runs' }).click()
  const chain = page.getByRole('region', { name: 'The chain, said' })
  await expect(chain.getByRole('heading', { level: 1 })).toHaveText('The chain from Underhook, head clear')
  await expect(chain.locator('#told-1')).toContainText(
    'From underhook, head clear, shoot the high crotch. Four times of ten it lands',
  )
  const paragraphs = chain.getByRole('article')
  const few = await paragraphs.count()
  await choose(page, chain.getByRole('combobox', { name: 'How much is told' }), 'what happens 6 times of ten')
  await expect.poll(() => paragraphs.count()).toBeLessThan(few)
  await chain.locator('#told-1').getByRole('link', { name: '(2)' }).click()
  await expect(chain.locator('#told-2')).toBeInViewport()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    chain.getByRole('button', { name: /Markdown/ }).click(),
  ])
  const text = readFileSync(await file.path(), 'utf8')
  expect(text).toContain('# The chain from Underhook, head clear')
  expect(text).toContain('something breaks it up after about 120 s')
  expect(text).toContain('Tap early, apply slowly, release at once.')
  await page.evaluate(() => (window.print = () => document.documentElement.setAttribute('data-printed', 'yes')))
  await chain.getByRole('button', { name: 'Print' }).click()
  await expect(page.locator('html')).toHaveAttribute('data-printed', 'yes')
  await page.emulateMedia({ media: 'print' })
  const sheet = page.locator('.right')
  await expect(sheet).toContainText('shoot the high crotch')
  await expect(sheet.getByRole('list', { name: 'Cautions' })).toContainText('Tap early')
})

test('the chain follows the plan: another answer is another sentence, and another start another chain', async ({
  page,
}) => {
  await openDemo(page)
  await page.goto('/#/runs')
  const chain = page.getByRole('region', { name: 'The chain, said' })
  const startFrom = async (name: string) => {
    await chain.getByLabel('Told from').fill(name)
    await page.getByRole('option', { name }).click()
    await expect(chain.getByRole('heading', { level: 1 })).toHaveText(`The chain from ${name}`)
  }
  await startFrom('Standing, open hands')
  await choose(page, chain.getByRole('combobox', { name: 'How much is told' }), 'what happens 9 times of ten')
  await expect(chain).toContainText('If they step around (three times of ten), we have no answer yet')
  await page.goto('/#/worksheet/underhook-head-clear?move=snap-from-the-underhook&reaction=steps-around&answer=1')
  await expect(page.getByRole('combobox', { name: 'Answer to Steps around' })).toBeFocused()
  await page.keyboard.type('snap the head')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('link', { name: 'Snap the head down' }).first()).toBeVisible()
  await settled(page)
  await page.goto('/#/runs')
  await startFrom('Standing, open hands')
  await choose(page, chain.getByRole('combobox', { name: 'How much is told' }), 'what happens 9 times of ten')
  await expect(chain).toContainText(/If they step around \([^)]+\), snap the head down/)
  await startFrom('Knee on belly')
  await expect(chain.locator('#told-1')).toContainText('From knee on belly,')
})

test('they beat us in five sentences, and once it is repaired they have to look for another way', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/runs/beat')
  const panel = page.getByRole('region', { name: 'How they would beat us' })
  await expect(panel.getByText(/^First they .* twice as often .*With all of it the start is worth/)).toBeVisible()
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
  await expect(panel.locator('.said')).toBeVisible()
  await expect(panel.locator('.said')).not.toHaveText(before!)
})

test('from a leak to a round: the card is made, tallied, and the leak’s number moves; undo takes it back', async ({
  page,
}) => {
  await openDemo(page)
  const before = await worth(page)
  await page
    .getByRole('region', { name: 'What costs us most' })
    .getByRole('button', { name: 'A round of Sprawls on us' })
    .click()
  const card = page.getByRole('article', { name: 'Sprawls on us: what now?' })
  await expect(card).toContainText('They sprawl on us; nothing else.')
  await expect(card).toContainText('Tap early, apply slowly, release at once.')
  const net = await card.getByRole('button', { name: /^Net of/ }).getAttribute('data-tip')
  for (let i = 0; i < 3; i++) await card.getByRole('button', { name: /^It worked/ }).click()
  await expect(card.getByRole('button', { name: 'It worked 3' })).toBeVisible()
  await expect.poll(() => worth(page)).not.toBe(before)
  await expect(card.getByRole('button', { name: /^Net of/ })).not.toHaveAttribute('data-tip', net!)
  for (let i = 0; i < 3; i++)
    await page.getByRole('navigation', { name: 'Screens' }).getByRole('button', { name: 'Undo' }).click()
  await expect(card.getByRole('button', { name: 'It worked 0' })).toBeVisible()
  await expect.poll(() => worth(page)).toBe(before)
  await tick(card.getByLabel('position only, no finish'))
  await card.getByLabel('Seconds of a round').fill('2')
  await card.getByLabel('Seconds of a round').press('Enter')
  await expect(refusal(page)).toContainText('from 5 to 600 seconds')
  await page.goto('/#/desk')
  await page
    .getByRole('region', { name: 'What costs us most' })
    .getByRole('button', { name: 'A round of Hitches up and stacks' })
    .click()
  await expect(
    page
      .getByRole('article', { name: 'Hitches up and stacks: what now?' })
      .getByRole('link', { name: 'Name the answer' }),
  ).toBeVisible()
  await page.evaluate(() => (window.print = () => undefined))
  await page.getByRole('button', { name: 'Print, four to a page' }).click()
  await page.emulateMedia({ media: 'print' })
  await expect(page.locator('.right')).toContainText('worked □□□□□')
  await expect(page.locator('.card').getByRole('button', { name: /Remove|It worked/ })).toHaveCount(0)
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
    panel.getByText(/^Then the start is worth [\d.]+ against [\d.]+: of a hundred exchanges we finish/),
  ).toBeVisible()
  const first = panel.locator('.said')
  const twice = await first.textContent()
  await choose(page, panel.getByRole('combobox', { name: 'What we cannot use' }), 'right hand')
  await expect(first).not.toHaveText(twice!)
  await panel.getByRole('button', { name: 'As it is' }).click()
  await expect(panel).toContainText('nothing of it changes the chart')
  expect(await worth(page)).toBe(before)
  const depends = page.getByRole('region', { name: 'What the start depends on' })
  await expect(depends.getByRole('row', { name: /Step across and lift lands 3 of ten/ })).toContainText(/[+−]\d/)
})

test('runs stand side by side with what sets them apart, one kept from the chain, with notes', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/runs')
  await page.getByRole('button', { name: 'Keep as a run' }).click()
  await page.getByRole('link', { name: 'Side by side' }).click()
  const side = page.getByRole('region', { name: 'Runs side by side' })
  await tick(side.getByRole('checkbox', { name: 'From Underhook, head clear' }))
  const names = side.getByRole('article').getByRole('heading')
  await expect(names).toHaveCount(3)
  await tick(side.getByRole('checkbox', { name: 'Both arms by the legs, with the roll' }), false)
  await expect(names).toHaveText(['Two arms trapped, then the choke', 'From Underhook, head clear'])
  await expect(side.getByText(/begins where it is worth \d+ more than where/)).toBeVisible()
  await side.getByRole('button', { name: 'Notes on From Underhook, head clear' }).click()
  await page.keyboard.type('against wrestlers')
  await page.keyboard.press('Control+Enter')
  await page.getByRole('heading', { level: 1 }).click()
  await settled(page)
  await page.reload()
  await tick(side.getByRole('checkbox', { name: 'From Underhook, head clear' }))
  await expect(page.getByText('against wrestlers')).toBeVisible()
})

test('a limit on ending behind is searched, and said with what the safer plan does otherwise', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/runs/what-if')
  const limit = page.getByRole('region', { name: 'Never risk more than' })
  await limit.getByLabel('Of a hundred exchanges, ending behind').fill('90')
  await limit.getByLabel('Of a hundred exchanges, ending behind').press('Enter')
  await expect(limit).toContainText('The plan keeps that already')
  await limit.getByLabel('Of a hundred exchanges, ending behind').fill('2')
  await limit.getByLabel('Of a hundred exchanges, ending behind').press('Enter')
  await expect(limit).toContainText(/It can be kept: 2(\.0)? of a hundred end behind or caught instead of \d/)
  await expect(limit.getByRole('listitem').first()).toHaveText(/^[A-Z].+: .+ times in a hundred, now .+\.$/)
})

test('moves may be only shown: the plan picks one, the chain says what it should draw, and a move can be kept from it', async ({
  page,
}) => {
  await openDemo(page)
  const before = await worth(page)
  await page.goto('/#/runs/what-if')
  const commit = page.getByRole('region', { name: 'How hard to commit' })
  await expect(commit).toContainText(/It would be worth [\d.]+ in a hundred/)
  await tick(commit.getByLabel('Where it is worth more, we only show a move'))
  await expect.poll(() => worth(page)).not.toBe(before)
  await expect(commit.getByRole('list', { name: 'What is only shown' })).toContainText(/ is shown about once in/)
  await commit.getByLabel('Only shown, they react: times').fill('many')
  await commit.getByLabel('Only shown, they react: times').press('Enter')
  await expect(page.getByTestId('message')).toContainText('A factor from 0 to 10')
  const shown = await worth(page)
  await commit.getByLabel('Only shown, they react: times').fill('1.5')
  await commit.getByLabel('Only shown, they react: times').press('Enter')
  await expect.poll(() => worth(page)).not.toBe(shown)
  await page.getByRole('link', { name: 'The chain, said' }).click()
  await choose(page, page.getByRole('combobox', { name: 'How much is told' }), 'what happens 9 times of ten')
  await expect(page.getByText(/only begin to spin behind and expect that they follow and face us/)).toBeVisible()
  await expect(page.getByText(/If they follow and face us \(.+\), commit to the arm-in choke/)).toBeVisible()
  await page.goto('/#/worksheet/front-headlock-knees-down?move=spin-behind')
  await page.getByText('Only shown: as usual').click()
  await tick(page.getByLabel('it cannot be shown'))
  await page.goto('/#/runs/what-if')
  await expect(commit.getByText(/Spin behind/)).toHaveCount(0)
})

test('the match says by clock and score what it is worth, and that one plays otherwise behind than ahead', async ({
  page,
}) => {
  await openDemo(page)
  await page.goto('/#/runs/match')
  await expect(page.getByText('No rules that score are chosen')).toBeVisible()
  const drawer = await openScenario(page)
  await choose(page, drawer.getByRole('combobox', { name: 'Rules' }), 'Gi, points')
  const match = page.getByRole('region', { name: 'The match' })
  await expect(match.getByRole('row')).toHaveCount(6)
  await expect(match).toContainText('With 0:40 left: two behind, shoot the high crotch; two ahead, hold still.')
  // Two ahead with ten seconds to go it is as good as won.
  await expect(match.getByRole('row', { name: /^0:10/ }).getByRole('cell').nth(3)).toContainText('100')
})

test('a scenario asks for the match: the score and the clock are set, and the Desk says what the score changes', async ({
  page,
}) => {
  await openDemo(page)
  const drawer = await openScenario(page)
  await choose(page, drawer.getByRole('combobox', { name: 'Rules' }), 'Gi, points')
  const clock = drawer.getByRole('textbox', { name: 'Clock' })
  await clock.fill('0:40')
  await clock.press('Enter')
  await drawer.getByText('Win the match').click()
  const score = drawer.getByRole('textbox', { name: /^Score/ })
  await score.fill('12')
  await score.press('Enter')
  await expect(drawer.getByRole('alert')).toHaveText('Say a whole number from −10 to 10.')
  await score.fill('-2')
  await score.press('Enter')
  await clock.fill('none')
  await clock.press('Enter')
  await expect(drawer.getByRole('alert')).toBeVisible()
  await clock.fill('0:40')
  await clock.press('Enter')
  await page.keyboard.press('Escape')
  await expect(page.getByTestId('scenario')).toContainText('to win, 2 behind')

  const desk = page.getByRole('region', { name: 'What the match is worth' })
  await expect(desk).toContainText('2 behind with 0:40 left, of a hundred matches we win')
  await expect(desk).toContainText('Begin with Shoot the high crotch.')
  const start = desk.getByRole('row', { name: /^In underhook, head clear/ })
  await expect(start.getByRole('cell')).toHaveText(['shoot the high crotch', 'hold still'], { timeout: 150_000 })
  await expect(page.getByRole('region', { name: 'What to drill' }).getByText(/^\+\d/).first()).toBeVisible({
    timeout: 150_000,
  })

  // The same in the table, which is computed for all scores at once.
  const won = await desk.getByRole('button', { name: /The chance to win/ }).innerText()
  await desk.getByRole('link', { name: 'By clock and score' }).click()
  const row = page.getByRole('region', { name: 'The match' }).getByRole('row', { name: /^0:40/ })
  await expect(row.getByRole('cell').nth(1)).toHaveText(new RegExp(`^${won} *shoot the high crotch$`), {
    timeout: 150_000,
  })
})
