import { expect, test, type Page } from '@playwright/test'
import { choose, exported, mirror, openDemo, refusal, settled } from './coach'

const RUN = 'Two arms trapped, then the choke'

async function openScore(page: Page, run = RUN) {
  await openDemo(page)
  await page.getByRole('link', { name: 'Holds' }).click()
  await page.getByRole('link', { name: 'A run, limb by limb' }).click()
  await choose(page, page.getByRole('combobox', { name: 'Which run' }), run)
}

const line = (page: Page, name: string) => page.getByRole('group', { name, exact: true })
const arms = (page: Page) => page.getByRole('group', { name: 'Arms to attack and to defend' }).locator('span')

interface File {
  moves: { id: string; adds?: string[]; drops?: string[] }[]
  runs: { name: string; steps: object[]; intended?: object[] }[]
}
const moveOf = async (page: Page, id: string) => ((await exported(page)) as File).moves.find((move) => move.id === id)!

test('the score shows what each limb does, and is edited in place by keyboard and by dragging', async ({ page }) => {
  await openScore(page)
  await expect(arms(page)).toHaveText(['1 : 2', '0 : 0', '0 : 0', '1 : 0', '1 : 0', '1 : 0', '1 : 0', '2 : 1', '2 : 1'])
  await expect(line(page, 'Our right arm')).toContainText('their bottom wrist')
  await expect(line(page, 'Their right arm')).toContainText('elbow, by our top knee')
  const worths = page.getByRole('group', { name: 'What it is worth to be here' })
  await expect(worths).toContainText('100')
  const before = await arms(page).allTextContents()

  const hook = page.getByRole('button', { name: 'Right hook, from the start to step 1' }).first()
  await hook.focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('button', { name: 'Right hook, from the start to step 2' }).first()).toBeFocused()
  await page.keyboard.press('Control+z')
  await expect(hook).toBeVisible()

  const trap = line(page, 'Our right leg').getByRole('button', { name: /^Right leg over their right arm/ })
  const grip = (await trap.locator('.grip').last().boundingBox())!
  const box = (await trap.boundingBox())!
  await page.mouse.move(grip.x + 4, grip.y + 10)
  await page.mouse.down()
  await page.mouse.move(box.x + (box.width * 2.5) / 6, grip.y + 10, { steps: 5 })
  await page.mouse.up()
  await expect(trap).toHaveAccessibleName('Right leg over their right arm, from step 3 to step 5')
  expect(await arms(page).allTextContents()).not.toEqual(before)
  expect((await moveOf(page, 'hand-to-the-neck')).drops).toContain('right-leg-over-the-right-arm')
})

test('what cannot be is refused with the reason, and a hold is put on where a limb is free', async ({ page }) => {
  await openScore(page)
  const wrist = line(page, 'Our left arm').getByRole('button', { name: /^Left hand on their left wrist/ })
  await wrist.focus()
  for (let i = 0; i < 3; i++) await page.keyboard.press('Shift+ArrowLeft')
  await expect(refusal(page)).toContainText('with the same limb')

  await line(page, 'Our head').getByRole('button', { name: 'Our head, step 1: free. Put a hold on' }).click()
  await page.keyboard.type('Head beneath theirs')
  await page.keyboard.press('Enter')
  await expect(line(page, 'Our head').getByRole('button', { name: /^Head beneath theirs, from step 1/ })).toBeVisible()
  await page
    .getByRole('button', { name: /^Head beneath theirs/ })
    .first()
    .focus()
  await page.keyboard.press('Delete')
  await expect(page.getByRole('button', { name: /^Head beneath theirs/ })).toHaveCount(0)
  await page.keyboard.press('Control+z')
  expect((await moveOf(page, 'cross-the-wrists')).adds).toContain('head-beneath-theirs')
})

test('the check finds what comes back, and is quiet about what is meant so', async ({ page }) => {
  await openScore(page)
  const check = page.getByRole('region', { name: 'The check of this run' })
  await expect(check).toContainText('This escape is back: Late hand wedge')
  await check.getByRole('button', { name: 'Meant so' }).click()
  await page.keyboard.type('our head is beneath theirs')
  await page.keyboard.press('Enter')
  await expect(check).toContainText('the rest is meant so')
  await settled(page)
  await page.reload()
  await expect(check).toContainText('1 meant so')
  const file = (await exported(page)) as File
  expect(file.runs.find(({ name }) => name === RUN)!.intended).toHaveLength(1)
})

test('a run begins as the plan goes on, and is led another way', async ({ page }) => {
  await openScore(page)
  await page.getByRole('button', { name: '+ run' }).click()
  await page.keyboard.type('Side control, head')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('From Side control, head and far arm')
  await page.getByRole('button', { name: 'Take the last step away' }).click()
  await page.getByRole('button', { name: 'Add a step' }).click()
  await page.keyboard.type('hides it')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Add a step' }).click()
  await page.keyboard.type('kimura')
  await page.keyboard.press('Enter')
  await expect(page.locator('.heads .head')).toHaveText([
    /Side control, head and far arm/,
    /Hides it at the hip/,
    /Kimura/,
  ])
  await expect(page.getByRole('group', { name: 'What it is worth to be here' }).locator('span').last()).toHaveText(
    '100',
  )
})

test('the words of the limbs follow the roll, the side and the school', async ({ page }) => {
  await openScore(page, 'Both arms by the legs, with the roll')
  await expect(line(page, 'Our right leg')).toContainText('top')
  await page
    .getByRole('button', { name: /Roll with the bridge/ })
    .first()
    .click()
  await expect(line(page, 'Our right leg')).toContainText('bottom')
  await mirror(page)
  await expect(page.getByRole('button', { name: 'Left leg over their left arm' }).first()).toBeVisible()

  await page.getByRole('link', { name: 'One position' }).click()
  await page.getByRole('navigation', { name: 'Positions' }).getByText('Back, under side').click()
  await choose(page, page.getByRole('combobox', { name: 'Say over and under as' }), 'strong-side / weak-side')
  await expect(page.getByRole('region', { name: 'Holds that are on' })).toContainText('weak-side hand')
  await page.goto('/#/worksheet/back-under-side?move=choke-from-the-under-side')
  await expect(page.getByRole('region', { name: 'Checkpoints' })).toContainText('our weak-side hand (right) leaves')

  await page.keyboard.press('Control+k')
  await page.keyboard.type('open side')
  await expect(page.getByRole('dialog', { name: 'Find' }).getByRole('option').first()).toContainText('Back, under side')
})

test('limbs are offered in a checkpoint after a brace', async ({ page }) => {
  await openDemo(page)
  await page.goto('/#/worksheet/back-wrists-crossed?move=lift-the-top-elbow')
  const next = page.getByLabel('New checkpoint of Lift the top elbow')
  await next.fill('Keep ')
  await next.press('End')
  await page.keyboard.type('{our top kn')
  await expect(page.getByRole('option', { name: 'our top knee' })).toBeVisible()
  await page.keyboard.press('Enter')
  await page.keyboard.type(' ready')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('region', { name: 'Checkpoints' })).toContainText('Keep our top knee (right) ready')
})

test('what the plan prefers now is said for readers of every sharpness', async ({ page }) => {
  await openScore(page)
  const panel = page.getByRole('region', { name: 'Now or later' })
  for (const sharpness of ['0 %', '50 %', '90 %']) {
    await expect(panel.getByRole('row').filter({ hasText: sharpness }).last()).toContainText(/at once|first|too close/)
  }
  await expect(panel).toContainText('the answer is Cross the wrists, which then lands 7 of ten instead of 5')
})
