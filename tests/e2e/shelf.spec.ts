import { readFileSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import { choose, exported, openDemo, openScenario, settled, worth } from './coach'

test('the side-control region in an empty chart gives a working plan in under ten clicks', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: /empty/i }).click()
  await expect(page).toHaveURL(/worksheet/)
  await page.getByRole('link', { name: 'Shelf' }).click()
  await page
    .getByRole('navigation', { name: 'Regions of the Shelf' })
    .getByRole('button', { name: /^Side control/ })
    .click()
  await page.getByRole('button', { name: 'Bring all of it into the chart' }).click()
  await expect(page.getByTestId('message')).toContainText(/(9|10)\d moves came in/)
  await page.getByRole('link', { name: 'Desk' }).click()
  await settled(page)
  expect(Number((await worth(page)).replace(/[^\d.−-]/g, ''))).toBeGreaterThan(0)
  await expect(page.getByRole('heading', { name: 'What costs us most' })).toBeVisible()
  await page.keyboard.press('Control+z')
  await page.getByRole('link', { name: 'Charts' }).click()
  await expect(page.getByRole('list', { name: 'Charts' })).toContainText('0 positions')
})

test('an entry is found by what one sees, read, and brought in with what it needs', async ({ page }) => {
  await openDemo(page)
  await page.getByRole('link', { name: 'Shelf' }).click()
  await page.getByLabel('Search the Shelf').fill('pushes my face')
  await page
    .getByRole('region', { name: 'On the Shelf' })
    .getByRole('button', { name: /Straight armlock on the arm/ })
    .click()
  const detail = page.getByRole('complementary', { name: 'About it' })
  await expect(detail).toContainText('elbow')
  await expect(detail).toContainText('tap')
  await detail.getByRole('button', { name: 'Bring it into the chart' }).click()
  await expect(page.getByTestId('message')).toContainText('1 move came in')
  await expect(detail.getByRole('button', { name: 'In the chart' })).toBeDisabled()
  const file = (await exported(page)) as { moves: { id: string; hazard?: object }[] }
  expect(file.moves.find(({ id }) => id === 'crossface-arm-lock')!.hazard).toBeDefined()
})

test('a region tells its rules, its differences and its dangers, and finishes are listed by what they attack', async ({
  page,
}) => {
  await openDemo(page)
  await page.goto('/#/shelf?region=back')
  const talk = page.getByRole('complementary', { name: 'About it' })
  for (const head of ['Mind', 'They decide by', 'Where they differ']) {
    await expect(talk.getByRole('heading', { name: head })).toBeVisible()
  }
  await choose(page, page.getByRole('combobox', { name: 'Finishes, of which part' }), 'knee')
  const list = page.getByRole('region', { name: 'On the Shelf' })
  await page.getByRole('button', { name: 'Everything' }).click()
  await expect(list.getByRole('listitem')).not.toHaveCount(0)
  await expect(list).toContainText('Inside heel hook')
  await expect(list).not.toContainText('One-arm choke')
})

test('the Worksheet says what could be added here, best first, and the number moves', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/worksheet/back-under-side')
  await page.getByText('What could I add here?').click()
  const more = page.locator('details.shelf')
  const first = more.getByRole('listitem').first()
  await expect(more).toContainText('its tries are guesses')
  await expect(first).toContainText(/no change|[+−]\d/)
  const before = await more.getByRole('listitem').count()
  await first.getByRole('button').click()
  await expect(page.getByTestId('message')).toContainText('came in')
  await expect(more.getByRole('listitem')).not.toHaveCount(before + 1)
})

test('rules take out what they forbid: the number follows, and the move says why', async ({ page }) => {
  await openDemo(page)
  const free = await worth(page)
  const playUnder = async (rules: string) => {
    const drawer = await openScenario(page)
    await choose(page, drawer.getByRole('combobox', { name: 'Rules' }), rules)
    await drawer.getByRole('button', { name: 'Close' }).click()
    await expect(drawer).toBeHidden()
  }
  await playUnder('Juniors: positions only')
  await expect.poll(() => worth(page)).not.toBe(free)
  await page.goto('/#/worksheet/side-control-head-and-far-arm')
  await expect(page.locator('[data-row="americana"]').first()).toContainText(
    'not allowed, Juniors: positions only: armlocks',
  )
  await playUnder('All is allowed')
  await expect.poll(() => worth(page)).toBe(free)
  await page.goto('/#/worksheet/mount-hands-posted?move=collar-choke')
  await playUnder('No-gi, points')
  await expect(page.locator('[data-row="collar-choke"]').first()).toContainText('grips on cloth')
})

