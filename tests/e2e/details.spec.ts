import { expect, test } from '@playwright/test'
import { choose, exported, openDemo, openScenario, pressOver, settled, tick, worth } from './coach'

interface Exported {
  moves: {
    id: string
    name: string
    checkpoints?: { text: string; fault?: { fix: string } }[]
    to: string
    kind: string
  }[]
  reactions: { id: string; endsIn: string; breaks?: string[] }[]
  positions: { id: string; ahead: string; threat?: { every: number }; unprompted?: { every: number } }[]
}

test('checkpoints, mistakes and cautions are edited beside the move', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/worksheet/mount-hands-posted?move=collar-choke')
  const detail = page.getByRole('complementary', { name: 'About it' })
  await expect(detail.getByRole('region', { name: 'Caution' })).toContainText('neck')
  // After the two that it has.
  await detail.getByLabel('New checkpoint of Collar choke').fill('Thumb inside the collar')
  await page.keyboard.press('Enter')
  await detail.getByLabel('New checkpoint of Collar choke').fill('Elbow down on the chest')
  await page.keyboard.press('Enter')
  const fourth = detail.getByRole('listitem').nth(3)
  await pressOver(fourth, fourth.getByRole('button', { name: 'Checkpoint 4 up' }))
  const third = detail.getByRole('listitem').nth(2)
  await expect(third).toContainText('Elbow down on the chest')
  await pressOver(third, third.getByRole('button', { name: 'test, gate, mistake' }))
  await third.getByRole('button', { name: /^The fix/ }).click()
  await page.keyboard.type('drop the elbow first')
  await page.keyboard.press('Enter')
  await settled(page)
  const { moves } = (await exported(page)) as Exported
  expect(moves.find(({ id }) => id === 'collar-choke')!.checkpoints!.slice(2)).toMatchObject([
    { text: 'Elbow down on the chest', fault: { fix: 'drop the elbow first' } },
    { text: 'Thumb inside the collar' },
  ])
})

test('where a reaction ends and which checkpoint it breaks is changed in place', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/worksheet/side-control-head-and-far-arm?move=americana&reaction=bridges-over-us')
  const detail = page.getByRole('complementary', { name: 'About it' })
  const net = page.getByRole('listitem', { name: 'They: Bridges over us' }).getByRole('button', { name: /^Net of/ })
  const before = await net.getAttribute('data-tip')
  await choose(page, detail.getByRole('combobox', { name: 'Ends in' }), 'Half guard, on top')
  await expect.poll(() => net.getAttribute('data-tip')).not.toBe(before)
  await tick(detail.getByRole('checkbox').nth(1))
  await settled(page)
  const { reactions } = (await exported(page)) as Exported
  expect(reactions.find(({ id }) => id === 'bridges-over-us')).toMatchObject({
    endsIn: 'half-guard-on-top',
    breaks: ['americana-2'],
  })
})

test('a position says who is ahead, what threatens there and what they do unprompted', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/worksheet/scarf-hold')
  const detail = page.getByRole('complementary', { name: 'About it' })
  await choose(page, detail.getByRole('combobox', { name: 'Who is ahead' }), 'nobody is')
  await detail.getByLabel(/They finish us here/).fill('90')
  await page.keyboard.press('Tab')
  await choose(
    page,
    detail.getByRole('combobox', { name: 'They also do, unprompted' }),
    'Hides the near arm (Scarf hold)',
  )
  await expect(page.getByRole('article', { name: 'While we hold still' })).toContainText('Hides the near arm')
  await detail.getByLabel('Broken up after, seconds').fill('0')
  await page.keyboard.press('Tab')
  await expect(page.getByText('Not done: must be a number of seconds, at least 1')).toBeVisible()
  await expect(detail.getByLabel('Broken up after, seconds')).toHaveAttribute('aria-invalid', 'true')
  await settled(page)
  const { positions } = (await exported(page)) as Exported
  expect(positions.find(({ id }) => id === 'scarf-hold')).toMatchObject({
    ...{ ahead: 'even', threat: { every: 90 } },
    unprompted: { every: 10, reactions: { 'hides-the-near-arm': 1 } },
  })
})

