import { expect, test } from '@playwright/test'
import { choose, openDemo, openDemoClub, worth } from './coach'

test('ten answers are rehearsed with the keys, are kept for who it was, and come again when they are due', async ({
  page,
}) => {
  await openDemo(page)
  await openDemoClub(page)
  await page.goto('/#/rehearse')
  await choose(page, page.getByRole('combobox', { name: 'Who rehearses' }), 'Kofi')
  const standing = page.getByTestId('standing')
  const fresh = Number(await standing.getByRole('definition').nth(1).innerText())
  await page.getByRole('button', { name: 'Begin' }).click()
  const card = page.getByRole('article')
  const missed: string[] = []
  for (let n = 1; n <= 10; n++) {
    await expect(card).toHaveAccessibleName(`${n} of 10`)
    await expect(card.getByRole('heading')).toHaveText(/^(We|What)/)
    const picture = card.locator('svg').first()
    const drawn = await picture.innerHTML()
    await page.keyboard.press(String(1 + (n % 2)))
    expect(await picture.innerHTML()).toBe(drawn)
    const said = await card.getByRole('status').innerText()
    expect(said).toMatch(/^(Right: |No. The plan: )/)
    if (said.startsWith('No')) missed.push(said)
    await page.keyboard.press('Enter')
  }
  // What was missed is asked once more, this time with the right answer.
  for (const said of missed) {
    await expect(card).toHaveAccessibleName('Once more')
    const answer = /^No. The plan: (.+)/.exec(said)![1]!
    await card.getByRole('button', { name: answer }).click()
    await expect(card.getByRole('status')).toContainText(`Right: ${answer}`)
    await page.keyboard.press('Enter')
  }
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(`${10 - missed.length} of 10 known`)
  await expect(standing.getByRole('definition')).toHaveText(['0', String(fresh - 10), '10'])

  await page.reload()
  await expect(standing.getByRole('definition')).toHaveText(['0', String(fresh - 10), '10'])
  // The page of who it was says it, and nobody else's does.
  await page.goto('/#/people/page?person=kofi')
  await expect(page.getByRole('region', { name: 'Rehearsed' })).toContainText('10 of 10 answers known; last on')
  await page.goto('/#/rehearse')
  await choose(page, page.getByRole('combobox', { name: 'Who rehearses' }), 'Nobody named')
  await expect(standing.getByRole('definition').nth(2)).toHaveText('0')
})

test('an answer is said before it is shown, and the other chair is asked for what they do', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/rehearse')
  await expect(page.getByText('There is no club yet')).toBeVisible()
  await page.getByText('Say it', { exact: true }).click()
  await page.getByRole('form').getByText('theirs', { exact: true }).click()
  await page.getByRole('button', { name: 'Begin' }).click()
  const card = page.getByRole('article')
  await expect(card).toContainText('We shoot the high crotch.')
  await expect(card).toContainText('What do they do best?')
  await page.getByRole('button', { name: 'Show it' }).click()
  await expect(card.getByRole('status')).toContainText('Sprawls on us')
  await expect(card.getByRole('status')).toContainText('Our answer: go for the hip-sit to guard.')
  await page.getByRole('button', { name: 'I had it' }).click()
  await expect(card).toHaveAccessibleName('2 of 10')
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('1 of 1 known')
})

