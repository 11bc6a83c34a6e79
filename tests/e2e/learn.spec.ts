import { expect, test, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { choose, openDemo, openDemoClub, openScenario } from './coach'

/** Opens the demo club with nothing on the mats. */
async function openClub(page: Page) {
  await openDemo(page)
  await page.goto('/#/sessions')
  await page.getByRole('button', { name: 'Open the demo club' }).click()
  await expect(page.getByRole('heading', { name: 'The flank of the turtle' })).toBeVisible()
}

test('a page of somebody has what they have had, on whom, and nobody else', async ({ page }) => {
  await openClub(page)
  await page.goto('/#/people?person=odile&part=sheet')
  await page.getByRole('link', { name: 'A page to show to Odile' }).click()
  const sheet = page.getByRole('region', { name: 'Page of Odile' })
  const row = sheet.getByRole('row', { name: /^Cross-face and underhook/ })
  // By hand from the demo club: her live tries of it in rounds.
  const demo = JSON.parse(readFileSync('demo/tern-street.ataque-club.json', 'utf8'))
  const own = demo.tries.filter(
    (one: Record<string, unknown>) => one.us === 'odile' && one.move === 'cross-face-and-underhook' && !one.isPartial,
  )
  const landed = own.filter((one: Record<string, unknown>) => one.outcome === 'lands').length
  await expect(row).toContainText(`${landed} of ${own.length}`)
  await expect(row).toContainText(/\d+ tries, \d+ on heavier ones/)
  const text = await sheet.innerText()
  for (const { name } of demo.people.filter(({ id }: { id: string }) => id !== 'odile'))
    expect(text).not.toContain(name)
})

test('the page of a minor has no figures of what landed', async ({ page }) => {
  await openClub(page)
  await page.goto('/#/people/page?person=pl')
  const sheet = page.getByRole('region', { name: 'Page of P. L.' })
  await expect(sheet.getByText('has landed').first()).toBeVisible()
  expect(await sheet.innerText()).not.toMatch(/\d+ of \d+|%|tries on|\d+ tries/)
})

test('what a rival always does is written down in words, changes the worth against them, and what we have for it', async ({
  page,
}) => {
  await openClub(page)
  await page.goto('/#/people/rivals')
  await page.getByRole('textbox', { name: 'New rival' }).fill('The quiet one')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  const sheet = page.getByRole('region', { name: 'The quiet one' })
  await expect(sheet.getByText('Usually')).toContainText('0.')
  await sheet.getByRole('textbox', { name: 'What they always do' }).fill('turns in under us every time')
  await sheet.getByRole('button', { name: 'Write it down' }).click()
  const row = sheet.getByRole('row', { name: /^Turns in under us/ })
  await expect(row).toContainText('always, as written down')
  await expect(row).toContainText(/Cross-face and pass, [\d.]+ of ten/)
  await expect(sheet.getByText('Usually')).toContainText(/[+−]\d/)
  await sheet.getByRole('textbox', { name: 'What they always do' }).fill('breathes loudly')
  await sheet.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText('it is kept as a note')).toBeVisible()
  await expect(sheet.getByText('breathes loudly')).toBeVisible()
})

test('two rivals are beside each other, with what the bodies say once it is said who is us', async ({ page }) => {
  await openClub(page)
  await page.goto('/#/desk')
  const drawer = await openScenario(page)
  await choose(page, drawer.getByRole('combobox', { name: 'Us' }), 'Odile')
  await expect(page.getByRole('region', { name: 'Scenario', exact: true })).toContainText('Odile')
  await page.goto('/#/people/beside')
  await expect(drawer).toBeHidden()
  const beside = page.getByRole('region', { name: 'Two beside each other' })
  await expect(beside.getByRole('heading', { level: 2 })).toHaveText([
    'The tall one, North hall',
    'The broad one, harbour',
  ])
  const bodies = beside.getByRole('region', { name: 'What the bodies say' })
  // 71 − 58 cm is two hands' breadths of 8 cm; 76 cm of leg are 0.6 and not 0.8 of a waist of 112 cm.
  await expect(bodies.first()).toContainText('2 hands’ breadths nearer their elbow')
  await expect(bodies.last()).toContainText('Cross the feet; the legs are too short for the figure four')
  await bodies.last().getByText('The rules, as we set them').click()
  const four = bodies.last().getByLabel('of their waist for an ankle behind the knee')
  await four.fill('0.65')
  await four.press('Enter')
  await expect(bodies.last()).toContainText('an ankle behind the knee')
  await expect(bodies.last().getByRole('listitem').nth(1)).toContainText('with 3 cm to spare')
})