test('a move and a position are removed with a word of what went, and come back', async ({ page }) => {
  const thrown: string[] = []
  page.on('pageerror', ({ message }) => thrown.push(message))
  page.on('console', (message) => message.type() === 'error' && thrown.push(message.text()))
  await openDemo(page)
  await page.goto('/#/worksheet/north-south')
  await expect(page.getByRole('article', { name: /^North-south choke/ })).toBeVisible()
  const before = await page.getByRole('article').count()
  const choke = page.getByRole('article', { name: /^North-south choke/ })
  await pressOver(choke, page.getByRole('button', { name: 'Remove North-south choke' }))
  await expect(page.getByRole('article')).toHaveCount(before - 1)
  await page
    .getByTestId('message')
    .filter({ hasText: 'Removed North-south choke.' })
    .getByRole('button', { name: 'Undo' })
    .click()
  await expect(page.getByRole('article')).toHaveCount(before)
  await page.getByRole('button', { name: 'about it' }).click()
  await page.getByRole('button', { name: 'Remove this position' }).click()
  const told = page.getByText(/Removed North-south with \d+ moves.*\. Undo takes that back\./)
  await expect(told).toBeVisible()
  await expect(page.getByRole('link', { name: /^North-south/ })).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('link', { name: /^North-south/ })).toHaveCount(1)
  await expect(told).toBeHidden()
  await page.goto('/#/worksheet/side-control-hips-low')
  await page.getByRole('button', { name: 'about it' }).click()
  await page.getByRole('button', { name: 'Remove this position' }).click()
  await expect(page.getByText(/and 1 answer on Cross-face and pass/)).toBeVisible()
  expect(thrown).toEqual([])
})

test('a reaction is shared, and an answer is tried cold or with tries of its own', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/worksheet/knee-on-belly?move=baseball-choke')
  await page.getByRole('button', { name: 'A reaction to Baseball choke' }).click()
  await page.keyboard.type('turns away from')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  const row = page
    .getByRole('article', { name: /^Baseball choke/ })
    .getByRole('listitem', { name: 'They: Turns away from the knee' })
  await expect(row).toContainText('met by 2 moves')
  await pressOver(row.getByRole('link'), row.getByRole('button', { name: /as when we begin with it/ }))
  await expect(row.getByText('as when we begin with it')).toBeVisible()
  await expect(row.getByRole('group', { name: /^Tries of/ })).toHaveCount(0)
  await row.getByText('as when we begin with it').click()
  await expect(row.getByRole('group', { name: /^Tries of/ })).toHaveCount(1)
})

test('the palette finds by another name, the goal changes what counts, and dark stays dark', async ({ page }) => {
  await openDemo(page)
  const before = await worth(page)
  await page.keyboard.press('Control+k')
  await page.keyboard.type('double wrist')
  await expect(page.getByRole('dialog').getByRole('option').first()).toContainText('Kimura')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('article', { name: /^Kimura/ })).toBeFocused()
  await openScenario(page)
  await page.getByRole('combobox', { name: 'Goal' }).click({ force: true })
  await page.keyboard.type('Mount, hands')
  await page.getByRole('listbox', { name: 'Goal' }).getByRole('option', { name: 'Mount, hands posted' }).click()
  await expect.poll(() => worth(page)).not.toBe(before)
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Dark' }).click()
  await page.reload()
  await settled(page)
  await expect(page.locator('html')).toHaveClass(/dark/)
  await page.goto('/#/desk')
  await expect(page.getByText(/reach the goal or finish/)).toBeVisible()
})

test('the planning screens fit a small tablet', async ({ page }) => {
  await page.setViewportSize({ width: 768, height: 1024 })
  await openDemo(page)
  for (const path of ['/#/desk', '/#/worksheet/back-seatbelt-on', '/#/charts']) {
    await page.goto(path)
    await settled(page)
    const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
    expect([path, overflow]).toEqual([path, 0])
  }
})
