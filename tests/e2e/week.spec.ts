import { expect, test, type Browser, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { choose, importText, openDemo, openDemoClub, tick } from './coach'

/** The name and the text of a file that pressing something hands over. */
async function handedOver(page: Page, press: () => Promise<void>): Promise<{ name: string; text: string }> {
  const [download] = await Promise.all([page.waitForEvent('download'), press()])
  return { name: download.suggestedFilename(), text: readFileSync(await download.path(), 'utf8') }
}

/** A phone that has never seen Ataque. */
async function newPhone(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
  return context.newPage()
}

/** Plays an exchange to its end by always taking the first choice. */
async function spar(phone: Page): Promise<void> {
  await phone.goto('/#/rehearse/spar?seed=3')
  await phone.getByText('no limit', { exact: true }).tap()
  await phone.getByRole('button', { name: 'Begin' }).tap()
  const over = phone.getByRole('button', { name: 'The same partner again' })
  const first = phone.getByRole('list', { name: 'What it could be' }).getByRole('button').first()
  for (let i = 0; i < 300 && !(await over.isVisible()); i++) {
    await expect(over.or(first).first()).toBeVisible()
    if (await first.isVisible()) await first.tap({ timeout: 2_000 }).catch(() => undefined)
  }
  await expect(over).toBeVisible()
}

test('a week: homework is given, rehearsed and sparred on a phone, sent back, and heeded in the next class', async ({
  page,
  browser,
}) => {
  await openDemo(page)
  await openDemoClub(page)
  await page.goto('/#/rehearse/homework')
  const form = page.getByRole('form', { name: 'Set homework' })
  await choose(page, form.getByRole('combobox', { name: 'Who gets it' }), 'Kofi')
  await choose(page, form.getByRole('combobox', { name: 'What it is about' }), 'Region: Standing, clinch')
  await form.getByRole('textbox', { name: 'What you say to it' }).fill('Ten a day until Thursday.')
  const questions = Number(/^(\d+) questions from/.exec(await form.getByText(/questions from/).innerText())![1])
  const given = await handedOver(page, () => form.getByRole('button', { name: 'Save the file' }).click())
  expect(given.name).toMatch(/^standing-clinch-[a-z0-9]+-kofi\.ataque-pack\.json$/)
  expect(given.text).not.toMatch(/Kofi|Odile|Bram/)
  const list = page.getByRole('region', { name: 'Given so far' }).getByRole('listitem')
  await expect(list).toContainText('no answers yet')

  const phone = await newPhone(browser)
  await phone.goto('/')
  await importText(phone, given.text, given.name)
  const homework = phone.getByRole('region', { name: 'Homework' })
  await expect(homework).toContainText('Ten a day until Thursday.')
  await expect(phone.getByRole('link', { name: 'Set homework' })).toHaveCount(0)
  await phone.getByText('Say it', { exact: true }).tap()
  await phone.getByRole('button', { name: 'Begin' }).tap()
  for (let n = 1; n <= 10; n++) {
    await expect(phone.getByRole('article')).toHaveAccessibleName(`${n} of 10`)
    await phone.getByRole('button', { name: 'Show it' }).tap()
    await phone.getByRole('button', { name: n <= 4 ? 'I had it' : 'Not yet' }).tap()
  }
  await phone.getByRole('button', { name: 'Stop' }).tap()
  await expect(phone.getByRole('heading', { level: 1 })).toHaveText('4 of 10 known')
  await spar(phone)
  // What was answered is still there when the phone was put away in between.
  await phone.goto('/#/rehearse')
  await phone.reload()
  await expect(phone.getByTestId('standing').getByRole('definition').nth(1)).toHaveText(/^\d+$/)
  const send = phone.getByRole('button', { name: /^Send \d+ answers to the coach$/ })
  const sent = Number(/\d+/.exec(await send.innerText())![0])
  expect(sent).toBeGreaterThanOrEqual(10)
  const back = await handedOver(phone, () => send.tap())
  expect(back.name).toMatch(/\.ataque-answers\.json$/)
  // The same file again is the same homework, as it stands.
  await phone.goto('/#/charts')
  await importText(phone, given.text, given.name)
  await expect(send).toHaveText(`Send ${sent} answers to the coach`)
  await phone.context().close()

  await page.goto('/#/charts')
  await importText(page, back.text, back.name)
  const rehearsed = page.getByRole('region', { name: 'Rehearsed' })
  await expect(rehearsed).toContainText('Homework: Standing, clinch')
  await expect(rehearsed).toContainText(/ of 1\d answers known; last on/)
  await expect(page.getByTestId('message')).toContainText('Answers of Kofi are in the log')
  await page.goto('/#/rehearse/homework')
  await expect(list).toContainText(`${questions} questions`)
  await expect(list).toContainText('answers came on')
  // Once more brings nothing that the log has.
  await page.goto('/#/charts')
  await importText(page, back.text, back.name)
  await expect(page.getByTestId('message')).toContainText('The log has these answers of Kofi already.')

  await page.goto('/#/sessions')
  await page.getByRole('button', { name: 'New class' }).click()
  await tick(page.getByRole('region', { name: 'Who comes' }).getByRole('checkbox', { name: 'Kofi' }))
  await page.getByRole('button', { name: 'Propose' }).click()
  const proposals = page.getByRole('region', { name: 'Proposals' })
  await expect(proposals).toContainText('1 of 1 who were asked did not know it', { timeout: 120_000 })
})
