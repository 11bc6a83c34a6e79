import type { Chart } from '../../src/core/chart/chart'
import { emptyChart } from '../../src/core/chart/chart'
import type { PositionId } from '../../src/core/chart/ids'
import { takeOff } from '../../src/core/chart/edits/holds'
import { holder } from '../../src/core/chart/hold'
import { lookUp } from '../../src/core/chart/lookUp'
import { scenarioOf } from '../../src/core/game/scenario'
import { smallestShuttingSet } from '../../src/core/holds/oneMore'
import { figuresOf } from '../../src/core/insight/figures'
import { scriptOf } from '../../src/core/questions/script'
import { headline } from '../../src/core/say/headline'
import { sayFewest, whyNothing } from '../../src/core/say/holds'
import { sayLoop, sayScript } from '../../src/core/say/script'
import { commitTo, showMove, tellMove, weAreIn, whenIn, whenThey } from '../../src/core/say/speech'
import { joinRegions } from '../../src/core/shelf/shelf'
import { pullIn, wantedOfRegion } from '../../src/core/shelf/edits/pull'
import { demoPlan } from '../fixtures/demoPlan'
import { readShelfFiles } from '../fixtures/shelfFiles'
import { taken } from '../reference/taken'

/* A grammar check of our own: what no sentence may have, whatever the names in it. */

const EMPTY_SLOT = /undefined|null|NaN|“”|\(\)|\*\*|: ?[;.]|[;,] ?[;,.]|\.\.|\s{2}| [.,;:]/
const DOUBLED = /\b(\w+) \1\b(?<!\bthat that|had had|in in)/i
const TWO_ARTICLES = /\b(the|a|an) (the|a|an|our|their|his|her|its)\b/i
/** A verb of the third person after "they": "they rotate up and bends". */
const VERBS =
  'bend|lengthen|turn|roll|pull|push|step|circle|lift|drive|back|hip|sit|stand|frame|bridge|post|walk|hide|hug|open|close|rotate|get|come|go'
const THIRD_PERSON = new RegExp(`\\bthey [^.;:“”]*(?:and|then|or|,) (?:${VERBS})e?s\\b`)

function faultsIn(sentence: string): string[] {
  const checks = { EMPTY_SLOT, DOUBLED, TWO_ARTICLES, THIRD_PERSON }
  return Object.entries(checks).flatMap(([name, pattern]) => {
    const found = pattern.exec(sentence)
    return found ? [`${name} “${found[0]}” in: ${sentence}`] : []
  })
}

test('the check finds what is broken', () => {
  for (const broken of [
    'Least is left to them with ; free: our head.',
    'If they rotate up and bends, let it go.',
    'Then they pull, then turn and lifts it.',
    'Next bring the the wrist over.',
    'Go for the a lock.',
    'We are in “”.',
  ]) {
    expect(faultsIn(broken)).not.toEqual([])
  }
  expect(faultsIn('If they rotate up and bend it, go for the kimura: that is the finish.')).toEqual([])
})

/** The whole Shelf brought into charts, a region each, and the demo plan. */
async function charts(): Promise<[string, Chart][]> {
  const regions = await readShelfFiles()
  const shelf = joinRegions(regions)
  const each = regions.map((region): [string, Chart] => {
    const chart = emptyChart(region.id, region.title)
    pullIn(chart, shelf, wantedOfRegion(shelf, region.id))
    return [region.title, chart]
  })
  return [['the demo plan', demoPlan()], ...each]
}

describe('sentences over the whole Shelf and the demo plan', () => {
  it('are whole whatever a move, a reaction or a position is called', async () => {
    const faults = (await charts()).flatMap(([, { moves, reactions, positions }]) =>
      [
        ...moves.flatMap(({ name }) => [`Now ${tellMove(name)}.`, `Now ${showMove(name)}.`, `Now ${commitTo(name)}.`]),
        ...reactions.map(({ name }) => `If ${whenThey(name)}, let it go.`),
        ...positions.flatMap(({ name }) => [`${whenIn(name)}, hold still.`, `Then ${weAreIn(name)}.`]),
      ].flatMap(faultsIn),
    )
    expect(faults).toEqual([])
  })

  it('are whole in what is said of holds', async () => {
    // Each takes a while: all of the demo plan, and some of each region.
    const faults = (await charts()).flatMap(([, chart], i) =>
      chart.positions
        .filter((_, p) => i === 0 || p % 8 === 0)
        .flatMap(({ id }) => {
          const set = smallestShuttingSet(chart, id)
          return set ? faultsIn(sayFewest(set, (hold) => lookUp(chart.holds, hold)?.name ?? hold)) : []
        }),
    )
    expect(faults).toEqual([])
  })

  it('are whole in what the chain and its loops say, from everywhere', async () => {
    const faults = (await charts()).flatMap(([, chart]) => {
      const starts = chart.positions.filter(({ id }) => chart.moves.some(({ from }) => from === id)).slice(0, 3)
      return starts.flatMap(({ id }) => {
        const scenario = scenarioOf(chart, { start: id, seconds: 25, sharpness: 0.2 })
        const { solution, figures } = taken(figuresOf(chart, scenario))
        const script = scriptOf(solution, { share: 0.8, steps: 20 })
        const told = script ? sayScript(chart, script).flatMap(({ says, watch }) => [...says, ...watch]) : []
        const loops = script ? script.loops.map((loop) => sayLoop(chart, script, loop)) : []
        return [...told, ...loops, headline(chart, scenario, figures)].flatMap(faultsIn)
      })
    })
    expect(faults).toEqual([])
  })
})

describe('letting go of a hold that changes nothing', () => {
  const demo = demoPlan()
  const scenario = scenarioOf(demo)
  const figures = taken(figuresOf(demo, scenario)).figures

  it('says why, and only where it changes nothing', () => {
    const reasons = demo.positions.flatMap(({ id, holds = [] }) =>
      holds.flatMap((hold) => {
        const record = lookUp(demo.holds, hold)!
        if (holder(record) !== 'ours') return []
        const without = structuredClone(demo)
        takeOff(without, id, hold)
        const after = taken(figuresOf(without, scenario)).figures.positions[id]?.value
        const change = (after ?? 0) - figures.positions[id].value
        return Math.abs(change) < 0.0005 ? [whyNothing(demo, id, record, figures)] : []
      }),
    )
    expect(reasons.length).toBeGreaterThan(3)
    for (const why of reasons) expect(faultsIn(`It changes nothing: ${why}.`)).toEqual([])
    const underhook = lookUp(demo.holds, 'right-underhook')!
    expect(whyNothing(demo, 'underhook-head-clear' as PositionId, underhook, figures)).toBe(
      'nothing that they do here needs to turn away',
    )
  })

  it('is told where nobody has said what a hold takes', () => {
    const side = 'side-control-head-and-far-arm' as PositionId
    const hold = { ...lookUp(demo.holds, 'right-arm-under-the-head')!, denies: [] }
    expect(whyNothing(demo, side, hold, figures)).toBe('nobody has said what it takes from them')
  })
})