test('the memory says who was not shown what, of everybody and of one', async ({ page }) => {
  await openClub(page)
  await page.goto('/#/people/memory')
  const row = page.getByRole('row', { name: /^Leg in/ })
  await expect(row).toContainText(/\d+ of 12/)
  await page.getByRole('button', { name: 'Lift to head and arm' }).click()
  await expect(page.getByText(/^Not shown to: [A-Z]/)).toBeVisible()
  await choose(page, page.getByRole('combobox', { name: 'Of whom' }), 'Ines')
  await expect(row).toContainText('yes')
})

test('trends show what lands, what was learned, the weeks, the room, and whether it came true', async ({ page }) => {
  await openClub(page)
  await page.goto('/#/trends')
  await expect(page.getByRole('img', { name: /What landed by month, of \d+ tries/ })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Learned since' }).getByRole('row').nth(3)).toBeVisible()
  await page.getByRole('link', { name: 'Week by week' }).click()
  await expect(page.getByRole('img', { name: /What the plan is worth/ })).toBeVisible()
  await expect(
    page
      .getByRole('region', { name: 'Leaks opened and closed' })
      .getByText(/closed|leaks less/)
      .first(),
  ).toBeVisible()
  await page.getByRole('link', { name: 'In the room' }).click()
  await expect(page.getByRole('img', { name: 'Taps and escapes, by where they began' })).toBeVisible()
  await expect(page.getByRole('img', { name: 'Mistakes seen in the room' })).toBeVisible()
  await page.getByRole('link', { name: 'Did it come true?' }).click()
  const ended = page.getByRole('region', { name: 'How rounds ended' })
  await expect(ended.getByRole('row', { name: /tap, or had it \d+ \d+/ })).toBeVisible({ timeout: 60_000 })
  await expect(page.getByText(/Brier score of tries 0\.\d+/)).toBeVisible()
})

test('a trial is set up, split over those who attack, and not judged before its day', async ({ page }) => {
  await openDemoClub(page)
  await page.goto('/#/trends/two')
  const form = page.getByRole('form', { name: 'A new trial' })
  await form.getByRole('textbox', { name: 'What is the question?' }).fill('Leg or collar?')
  await choose(page, form.getByRole('combobox', { name: 'One way' }), 'Leg in')
  await choose(page, form.getByRole('combobox', { name: 'The other way' }), 'Clock the collar')
  await form.getByRole('button', { name: 'Begin' }).click()
  const card = page.getByRole('article').filter({ hasText: 'Leg or collar?' })
  await expect(card).toContainText('Leg in, or Clock the collar? Live tries so far: 0 and 0.')
  await expect(card.getByRole('button', { name: 'Judge it' })).toHaveCount(0)
  await page.goto('/#/sessions?block=rounds&part=about')
  await choose(page, page.getByRole('combobox', { name: 'Two ways, in turn' }), 'Leg or collar?')
  await page.goto('/#/mat')
  await expect(page.getByText(/tries: (Leg in|Clock the collar)/).first()).toBeVisible()
})

test('deleting somebody is for good, and names the files that were given away before', async ({ page }) => {
  await openClub(page)
  await page.goto('/#/people')
  const saving = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save the club as a file' }).click()
  await saving
  await page.goto('/#/people?person=kofi&part=sheet')
  await page.getByRole('button', { name: 'Delete for good' }).click()
  const asks = page.getByRole('tooltip').filter({ hasText: 'This cannot be undone' })
  await expect(asks).toContainText('Files given away before still have them: tern-street.ataque-club.json')
  await asks.getByRole('button', { name: 'Delete for good' }).click()
  await expect(page.getByText('Kofi is deleted here for good')).toBeVisible()
  await expect(page.getByRole('navigation', { name: 'Screens' }).getByRole('button', { name: 'Undo' })).toBeDisabled()
  await page.reload()
  await expect(page.getByRole('button', { name: /^Bram/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Kofi/ })).toHaveCount(0)
})

test('the worksheet marks the guess, the group and the person where something was logged', async ({ page }) => {
  await openClub(page)
  await page.goto('/#/worksheet/turtle-at-the-flank')
  const marks = page.getByText(/^guess [\d.]+ \(\d+\), group [\d.]+ \(\d+\)$/)
  await expect(marks.first()).toBeVisible()
  const drawer = await openScenario(page)
  await choose(page, drawer.getByRole('combobox', { name: 'Us' }), 'Odile')
  await page.keyboard.press('Escape')
  await expect(page.getByText(/group [\d.]+ \(\d+\), Odile [\d.]+ \(\d+\)$/).first()).toBeVisible()
})
