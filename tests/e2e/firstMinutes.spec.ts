import { expect, test, type Page } from '@playwright/test'
import { exported, nothingSerious, settled, worth } from './coach'

/** A newcomer whose every key and click is counted. */
class Newcomer {
  keys = 0
  clicks = 0

  constructor(readonly page: Page) {}

  async click(role: 'button' | 'link', name: string | RegExp) {
    this.clicks++
    await this.page
      .getByRole(role, { name, exact: typeof name === 'string' })
      .first()
      .click()
  }

  /** Puts the pointer into a field: one click. */
  async into(label: string) {
    this.clicks++
    await this.page.getByLabel(label, { exact: true }).click()
  }

  async type(text: string) {
    this.keys += text.length
    await this.page.keyboard.type(text)
  }

  async press(key: string) {
    this.keys++
    await this.page.keyboard.press(key)
  }
}

interface Charted {
  positions: { id: string; name: string; out?: object; guessed?: string[] }[]
  moves: { name: string; reply?: boolean; tries?: { weight?: number } }[]
  reactions: { name: string }[]
  answers: { tries?: { weight?: number } }[]
}
const namesOf = (records: { name: string }[]) => records.map(({ name }) => name).sort()

test('side control, their far hand in three places, three attacks that feed each other', async ({ page }) => {
  const coach = new Newcomer(page)
  await page.goto('/')
  await coach.click('button', 'Start an empty chart')
  await coach.click('button', 'Side control')
  await coach.into('Say a move in a line')
  await coach.type('Americana 4 of 10; 3 hides it > kimura 5 of 10; 2 straightens > armbar 4 of 10')
  await coach.press('Enter')
  await settled(page)
  const first = Number((await worth(page)).split(' ')[0])
  expect(first).toBeGreaterThanOrEqual(25)
  expect(first).toBeLessThanOrEqual(60)

  await coach.type('Kimura 3 of 10; 3 straightens; 2 turns in (turtle) > take back (back) 6 of 10')
  await coach.press('Enter')
  await coach.type('Armbar 3 of 10; 3 bends it > americana 5 of 10; 2 turns in')
  await coach.press('Enter')
  await expect(page.getByRole('article', { name: 'Armbar, to A finish' })).toContainText('Bends it')
  await expect(page.getByRole('article', { name: 'Kimura, to A finish' })).toContainText('Turns in')
  expect(coach.keys).toBeLessThanOrEqual(300)
  expect(coach.clicks).toBeLessThanOrEqual(25)

  await page.getByRole('link', { name: 'Desk' }).click()
  await settled(page)
  const costs = page.getByRole('region', { name: 'What costs us most' })
  await expect(costs.getByTestId('loose-end').filter({ hasText: 'Gets outof Side control' })).toHaveCount(1)
  const charted = ['Hides it', 'Straightens', 'Turns in', 'Bends it']
  for (const leak of await costs.getByTestId('leak').locator('b').allTextContents()) expect(charted).toContain(leak)

  const chart = (await exported(page)) as Charted
  expect(namesOf(chart.positions)).toEqual(['Back', 'Side control', 'Turtle'])
  expect(namesOf(chart.moves)).toEqual(['Americana', 'Armbar', 'Kimura', 'Take back'])
  expect(namesOf(chart.reactions)).toEqual([...charted].sort())
  expect(chart.moves.filter(({ reply }) => reply).map(({ name }) => name)).toEqual(['Take back'])
  for (const { tries } of [...chart.moves, ...chart.answers]) expect(tries?.weight).toBeUndefined()
  for (const { out, guessed } of chart.positions) if (out) expect(guessed).toContain('out')
})

