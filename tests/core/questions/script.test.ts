import { ALWAYS } from '../../../src/core/chart/hazard'
import type { Chart } from '../../../src/core/chart/chart'
import type { CueId, PositionId } from '../../../src/core/chart/ids'
import { lookUp } from '../../../src/core/chart/lookUp'
import { scenarioOf, type Scenario } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { sayScript, scriptAsMarkdown, watchOf } from '../../../src/core/say/script'
import { scriptFrom, scriptOf, type Script } from '../../../src/core/questions/script'
import { commitTo, showMove } from '../../../src/core/say/speech'
import { seeded } from '../../../bench/generate'
import { actionName, isProbe } from '../../../src/core/game/describe'
import { TERMINALS } from '../../../src/core/game/game'
import { demoPlan } from '../../fixtures/demoPlan'
import { playOut } from '../../../src/core/simulate/playOut'
import { randomChart, randomScenario } from '../../reference/randomChart'
import { taken } from '../../reference/taken'

const demo = demoPlan()
const { start } = scenarioOf(demo)
const toldOf = (share: number, instead: Partial<Scenario> = {}, steps = 60) =>
  scriptOf(taken(figuresOf(demo, scenarioOf(demo, instead))).solution, { share, steps })!
const script = toldOf(0.8)
const told = sayScript(demo, script)