test('one spars with a partner by keys: each choice is held against the best one, and what cost most becomes cards', async ({
  page,
}) => {
  await openDemo(page)
  await openDemoClub(page)
  await page.goto('/#/rehearse/spar?seed=7')
  await expect(page.getByText('The same partner as before: number 7.')).toBeVisible()
  await page.getByText('no limit', { exact: true }).click()
  await page.getByRole('button', { name: 'Begin' }).click()
  const choices = page.getByRole('list', { name: 'What it could be' }).getByRole('button')
  await expect(choices.first()).toHaveText(/Hold still/)
  const over = page.getByRole('button', { name: 'The same partner again' })
  const course: string[] = []
  const playOn = async () => {
    for (let i = 0; i < 300 && !(await over.isVisible()); i++) {
      const before = await page.getByRole('main').innerText()
      course.push(before)
      await page.keyboard.press((await choices.count()) > 1 ? '2' : '1')
      await expect
        .poll(async () => (await over.isVisible()) || (await page.getByRole('main').innerText()) !== before)
        .toBe(true)
    }
  }
  await playOn()
  const table = page.getByRole('table')
  const rows = await table.getByRole('row').allInnerTexts()
  const cost = Number(/cost ([\d.]+) of a hundred/.exec(await page.getByText('Your choices cost').innerText())![1])
  const each = (await table.locator('.cost').allInnerTexts()).map(Number)
  // What is shown is rounded, each to a tenth under ten.
  expect(Math.abs(each.reduce((sum, one) => sum + one, 0) - cost)).toBeLessThan(0.05 * each.length + 0.5)
  await expect(page.getByText(/choices? becomes? (a card|cards)/)).toBeVisible()

  // The same partner meets the same choices in the same way.
  await over.click()
  await expect(choices.first()).toBeVisible()
  await playOn()
  await expect.poll(() => table.getByRole('row').allInnerTexts()).toEqual(rows)

  // The link that is copied leads to the same partner, and one to another is followed from here as from elsewhere.
  await page.context().grantPermissions(['clipboard-read', 'clipboard-write'])
  await page.getByRole('button', { name: 'Copy the link to this partner, number 7' }).click()
  await expect(page.getByText('The link is copied.')).toBeVisible()
  const link = await page.evaluate(() => navigator.clipboard.readText())
  expect(new URL(link).hash).toBe('#/rehearse/spar?seed=7&sharp=0')
  await page.goto(link.replace('seed=7&sharp=0', 'seed=8&sharp=0.3'))
  await expect(page.getByText('The same partner as before: number 8.')).toBeVisible()
  await expect(page.getByText('The partner sees it coming: 30 %')).toBeVisible()

  await page.goto('/#/rehearse')
  await expect(page.getByTestId('standing').getByRole('definition').first()).not.toHaveText('0')
})

test('the partner can be an opponent who is logged, and is as strong as the log says', async ({ page }) => {
  await openDemo(page)
  await openDemoClub(page)
  await page.goto('/#/rehearse/spar?seed=2')
  const partner = page.getByRole('combobox', { name: 'Who the partner is' })
  const value = async () => Number((await worth(page)).split(' ')[0])
  const before = await value()
  await choose(page, partner, 'The tall one, North hall')
  await expect(page.getByTestId('scenario')).toContainText('against The tall one, North hall')
  // What is logged of this one helps us: all figures follow, and so does the exchange.
  await expect.poll(value).toBeGreaterThan(before + 0.5)
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByRole('button', { name: /Shoot the high crotch/ })).toBeVisible()
  await page.getByRole('button', { name: 'Stop' }).click()
  await choose(page, partner, 'Nobody in particular')
  await expect(page.getByTestId('scenario')).not.toContainText('against')
})

test('an empty chart asks nothing, and says so', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Start an empty chart' }).click()
  await page.getByRole('link', { name: 'Rehearse' }).click()
  for (const screen of ['See and do', 'Spar', 'Say it back']) {
    await page.getByRole('link', { name: screen }).click()
    await expect(page.getByText('The plan has no question yet')).toBeVisible()
    await expect(page.getByText('The chain from')).toBeHidden()
    await expect(page.getByRole('button', { name: 'Begin' })).toBeHidden()
  }
})

test('who does not choose in time holds still', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/rehearse/spar?seed=1')
  await page.getByText('5 s', { exact: true }).click()
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByText('We hold still.')).toBeVisible({ timeout: 20_000 })
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible()
})

