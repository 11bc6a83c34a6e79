import { readRegions } from '../../../scripts/shelfDoc'
import type { Chart } from '../../../src/core/chart/chart'
import type { Tries } from '../../../src/core/chart/tries'
import { setRule } from '../../../src/core/chart/edits/ruleSets'
import { BUILT_IN_RULES } from '../../../src/core/chart/rules/builtInRules'
import { struckIn } from '../../../src/core/chart/rules/ruleSets'
import { readChart } from '../../../src/core/files/chartFile'
import { scenarioOf, underRules } from '../../../src/core/game/scenario'
import { figuresOf } from '../../../src/core/insight/figures'
import { joinRegions, shelfAsChart } from '../../../src/core/shelf/shelf'
import { soundChart } from '../../fixtures/brokenCharts'
import { randomChart, randomScenario } from '../../reference/randomChart'
import { taken } from '../../reference/taken'

const struck = BUILT_IN_RULES.find(({ id }) => id === 'strikes-allowed')!.struck!

describe('being hit', () => {
  it('is what the first line that fits a position says, or nothing', () => {
    expect(struckIn({ family: 'mount', ahead: 'theirs' }, struck)).toEqual({
      every: 25,
      usesAny: ['left-hand', 'right-hand'],
    })
    expect(struckIn({ family: 'knee-ride', ahead: 'theirs' }, struck)!.every).toBe(60)
    expect(struckIn({ family: 'mount', ahead: 'ours' }, struck)).toBeUndefined()
    expect(struckIn({ family: 'mount', ahead: 'theirs' }, [])).toBeUndefined()
  })

  it.each([2, 7, 11, 18, 25])('is worth what a threat of the same hands is, on chart %i', (seed) => {
    const chart = randomChart(seed, true)
    for (const position of chart.positions) delete position.threat
    const scenario = scenarioOf(chart, randomScenario(chart, seed, true))
    const threatened: Chart = {
      ...chart,
      positions: chart.positions.map((one) => {
        const threat = struckIn(one, struck)
        return threat ? { ...one, threat } : one
      }),
    }
    const values = (of: Chart, how = scenario) => {
      const { figures } = taken(figuresOf(of, how))
      return of.positions.map(({ id }) => figures.positions[id]!.value)
    }
    const hit = values(chart, { ...scenario, struck })
    values(threatened).forEach((value, i) => expect(hit[i]).toBeCloseTo(value, 12))
  })

  it('makes the turtle, mount and the back underneath worse on the Shelf, and holding still there costs most', () => {
    const chart = shelfAsChart(joinRegions(readRegions()))
    const scenario = scenarioOf(chart, { seconds: 120 })
    const plain = taken(figuresOf(chart, scenario)).figures
    const hit = taken(figuresOf(chart, { ...scenario, ...underRules(chart, 'strikes-allowed') })).figures
    for (const id of ['turtle-bottom-tight', 'def-mount', 'def-back-open-side', 'rolled-under', 'def-crucifix']) {
      const worth = ({ positions }: typeof plain) => positions[id as never]!.value
      expect([id, worth(hit) < worth(plain) - 0.02]).toEqual([id, true])
      expect([id, hit.positions[id as never]!.best === 'wait']).toEqual([id, false])
    }
  })

  it('takes from our moves what they need while we can be hit, as if they landed less', () => {
    const strikes = [{ uses: 'hand', says: 'The head is open.', left: 0.5 }]
    const chart = randomChart(9, true)
    chart.moves.forEach((move, i) => {
      delete move.uses
      delete move.usesAny
      delete move.race
      if (i % 2 === 0) move.usesAny = ['left-hand', 'right-hand']
    })
    chart.reactions.forEach((reaction) => {
      delete reaction.uses
      delete reaction.usesAny
    })
    chart.holds = []
    for (const one of [...chart.positions, ...chart.moves, ...chart.reactions]) {
      for (const field of ['holds', 'needs', 'adds', 'drops', 'keeps', 'strips']) delete (one as never)[field]
    }
    const isHit = ({ from }: (typeof chart.moves)[number]) =>
      struckIn(
        chart.positions.find(({ id }) => id === from)!,
        struck,
      ) !== undefined
    const halved = (tries: Tries): Tries => {
      const lands = (tries.lands ?? 0) / 2
      return { ...tries, lands, stalls: (tries.stalls ?? 0) + lands }
    }
    const less: Chart = {
      ...chart,
      moves: chart.moves.map((move) =>
        move.usesAny && move.tries && isHit(move) ? { ...move, tries: halved(move.tries) } : move,
      ),
      answers: chart.answers.map((answer) => {
        const move = chart.moves.find(({ id }) => id === answer.move)!
        return answer.tries && move.usesAny && isHit(move) ? { ...answer, tries: halved(answer.tries) } : answer
      }),
    }
    for (const answer of less.answers) delete answer.race
    for (const answer of chart.answers) delete answer.race
    const scenario = { ...scenarioOf(chart, randomScenario(chart, 9, true)), struck }
    const values = (of: Chart, how: typeof scenario) => {
      const { figures } = taken(figuresOf(of, how))
      return of.positions.map(({ id }) => figures.positions[id]!.value)
    }
    const exposed = values(chart, { ...scenario, strikes })
    values(less, { ...scenario, strikes: [] }).forEach((value, i) => expect(exposed[i]).toBeCloseTo(value, 12))
    expect(exposed).not.toEqual(values(chart, { ...scenario, strikes: [] }))
  })

  it('can be changed in a set of the chart’s own, and a line that is none is refused by its field', () => {
    const chart = { ...soundChart(), settings: { ruleSets: [{ id: 'house', name: 'House', forbids: [], struck }] } }
    const read: Chart = taken(readChart(chart))
    setRule(read, 'house', 'struck', [{ ahead: 'theirs', every: 10 }])
    expect(read.settings!.ruleSets![0].struck).toEqual([{ ahead: 'theirs', every: 10 }])
    const broken = structuredClone(chart)
    Object.assign(broken.settings.ruleSets[0], { struck: [{ ahead: 'nobody', every: 0 }] })
    const refused = readChart(broken)
    const fields = refused.ok ? [] : refused.problems.map(({ path }) => path.slice(2).join('.'))
    expect(fields.sort()).toEqual(['0.struck.0.ahead', '0.struck.0.every'])
  })
})
