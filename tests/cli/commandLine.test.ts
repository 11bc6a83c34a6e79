import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { BROKEN, soundChart } from '../fixtures/brokenCharts'
import { ataque } from './ataque'

const path = (relative: string) => fileURLToPath(new URL(relative, import.meta.url))
const cases = path('../fixtures/cases/')

/** The program as it is started. */
function program(...args: string[]) {
  const { status, stdout, stderr } = spawnSync('node', [path('../../bin/ataque.mjs'), ...args], {
    encoding: 'utf8',
    env: { ...process.env, ATAQUE_UNBUILT: '1' },
  })
  return { status, out: stdout, err: stderr }
}

it('starts as a program, with the exit code of the command', () => {
  expect(program('check', file(soundChart()))).toEqual({ status: 0, out: '', err: '' })
  expect(program('check', file('{'))).toMatchObject({ status: 1, out: expect.stringMatching(/not JSON/) })
  expect(program('juggle')).toMatchObject({ status: 2, err: expect.stringMatching(/no command "juggle"/) })
})

function file(content: unknown): string {
  const name = join(mkdtempSync(join(tmpdir(), 'ataque-')), 'plan.ataque.json')
  writeFileSync(name, typeof content === 'string' ? content : JSON.stringify(content))
  return name
}

describe('check', () => {
  it('says nothing of a sound chart', () => {
    expect(ataque('check', file(soundChart()))).toEqual({ status: 0, out: '', err: '' })
  })

  it('refuses a file in another encoding by name', () => {
    const name = file('')
    writeFileSync(name, Buffer.from('{ "title": "é" }', 'latin1'))
    expect(ataque('check', name)).toMatchObject({ status: 1, out: 'the file is not UTF-8 text: save it as UTF-8\n' })
  })

  it.each([
    ...BROKEN.filter(([name]) => name !== 'huge'),
    ['lists in lists', JSON.stringify({ ...soundChart(), moves: [[{ id: 'a' }]] }), /^moves/] as const,
    ['a shelf', JSON.stringify({ format: 'ataque-shelf', version: 1, positions: [null] }), /not a chart/] as const,
  ])('says a line for each problem of %s', (_, text, names) => {
    const { status, out, err } = ataque('check', file(text))
    expect([status, err]).toEqual([1, ''])
    expect(out).toMatch(names)
  })

  it('names every problem of another, one a line or as JSON', () => {
    const chart = soundChart()
    chart.moves[0].to = 'moon'
    chart.reactions[0].endsIn = 'sun'
    const broken = file(chart)
    const { status, out } = ataque('check', broken)
    expect(status).toBe(1)
    expect(out.trim().split('\n')).toEqual([
      expect.stringMatching(/^moves\[0\]\.to: \(step\).*moon/),
      expect.stringMatching(/^reactions\[0\]\.endsIn: \(bridge\).*sun/),
    ])
    const json = JSON.parse(ataque('check', broken, '--json').out)
    expect(json).toMatchObject({ ok: false, problems: [{ path: 'moves[0].to' }, { path: 'reactions[0].endsIn' }] })
  })
})