describe('the plan as a script', () => {
  it('does what the figures say is best, begins at the start and covers what was asked', () => {
    const { figures } = taken(figuresOf(demo, scenarioOf(demo)))
    expect(script.steps[0]).toMatchObject({
      key: script.start,
      position: start,
      does: figures.best,
      value: figures.value,
    })
    expect(script.steps[0].reach).toBeGreaterThanOrEqual(1)
    // Sixty things are told at most.
    if (script.steps.length < 60) expect(script.covered).toBeGreaterThanOrEqual(0.8)
    expect(script.covered).toBeGreaterThan(0.7)
    for (const { ways } of script.steps) {
      if (ways.length) expect(ways.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9)
      const last = (cue?: string) => Number(cue === 'nothing')
      expect([...ways].sort((a, b) => last(a.cue) - last(b.cue) || b.share - a.share)).toEqual(ways)
    }
  })

  it('looks first where one chooses by what is seen, and says what is done then', () => {
    const [first] = demo.moves.filter(({ from }) => from === start)
    const cue = { id: 'head-up' as CueId, name: 'Their head is up' }
    const seeing: Chart = {
      ...demo,
      cues: [cue],
      positions: demo.positions.map((one) => (one.id === start ? { ...one, seen: { [cue.id]: 4, nothing: 6 } } : one)),
      moves: demo.moves.map((one) => (one === first ? { ...one, when: [cue.id] } : one)),
    }
    const { solution } = taken(figuresOf(seeing, scenarioOf(seeing, { sharpness: 0 })))
    const found = scriptOf(solution, { share: 0.8, steps: 60 })!
    expect(found.steps[0]).toMatchObject({ key: found.start, does: 'look', position: start })
    expect(found.steps[0].ways.map(({ kind, cue, share }) => [kind, cue, share])).toEqual([
      ['seen', cue.id, 0.4],
      ['seen', 'nothing', 0.6],
    ])
    const says = sayScript(seeing, found)[0].says.join(' ')
    expect(says).toContain('look first.')
    expect(says).toMatch(/If you see “their head is up” \(four times of ten\), .+\(\d\)\./)
    expect(says).toMatch(/Otherwise \(six times of ten\), .+\(\d+\)\./)
  })

  it('grows with what is asked, and stops at so many steps', () => {
    const sizes = [0.5, 0.7, 0.9].map((share) => toldOf(share).steps.length)
    expect([...sizes].sort((a, b) => a - b)).toEqual(sizes)
    expect(toldOf(1, {}, 7).steps).toHaveLength(7)
  })

  it.each([2, 5, 11, 16, 23, 30])('on chart %i stays within the chances that there are', (seed) => {
    const chart = randomChart(seed, true)
    const { solution } = taken(figuresOf(chart, scenarioOf(chart, randomScenario(chart, seed, seed % 2 === 0))))
    const found: Script | null = scriptOf(solution, { share: 0.95, steps: 40 })
    if (!found) return
    expect(found.covered).toBeLessThanOrEqual(1)
    const keys = new Set(found.steps.map(({ key }) => key))
    expect(keys.size).toBe(found.steps.length)
    for (const { key, stalled, does } of found.steps)
      if (key !== found.start && stalled) expect(does).not.toBeUndefined()
    expect(sayScript(chart, found).every(({ says }) => says.join(' ').length > 10)).toBe(true)
  })

  it.each([0.5, 0.8])('covers as many exchanges as are played within it with dice, asked for %d', (share) => {
    const { solution } = taken(figuresOf(demo, scenarioOf(demo)))
    const { steps, covered } = scriptOf(solution, { share, steps: 60 })!
    const does = new Map(steps.map((step) => [step.key, `${step.does} ${step.isShown}`]))
    const random = seeded(3)
    let inside = 0
    for (let i = 0; i < 4000; i++) {
      let [state, stays] = [solution.game.start, true]
      playOut(solution, random, {
        tried: (action) => {
          const name = `${actionName(solution.game, action)} ${isProbe(solution.game, action) || undefined}`
          if (does.get(state) !== name) stays = false
        },
        arrived: (next) => {
          state = next
          if (next >= TERMINALS && !does.has(next)) stays = false
        },
        saw: (next) => {
          state = next
          if (!does.has(next)) stays = false
        },
      })
      if (stays) inside++
    }
    expect(Math.abs(inside / 4000 - covered)).toBeLessThan(5 * Math.sqrt((covered * (1 - covered)) / 4000))
  })

  it('names what is seen only where something else is done then', () => {
    const moves = demo.moves.filter(({ from }) => from === start)
    const cues = ['head-up', 'head-low', 'hips-near'].map((id) => ({ id: id as CueId, name: id.replace('-', ' ') }))
    const seen = { 'head-up': 4, 'head-low': 3, 'hips-near': 1, nothing: 2 }
    const seeing: Chart = {
      ...demo,
      cues,
      positions: demo.positions.map((one) => (one.id === start ? { ...one, seen } : one)),
      moves: demo.moves.map((one) => (one === moves[0] ? { ...one, when: [cues[0].id] } : one)),
    }
    const { solution, figures } = taken(figuresOf(seeing, scenarioOf(seeing, { sharpness: 0 })))
    const best = moves.find(({ id }) => id === figures.positions[start]!.best)!
    const [, ...says] = sayScript(seeing, scriptOf(solution, { share: 0.8, steps: 60 })!)[0].says
    expect(best).not.toBe(moves[0])
    expect(says).toEqual([
      expect.stringMatching(/^If you see “head up” \(four times of ten\), .+ \(\d+\)\.$/),
      expect.stringMatching(/^Otherwise \(six times of ten\), .+ \(\d+\)\.$/),
    ])
  })

  it('says that nothing seen is a reason where one thing is done whatever is seen', () => {
    const seen = { 'head-up': 4, nothing: 6 }
    const seeing: Chart = {
      ...demo,
      cues: [{ id: 'head-up' as CueId, name: 'Their head is up' }],
      positions: demo.positions.map((one) => (one.id === start ? { ...one, seen } : one)),
    }
    const worst = demo.moves
      .filter(({ from }) => from === start)
      .map(
        ({ id }) => [id, taken(figuresOf(demo, scenarioOf(demo, { sharpness: 0 }))).figures.moves[id].value!] as const,
      )
      .sort((a, b) => a[1] - b[1])[0][0]
    const waiting: Chart = {
      ...seeing,
      moves: seeing.moves.map((one) => (one.id === worst ? { ...one, when: ['head-up' as CueId] } : one)),
    }
    const { solution } = taken(figuresOf(waiting, scenarioOf(waiting, { sharpness: 0 })))
    const [first] = sayScript(waiting, scriptOf(solution, { share: 0.8, steps: 60 })!)
    expect(first.says).toEqual([expect.stringMatching(/^From underhook, head clear, whatever you see, .+ \(\d+\)\.$/)])
  })

  it('is from any position what it is where one begins there', () => {
    const { solution } = taken(figuresOf(demo, scenarioOf(demo)))
    for (const { id } of demo.positions.slice(1, 5)) {
      const begun = scriptOf(taken(figuresOf(demo, scenarioOf(demo, { start: id }))).solution, { share: 0.8, steps: 9 })
      const told = scriptFrom(demo, solution, id, { share: 0.8, steps: 9 })
      const plain = (one: Script | null) =>
        one && [
          one.covered.toFixed(9),
          one.steps.map(({ position, does, reach }) => [position, does, reach.toFixed(9)]),
        ]
      expect(plain(told)).toEqual(plain(begun))
    }
  })

  it('is nothing from a position that is a goal', () => {
    const solved = taken(figuresOf(demo, scenarioOf(demo, { goal: ['mount-head-and-arm' as PositionId] }))).solution
    expect(scriptFrom(demo, solved, 'mount-head-and-arm' as PositionId, { share: 0.8, steps: 9 })).toBeNull()
  })

  it('follows the clock: with no time for anything it holds still or takes what is left', () => {
    const short = toldOf(0.9, { seconds: 3 })
    expect(short.steps.length).toBeLessThan(toldOf(0.9).steps.length)
  })
})

