import { expect, type Page } from '@playwright/test'

interface Screen {
  name: string
  path: string
  /** A part of the screen before it, which stands beside the others where there is room for all. */
  isPart?: boolean
}

/** Every screen, with the demo plan, and with something of it open where that changes what is drawn. */
export const SCREENS: readonly Screen[] = [
  { name: 'desk', path: '/desk' },
  { name: 'slope', path: '/slope' },
  { name: 'slope-all', path: '/slope?show=all' },
  { name: 'slope-about', path: '/slope?at=place%20side-control-head-and-far-arm' },
  { name: 'worksheet', path: '/worksheet/side-control-head-and-far-arm?move=americana' },
  { name: 'worksheet-list', path: '/worksheet/side-control-head-and-far-arm?part=list', isPart: true },
  { name: 'worksheet-about', path: '/worksheet/side-control-head-and-far-arm?move=americana&part=about', isPart: true },
  { name: 'seen', path: '/worksheet/turtle-at-the-flank' },
  { name: 'cards', path: '/see-and-do' },
  { name: 'holds', path: '/holds/side-control-hips-low?hold=left-knee-on-the-near-hip' },
  { name: 'holds-about', path: '/holds/side-control-hips-low?hold=left-knee-on-the-near-hip&part=about', isPart: true },
  { name: 'score', path: '/score/two-arms-then-the-choke' },
  { name: 'runs', path: '/runs' },
  { name: 'side-by-side', path: '/runs/side-by-side' },
  { name: 'rounds', path: '/runs/rounds' },
  { name: 'beat', path: '/runs/beat' },
  { name: 'what-if', path: '/runs/what-if' },
  { name: 'sessions', path: '/sessions?part=sheet' },
  { name: 'sessions-list', path: '/sessions?part=list', isPart: true },
  { name: 'sessions-block', path: '/sessions?block=watch&part=about' },
  { name: 'people', path: '/people' },
  { name: 'person', path: '/people?person=bram&part=sheet' },
  { name: 'person-page', path: '/people/page?person=odile' },
  { name: 'rivals', path: '/people/rivals?person=thetalloneNorthhall&part=sheet'.toLowerCase() },
  { name: 'beside', path: '/people/beside' },
  { name: 'memory', path: '/people/memory' },
  { name: 'trends', path: '/trends' },
  { name: 'weeks', path: '/trends/weeks' },
  { name: 'in-the-room', path: '/trends/room' },
  { name: 'came-true', path: '/trends/true' },
  { name: 'two', path: '/trends/two' },
  { name: 'matches', path: '/sessions/matches' },
  { name: 'review', path: '/sessions/review?class=class-2026-11-19' },
  { name: 'limits', path: '/sessions/limits' },
  { name: 'class-cards', path: '/sessions/cards?class=class-2026-11-24' },
  { name: 'lesson', path: '/sessions/review?class=lesson-2026-11-14' },
  { name: 'take-home', path: '/sessions/home?class=lesson-2026-11-14' },
  { name: 'mat', path: '/mat' },
  { name: 'mat-log', path: '/mat/1' },
  { name: 'walk', path: '/walk' },
  { name: 'rehearse', path: '/rehearse' },
  { name: 'spar', path: '/rehearse/spar' },
  { name: 'say-back', path: '/rehearse/say' },
  { name: 'homework', path: '/rehearse/homework' },
  { name: 'shelf', path: '/shelf?region=side-control&at=move%20americana-finish&part=sheet' },
  { name: 'shelf-list', path: '/shelf?part=list', isPart: true },
  { name: 'shelf-entry', path: '/shelf?region=side-control&at=move%20americana-finish&part=about', isPart: true },
  { name: 'rules', path: '/rules' },
  { name: 'rules-set', path: '/rules?part=sheet', isPart: true },
  { name: 'charts', path: '/charts' },
  { name: 'settings', path: '/settings' },
]

/** The screens that differ in a window `width` px wide. */
export const screensAt = (width: number): readonly Screen[] => SCREENS.filter(({ isPart }) => !isPart || width < 1024)

export const SIZES = [
  { width: 1920, height: 1080 },
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 768, height: 1024 },
  { width: 390, height: 844 },
  { width: 360, height: 640 },
] as const

const TITLES: Record<string, string> = {
  score: 'Limb score',
  'worksheet-paper': 'Positions on paper',
  'see-and-do': 'See-and-do',
  walk: 'Walk round',
}

/** Goes to a screen and waits until it is drawn with its figures. */
export async function open(page: Page, path: string): Promise<void> {
  const screen = path.split(/[/?]/)[1]!
  await page.goto(`/#${path}`)
  await expect(page).toHaveTitle(new RegExp(`^${TITLES[screen] ?? screen}`, 'i'))
  await page.waitForLoadState('networkidle')
  await expect(page.locator('h1').first()).toBeAttached()
  await expect(page.getByText(/^(Laying it out|Opening the Shelf)/)).toHaveCount(0)
  await page.evaluate(async () => {
    await document.fonts.ready
    for (let i = 0; i < 3; i++) await new Promise(requestAnimationFrame)
  })
}