test('knee on belly: frozen, pushes the knee, turns in, bumps: four answers and a loop', async ({ page }) => {
  const coach = new Newcomer(page)
  await page.goto('/')
  await coach.click('button', 'Start an empty chart')
  await coach.click('button', 'Knee on belly')
  await coach.into('From here they')
  await coach.type(
    '4 push the knee > armbar 4 of 10; 3 turn in (turtle) > take back (back) 6 of 10; 2 bump > mount (mount) 6 of 10',
  )
  await coach.press('Enter')
  await coach.into('Seconds until they do something')
  await page.keyboard.press('Control+a')
  await coach.type('8')
  await coach.press('Enter')
  await coach.into('Say a move in a line')
  await coach.type('Choke 2 of 10; 3 hug the leg (side control) > step back up (knee on belly) 7 of 10')
  await coach.press('Enter')
  await settled(page)
  expect(coach.keys).toBeLessThanOrEqual(300)
  expect(coach.clicks).toBeLessThanOrEqual(25)

  const still = page.getByRole('article', { name: 'While we hold still' })
  await expect(still.getByRole('listitem')).toHaveCount(3)
  await expect(still.getByText('Gets out')).toHaveCount(1)
  await expect(still).not.toContainText('seconds one of these (a guess)')
  const chart = (await exported(page)) as Charted
  expect(namesOf(chart.positions)).toEqual(['Back', 'Knee on belly', 'Mount', 'Side control', 'Turtle'])
  expect(namesOf(chart.moves)).toEqual(['Armbar', 'Choke', 'Mount', 'Step back up', 'Take back'])
  expect(namesOf(chart.reactions)).toEqual(['Bump', 'Hug the leg', 'Push the knee', 'Turn in'])
  for (const { tries } of chart.answers) expect(tries?.weight).toBeUndefined()
})

test('a line is drawn while it is typed, asks where a name is nearly a known one, and is kept half typed', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Start an empty chart' }).click()
  await page.getByRole('button', { name: 'Try this line' }).click()
  const line = page.getByLabel('Say a move in a line')
  await line.fill('Kimura')
  await line.press('Enter')
  await expect(line).toHaveValue('Kimura ')
  await page.keyboard.type('30%; 2 turn in')
  const made = page.getByRole('group', { name: 'What this would make' })
  await expect(made).toContainText('3 land, 2 turn in, 5 come to nothing')
  await expect(made).toContainText('Kimura move')

  await page.getByRole('link', { name: 'Desk' }).click()
  await page.getByRole('link', { name: 'Worksheet' }).click()
  await expect(line).toHaveValue('Kimura 30%; 2 turn in')
  await line.press('Enter')
  await expect(page.getByRole('button', { name: 'Yes, Turns in' })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('article', { name: 'Kimura, to A finish' })).toContainText('Turns in')
  await expect(line).toBeFocused()

  await page.keyboard.type('Sit through (somewhere odd) 4 of 10')
  await page.keyboard.press('Enter')
  const asked = page.getByRole('group', { name: 'Who is ahead in Somewhere odd' })
  await expect(asked).toContainText('Who is ahead here?')
  await asked.getByRole('button', { name: 'we are' }).click()
  await expect(asked).toContainText('out after about 15 s (a guess)')
})

test('too little is charted to trust until they win something, moves meet something and tries are the coach’s', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Start an empty chart' }).click()
  await page.getByRole('button', { name: 'Mount', exact: true }).click()
  await expect(page.getByTestId('next')).toContainText('Nothing is tried in mount')
  await page.getByLabel('Say a move in a line').fill('Armbar 4 of 10')
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('next')).toContainText('They never win anything yet')
  await expect(page.getByRole('link', { name: 'rough, too little charted' })).toBeVisible()
  await page.getByRole('link', { name: 'Desk' }).click()
  await expect(page.getByTestId('lack')).toHaveText([/never win anything/, /Armbar meets nothing/])
  await page.getByTestId('lack').last().click()
  await page.getByLabel('Say a move in a line').fill('Armbar 4 of 10; 2 stacks (under side control) > ?')
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('next')).toHaveCount(0)
  await page.getByRole('link', { name: 'Desk' }).click()
  await settled(page)
  await expect(page.getByTestId('lack')).toHaveCount(0)
  await expect(page.getByRole('link', { name: 'rough, too little charted' })).toHaveCount(0)
})

test('axe finds nothing serious at the three doors, beside a line that is typed, and where it is rough', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Start an empty chart' }).click()
  await expect(page.getByRole('button', { name: 'From Knee on belly' })).toBeVisible()
  await nothingSerious(page)
  await page.getByRole('button', { name: 'Try this line' }).click()
  await page.getByLabel('Say a move in a line').fill('Kimura 3 of 10; 2 turn in (somewhere odd) > ?')
  await expect(page.getByRole('group', { name: 'What this would make' })).toBeVisible()
  await nothingSerious(page)
  await page.getByRole('link', { name: 'Desk' }).click()
  await settled(page)
  await nothingSerious(page)
})
