import { readFileSync } from 'node:fs'
import { kernelText } from '../../../scripts/compileKernel'
import { compileGame } from '../../../src/core/game/compileGame'
import { NONE } from '../../../src/core/game/game'
import { scenarioOf } from '../../../src/core/game/scenario'
import { theKernel } from '../../../src/core/solve/kernel'
import { Stepper } from '../../../src/core/solve/stepper'
import { ValueTable } from '../../../src/core/solve/valueTable'
import { randomChart } from '../../reference/randomChart'
import { taken } from '../../reference/taken'

describe('the compiled equations', () => {
  // The first test, while they have not been started yet.
  it('say what to do where they cannot be started', () => {
    const { WebAssembly } = globalThis
    Reflect.deleteProperty(globalThis, 'WebAssembly')
    try {
      expect(theKernel).toThrow('allow it for this page, or use a newer browser')
    } finally {
      globalThis.WebAssembly = WebAssembly
    }
    expect(theKernel).not.toThrow()
  })

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