describe('the script, said', () => {
  it('says the demo plan sentence by sentence', () => {
    expect(told[0]).toMatchObject({
      number: 1,
      position: start,
      head: 'Underhook, head clear: shoot the high crotch',
    })
    expect(told[0].says).toEqual([
      'From underhook, head clear, shoot the high crotch.',
      'Four times of ten it lands: we are in high crotch, in on the leg (2).',
      expect.stringMatching(
        /^If they sprawl on us \(three times of ten\), go for the hip-sit to guard: we are in our closed guard \(\d+\)\.$/,
      ),
      expect.stringMatching(
        /^If they bury the head \(twice in ten\), walk them down: we are in front headlock, knees down \(\d+\)\.$/,
      ),
      'Now and then it is over, nobody ahead.',
      expect.stringMatching(/^Otherwise .+ \(\d+\)\.$/),
    ])
    const choke = told.find(({ head }) => head === 'Front headlock, knees down: arm-in choke')!
    expect(choke.says.slice(0, 2)).toEqual([
      'In front headlock, knees down, go for the arm-in choke.',
      'Once in ten it lands: that is the finish.',
    ])
    expect(choke.watch).toEqual(
      expect.arrayContaining([
        expect.stringMatching(/^Usual mistake: squeezing with the arms only\./),
        expect.stringMatching(/^Caution, neck: tap/),
      ]),
    )
    const second = told.find(({ head }) => head === 'Side control, head and far arm: kimura')!
    expect(second.says[0]).toBe('In side control, head and far arm, once the other came to nothing, go for the kimura.')
    expect([second.value, choke.value === null]).toEqual([null, false])
  })

  it('tells each thing once, numbers it, and points only to what is told', () => {
    const told = sayScript(demo, toldOf(0.9))
    expect(told.map(({ number }) => number)).toEqual(told.map((_, i) => i + 1))
    expect(new Set(told.map(({ head }) => head)).size).toBe(told.length)
    for (const { says } of told) {
      for (const [, number] of says.join(' ').matchAll(/\((\d+)\)/g))
        expect(Number(number)).toBeLessThanOrEqual(told.length)
      for (const sentence of says) expect(sentence).toMatch(/^[A-Z].*\.$/)
      expect(says.join(' ')).not.toMatch(
        /undefined|null|\.\.|,,|\s{2}| \.|\bthey (?!cross|press)[a-z]+s (the|us|our|in)\b/,
      )
    }
  })

  it('says to hold still where that is best, and what they do meanwhile', () => {
    const still = taken(figuresOf(demo, scenarioOf(demo, { sharpness: 0 })))
    const holding = demo.positions.find(({ id }) => still.figures.positions[id]?.best === 'wait')
    if (!holding) return
    const [first] = sayScript(demo, scriptFrom(demo, still.solution, holding.id, { share: 0.9, steps: 20 })!)
    expect(first.says[0]).toMatch(/, hold still\.$/)
  })

  it('saves as a text that has every paragraph and what always holds', () => {
    const text = scriptAsMarkdown('The chain', ['from here'], told, (worth) => worth.toFixed(2))
    expect(text.startsWith('# The chain\n\nfrom here\n\n## 1. Underhook, head clear')).toBe(true)
    expect(text.match(/, worth -?0\.\d\d$/gm)!.length).toBe(told.filter(({ value }) => value !== null).length)
    expect(text.match(/^## /gm)).toHaveLength(told.length)
    expect(text.trimEnd().endsWith(ALWAYS)).toBe(true)
  })

  it('says of a move what to watch: the cue, a checkpoint with its test, what stays on, the mistake', () => {
    const pass = lookUp(demo.moves, 'cross-face-and-pass')!
    expect(watchOf(pass)).toContain('Keep the cross-face until the knee is through.')
    expect(watchOf({ ...pass, notes: 'Ours. When: They lie flat. Build: heavy.' })[0]).toBe('Go when: they lie flat.')
    const tested = { ...pass, checkpoints: [{ id: 'a', text: 'Knee at {their near hip}', test: 'no gap' }] }
    expect(watchOf(tested)[0]).toBe('Knee at their near hip (test: no gap).')
  })
})

describe('a move that is only shown', () => {
  it('is told as what it is, with what it should draw, and the answer as what is meant', () => {
    const probe = { lands: 0.4, stalls: 1, reactions: 1.5 }
    const shown = sayScript(demo, toldOf(0.9, { probe }))
    const spin = shown.find(({ says }) => says[0].includes('only begin to clock the collar'))!
    expect(spin.says[0]).toMatch(
      /^In turtle, at the flank, (once the other came to nothing, )?only begin to clock the collar and expect that they turn in under us\.$/,
    )
    expect(shown.flatMap(({ says }) => says).filter((said) => /^Otherwise .*expect that/.test(said))).toEqual([])
    expect(spin.says).toContainEqual(
      expect.stringMatching(
        /^If they turn in under us \(\w+ .+\), commit to the cross-face and pass: we are in side control, .+\.$/,
      ),
    )
    expect(told.some(({ says }) => /only begin|commit|show/.test(says.join(' ')))).toBe(false)
  })

  it('is a thing that is shown, or something that is only begun', () => {
    expect([showMove('Kimura'), showMove('Snap the head down')]).toEqual([
      'show the kimura',
      'only begin to snap the head down',
    ])
    expect([commitTo('Armbar'), commitTo('Step over the head')]).toEqual([
      'commit to the armbar',
      'commit and step over the head',
    ])
  })
})
