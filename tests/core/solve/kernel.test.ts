import { readFileSync } from 'node:fs'
import { kernelText } from '../../../scripts/compileKernel'
import { compileGame } from '../../../src/core/game/compileGame'
import { NONE } from '../../../src/core/game/game'
import { scenarioOf } from '../../../src/core/game/scenario'
import { Stepper } from '../../../src/core/solve/stepper'
import { ValueTable } from '../../../src/core/solve/valueTable'
import { randomChart } from '../../reference/randomChart'
import { taken } from '../../reference/taken'

describe('the compiled equations', () => {
  it('are those of their source', async () => {
    const kept = readFileSync(new URL('../../../src/core/solve/kernelBinary.ts', import.meta.url), 'utf8')
    expect(kept).toBe(await kernelText())
  })

  it('hold one game at a time, and refuse to step another', () => {
    const chart = randomChart(1, true)
    const game = taken(compileGame(chart, scenarioOf(chart)))
    const stepper = () => new Stepper(game, new ValueTable(game, 2).values)
    const step = (one: Stepper) => one.step(0, () => NONE)
    const first = stepper()
    expect(() => step(first)).not.toThrow()
    const second = stepper()
    expect(() => step(first)).toThrow('holds another game')
    expect(() => step(second)).not.toThrow()
  })
})