test('minors are kept from dangerous finishes until a coach says why', async ({ page }) => {
  await openDemo(page)
  const free = await worth(page)
  await page.getByRole('link', { name: 'Charts' }).click()
  await choose(page, page.getByRole('combobox', { name: /^Who trains with it/ }), 'minors')
  await expect.poll(() => worth(page)).not.toBe(free)
  await page.goto('/#/shelf?region=back')
  const list = page.getByRole('region', { name: 'On the Shelf' })
  await expect(list).toContainText('not for minors: hidden')
  await expect(list).not.toContainText('One-arm choke')
  await page.goto('/#/worksheet/mount-head-and-arm')
  await expect(page.locator('[data-row="head-and-arm-choke"]').first()).toContainText('not for minors: chokes')
  await page.getByRole('link', { name: 'Charts' }).click()
  await page.getByRole('button', { name: /Why they are shown/ }).click()
  await page.keyboard.type('competition team, two coaches')
  await page.keyboard.press('Enter')
  await expect.poll(() => worth(page)).toBe(free)
  const file = (await exported(page)) as { settings: object }
  expect(file.settings).toMatchObject({ group: 'minors', shownBecause: 'competition team, two coaches' })
})

test('the Slope says what could be added where one stands, and brings it in', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/slope?at=place%20back-under-side')
  await page.getByRole('button', { name: 'About it' }).click()
  await page.getByText('What could I add here?').click()
  const more = page.locator('details.shelf')
  const first = more.getByRole('listitem').first()
  await expect(more).toContainText('its tries are guesses')
  await expect(first).toContainText(/no change|[+−]\d/)
  await first.getByRole('button').click()
  await expect(page.getByTestId('message')).toContainText('came in')
})

test('the Worksheet holds rules of thumb against the numbers, and a way is chosen where schools differ', async ({
  page,
}) => {
  await openDemo(page)
  await page.goto('/#/worksheet/they-have-our-back')
  const says = page.locator('details.says')
  await expect(says).toHaveAttribute('open', '')
  await expect(says.getByText(/Here the numbers say otherwise/).first()).toBeVisible()
  await page.goto('/#/worksheet/underhook-head-clear')
  await expect(page.getByRole('region', { name: 'Underhook, head clear' })).toBeVisible()
  const before = await worth(page)
  await page.getByText('Rules of thumb here').click()
  const shooting = page.getByRole('group', { name: 'Shooting for the legs' })
  await expect(shooting.getByText(/^only this: /).first()).toBeVisible()
  await shooting.getByRole('button', { name: 'Our way: Leave it out early on' }).click()
  await expect(page.getByText('set aside: our way is leave it out early on')).toBeVisible()
  await expect.poll(() => worth(page)).not.toBe(before)
  await shooting.getByRole('button', { name: 'Our way: Leave it out early on' }).click()
  await expect.poll(() => worth(page)).toBe(before)
})

test('a part of a chart is published, exported, put in the bin and taken in again from its file', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/shelf')
  const own = page.getByRole('region', { name: 'Your own shelves' })
  await own.getByRole('button', { name: 'Publish from this chart' }).click()
  await own.getByRole('button', { name: 'Publish', exact: true }).click()
  await expect(own.getByRole('alert')).toHaveText('Say a name, and at least one position.')
  await own.getByLabel('Name of the shelf').fill('Tuesday')
  await own.getByRole('combobox', { name: 'Positions to publish' }).fill('Knee on')
  await page.getByRole('option', { name: 'Knee on belly' }).click()
  await page.keyboard.press('Escape')
  await own.getByRole('button', { name: 'Publish', exact: true }).click()
  const list = page.getByRole('region', { name: 'On the Shelf' })
  await expect(list.getByRole('heading', { name: 'Tuesday' })).toBeVisible()
  await expect(list).toContainText('Knee slide to mount')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    list.getByRole('button', { name: 'Export', exact: true }).click(),
  ])
  const text = readFileSync(await file.path(), 'utf8')
  expect(file.suggestedFilename()).toBe('tuesday.shelf.json')
  await page.reload()
  await expect(page.getByRole('button', { name: /^Tuesday/ })).toBeVisible()
  await page.getByRole('button', { name: /^Tuesday/ }).click()
  await list.getByRole('button', { name: 'Remove' }).click()
  await expect(page.getByText('Tuesday is in the bin:')).toBeVisible()
  await page
    .getByLabel('Shelf file')
    .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('{}') })
  await expect(own.getByRole('alert')).toContainText('x.json was not taken in')
  await page
    .getByLabel('Shelf file')
    .setInputFiles({ name: 't.json', mimeType: 'application/json', buffer: Buffer.from(text) })
  await expect(list.getByRole('heading', { name: 'Tuesday' })).toBeVisible()
  await page.getByRole('button', { name: 'bring back' }).click()
  await expect(page.getByRole('button', { name: /^Tuesday/ })).toHaveCount(2)
})