test('the chain is said back: its words vanish one by one, come back when pressed, and the voice waits', async ({
  page,
}) => {
  // Headless browsers have no voice: what would be said is written down.
  await page.addInitScript(() => {
    const said: string[] = []
    Object.assign(window, {
      said,
      SpeechSynthesisUtterance: class {
        onend = () => undefined
        constructor(readonly text: string) {}
      },
    })
    Object.defineProperty(window, 'speechSynthesis', {
      value: {
        cancel: () => undefined,
        speak: (one: { text: string; onend: () => void }) => {
          said.push(one.text)
          setTimeout(() => one.onend(), 5)
        },
      },
    })
  })
  await openDemo(page)
  await page.goto('/#/rehearse/say')
  const back = page.getByRole('region', { name: 'Say it back' })
  const first = back.getByRole('article').first()
  await expect(first).toContainText('shoot the high crotch')
  const text = await first.getByRole('paragraph').innerText()
  const blanks = back.getByRole('button', { name: 'A hidden word: look at it' })
  await expect(blanks).toHaveCount(0)
  await back.getByRole('button', { name: 'Hide more' }).click()
  const [, hidden, all] = /(\d+) of (\d+) words hidden/.exec(await back.innerText())!.map(Number)
  expect(hidden).toBe(Math.round(all! / 10))
  await expect(blanks).toHaveCount(hidden!)
  await blanks.first().click()
  await expect(blanks).toHaveCount(hidden! - 1)
  for (let i = 0; i < 9; i++) await back.getByRole('button', { name: 'Hide more' }).click()
  await expect(blanks).toHaveCount(all!)
  await expect(first).not.toContainText('crotch')

  await back.getByRole('slider').press('Home')
  await expect(blanks).toHaveCount(0)
  await back.getByRole('button', { name: 'Read it, and wait for me' }).click()
  await expect.poll(() => page.evaluate(() => (window as unknown as { said: string[] }).said[0])).toBe(text)
  await expect(back.getByRole('button', { name: 'Read it, and wait for me' })).toBeVisible()
})

test('a child is asked and offered nothing that is not for children', async ({ page }) => {
  await openDemo(page)
  await openDemoClub(page)
  await page.goto('/#/people?person=jv&part=sheet')
  await choose(page, page.getByRole('combobox', { name: 'Age' }), 'Under 10')
  await page.goto('/#/rehearse')
  const fresh = page.getByTestId('standing').getByRole('definition').nth(1)
  await expect(fresh).toHaveText(/\d/)
  const all = Number(await fresh.innerText())
  await choose(page, page.getByRole('combobox', { name: 'Who rehearses' }), 'J. V.')
  await expect.poll(async () => Number(await fresh.innerText())).toBeLessThan(all)
  // The same partner offers an adult what he does not offer a child.
  await page.goto('/#/rehearse/spar?seed=3')
  await page.getByText('no limit', { exact: true }).click()
  const dangerous = async (who: string) => {
    await choose(page, page.getByRole('combobox', { name: 'Who rehearses' }), who)
    await page.getByRole('button', { name: 'Begin' }).click()
    const choices = page.getByRole('list', { name: 'What it could be' }).getByRole('button')
    const over = page.getByRole('button', { name: 'The same partner again' })
    const offered = new Set<string>()
    for (let i = 0; i < 20; i++) {
      await expect(choices.first().or(over)).toBeVisible()
      if (await over.isVisible()) break
      for (const text of await choices.allInnerTexts()) offered.add(text)
      const before = await page.getByRole('main').innerText()
      await choices.last().click()
      await expect.poll(() => page.getByRole('main').innerText()).not.toBe(before)
    }
    expect(offered.size).toBeGreaterThan(3)
    await page.goto('/#/rehearse')
    await page.goto('/#/rehearse/spar?seed=3')
    return [...offered].filter((text) => /choke|guillotine|armbar|kimura|americana/i.test(text)).length
  }
  expect(await dangerous('Nobody named')).toBeGreaterThan(0)
  expect(await dangerous('J. V.')).toBe(0)
})