describe('solve', () => {
  const runs = JSON.parse(readFileSync(cases + 'expected.json', 'utf8')) as {
    [field: string]: unknown
    chart: string
    goal: string[]
    value: number
    nets?: { move: string; reaction: string; net: number }[]
  }[]
  const rich = runs.filter(({ nets }) => nets?.length)

  it.each(rich.filter((_, i) => i % Math.ceil(rich.length / 4) === 0))('gives the worked figures of $chart', (run) => {
    const { status, out } = ataque(
      ...['solve', cases + run.chart, '--start', String(run.start), '--seconds', String(run.seconds ?? 'none')],
      ...['--sharpness', String(run.sharpness), '--objective', String(run.objective)],
      ...['--break-up', String(run.breakUp ?? 'never'), '--repeat', String(run.repeat), '--json'],
      ...(run.goal.length ? ['--goal', run.goal.join(',')] : []),
    )
    expect(status).toBe(0)
    const report = JSON.parse(out)
    expect(report.value).toBeCloseTo(run.value, 7)
    expect(report.best).toBe(run.best)
    for (const { move, reaction, net } of run.nets!) {
      const found = report.nets.find(
        (r: { move: string; reaction: string }) => r.move === move && r.reaction === reaction,
      )
      expect(found.net).toBeCloseTo(net, 7)
    }
    const { finish, caught, ahead, even, behind } = report
    expect(finish + caught + ahead + even + behind).toBeCloseTo(1, 7)
  })

  it('reports what is seen on coming to a position, what is best then, and how often they make us see it', () => {
    type Seen = Record<string, { value: number; best: string; share: number }>
    interface WithSeen {
      [field: string]: unknown
      positions: Record<string, { seen?: Seen }>
    }
    const fourth = JSON.parse(readFileSync(cases + 'expected-fourth.json', 'utf8')) as WithSeen[]
    const run = fourth.find(({ chart, positions, seconds }) => chart === '9-seen.json' && positions && seconds)!
    const { out } = ataque(
      ...['solve', cases + run.chart, '--start', String(run.start), '--seconds', String(run.seconds), '--json'],
      ...['--sharpness', String(run.sharpness), '--objective', String(run.objective), '--slips', String(run.slips)],
      ...['--break-up', String(run.breakUp ?? 'never'), '--repeat', String(run.repeat)],
    )
    const report = JSON.parse(out) as WithSeen
    const seen = Object.entries(run.positions).filter(([, wanted]) => wanted.seen)
    expect(seen.length).toBeGreaterThan(0)
    for (const [id, wanted] of seen) {
      expect(report.positions[id]).toMatchObject({ best: null })
      for (const [cue, { value, best, share }] of Object.entries(wanted.seen!))
        expect(report.positions[id].seen![cue]).toEqual({
          ...{ best, value: expect.closeTo(value, 9), share: expect.closeTo(share, 9) },
        })
    }
  })

  it('reports bounds without a clock and costs of loose ends', () => {
    const chart = soundChart()
    chart.answers = []
    const report = JSON.parse(ataque('solve', file(chart), '--start', 'side', '--seconds', 'none', '--json').out)
    expect(report.upper - report.lower).toBeLessThanOrEqual(1e-9)
    expect(report.looseEnds).toMatchObject([{ move: 'step', reaction: 'bridge' }])
  })

  it.each([
    [['solve', cases + '1-two-moves.json', '--json'], /--start/],
    [['solve', cases + '1-two-moves.json', '--start', 'moon', '--json'], /there is no position "moon"/],
    [['solve', cases + '1-two-moves.json', '--start', 'side-hug', '--sharpness', '7', '--json'], /sharpness/],
    [['solve', cases + '1-two-moves.json', '--start', 'side-hug', '--seconds', 'soon', '--json'], /--seconds/],
    [['solve', cases + '1-two-moves.json', '--nonsense'], /nonsense/],
    [['check'], /FILE/],
    [['check', '/nowhere/plan.json'], /cannot read/],
    [['juggle'], /no command "juggle"/],
  ])('%j is wrong usage', (args, says) => {
    const { status, err, out } = ataque(...args)
    expect([status, out]).toEqual([2, ''])
    expect(err).toMatch(says)
  })

  it('refuses a broken chart', () => {
    const { status, err } = ataque('solve', file('{'), '--start', 'side', '--json')
    expect(status).toBe(1)
    expect(err).toMatch(/not JSON/)
  })
})

describe('spar', () => {
  const demo = path('../../demo/tern-street.ataque.json')
  const spar = (...more: string[]) => ataque('spar', demo, '--games', '4000', ...more)

  it('plays with dice what the plan foretells, the same again for the same seed', () => {
    const { status, out, err } = spar('--seed', '3', '--json')
    expect([status, err]).toEqual([0, ''])
    const { worth, error, value, games, finish, caught, over, brokenOff } = JSON.parse(out)
    expect(games).toBe(4000)
    expect(value).toBe(
      JSON.parse(ataque('solve', demo, '--start', 'underhook-head-clear', '--seconds', '240', '--json').out).value,
    )
    expect(Math.abs(worth - value)).toBeLessThan(4.5 * error)
    expect(finish + caught + over + brokenOff).toBeCloseTo(1, 12)
    expect(spar('--seed', '3', '--json').out).toBe(out)
    expect(spar('--seed', '4', '--json').out).not.toBe(out)
  })

  it('says less for choices left to chance, and follows the options of the scenario', () => {
    const worth = (...more: string[]) => Number(/^worth (.*)$/m.exec(spar(...more).out)![1])
    expect(worth('--policy', 'random')).toBeLessThan(worth('--policy', 'best') - 0.1)
    expect(worth('--seconds', '5')).toBeLessThan(worth() - 0.1)
  })

  it.each([
    [['--policy', 'worst'], /--policy wants one of best, random, not "worst"/],
    [['--games', '0'], /--games wants a whole number from 1/],
    [['--seed', 'one'], /--seed wants a number, not "one"/],
    [['--seconds', 'none'], /a clock is needed/],
    [['--start', 'moon'], /moon/],
  ])('refuses %j as wrong usage', (more, says) => {
    expect(ataque('spar', demo, ...more)).toMatchObject({ status: 2, out: '', err: expect.stringMatching(says) })
  })

  it('says what is wrong with a chart, or with a file that is none', () => {
    const chart = soundChart()
    chart.moves[0].to = 'moon'
    expect(ataque('spar', file(chart))).toMatchObject({ status: 1, err: expect.stringMatching(/^moves\[0\]\.to/) })
  })
})