test('another edition of a shelf is shown against the one before, takes its place, and is offered to the plan', async ({
  page,
}) => {
  await openDemo(page)
  await page.goto('/#/shelf')
  const own = page.getByRole('region', { name: 'Your own shelves' })
  const list = page.getByRole('region', { name: 'On the Shelf' })
  await own.getByRole('button', { name: 'Publish from this chart' }).click()
  await own.getByLabel('Name of the shelf').fill('Tuesday')
  await own.getByRole('combobox', { name: 'Positions to publish' }).fill('Knee on')
  await page.getByRole('option', { name: 'Knee on belly' }).click()
  await page.keyboard.press('Escape')
  await own.getByRole('button', { name: 'Publish', exact: true }).click()
  await expect(list.getByRole('heading', { name: 'Tuesday' })).toBeVisible()
  await expect(list).toContainText('edition 1')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    list.getByRole('button', { name: 'Export', exact: true }).click(),
  ])
  // A plan takes all of it.
  await page.goto('/#/charts')
  await page.getByRole('button', { name: 'New chart' }).click()
  await expect(page.getByRole('heading', { name: 'Where do you start from?' })).toBeVisible()
  await page.goto('/#/shelf?region=tuesday')
  await list.getByRole('button', { name: 'Bring all of it into the chart' }).click()
  // Its maker works on it, and sends it again.
  const shelf = JSON.parse(readFileSync(await file.path(), 'utf8'))
  const [move] = shelf.moves
  move.checkpoints = [{ id: 'new-point', text: 'Knee across before the hand moves' }]
  const again = { name: 't.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(shelf)) }
  await page.getByLabel('Shelf file').setInputFiles({ ...again, buffer: Buffer.from(readFileSync(await file.path())) })
  await expect(page.getByRole('dialog')).toBeHidden()
  await page.getByLabel('Shelf file').setInputFiles({
    ...again,
    buffer: Buffer.from(JSON.stringify({ ...shelf, edition: 2 })),
  })
  const dialog = page.getByRole('dialog', { name: 'Another edition of “Tuesday”' })
  await expect(dialog).toContainText('One thing in it differs:')
  await expect(dialog.getByRole('listitem')).toContainText('Knee across before the hand moves')
  await dialog.getByRole('button', { name: 'Take it in place of the one before' }).click()
  await expect(list).toContainText('edition 2')
  await expect(page.getByRole('button', { name: /^Tuesday/ })).toHaveCount(1)
  await expect(own).toContainText('Tuesday is in the bin:')
  // The plan has it as it was, and is offered the new.
  await page.getByText('The Shelf says something new of 1 move in this chart').click()
  await list.getByRole('button', { name: `Take ${move.name}` }).click()
  await expect(page.getByText(/The Shelf says something new/)).toHaveCount(0)
})

test('moves are found by what must be on, and a finish can stop at control', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/shelf')
  await choose(page, page.getByRole('combobox', { name: 'We hold already' }), 'a seatbelt')
  const list = page.getByRole('region', { name: 'On the Shelf' })
  await expect(list).toContainText('Foot across the hip')
  await expect(list).not.toContainText('Dig the underhook')
  await page.goto('/#/worksheet/side-control-head-and-far-arm?move=americana')
  const caution = page.getByRole('region', { name: 'Caution' })
  await expect(caution).toContainText('whoever defends taps')
  const before = await worth(page)
  await caution.getByRole('button', { name: 'Position only: stop at control' }).click()
  await expect.poll(() => worth(page)).not.toBe(before)
  await caution.getByRole('button', { name: /Stopping at control/ }).click()
  await expect.poll(() => worth(page)).toBe(before)
})
