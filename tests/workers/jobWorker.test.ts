import { readChart } from '../../src/core/files/chartFile'
import { scenarioOf } from '../../src/core/game/scenario'
import { figuresOf } from '../../src/core/insight/figures'
import type { FromWorker, ToWorker } from '../../src/workers/protocol'
import { soundChart } from '../fixtures/brokenCharts'
import { demoPlan } from '../fixtures/demoPlan'
import { taken } from '../reference/taken'

const chart = taken(readChart(soundChart()))
const scenario = scenarioOf(chart, { seconds: 30 })

/** The worker's own module, with a stand-in for the worker's global scope. */
describe('the background worker', () => {
  const channels: MessageChannel[] = []
  const sent: FromWorker[] = []
  const scope = { postMessage: (message: FromWorker) => void sent.push(message) } as {
    postMessage: (message: FromWorker) => void
    onmessage?: (event: { data: ToWorker }) => void
  }
  const hear = (data: ToWorker) => scope.onmessage!({ data })

  beforeAll(async () => {
    class Channel extends MessageChannel {
      constructor() {
        super()
        channels.push(this)
      }
    }
    Object.assign(globalThis, { self: scope, MessageChannel: Channel })
    await import('../../src/workers/job.worker')
  })
  afterAll(() => channels.forEach(({ port1 }) => port1.close()))

  async function until(isSo: () => boolean) {
    while (!isSo()) await new Promise((turn) => setTimeout(turn, 1))
  }

  it('answers what it is asked through its messages', async () => {
    hear({ kind: 'ask', ticket: 1, question: { of: 'figures', scenario }, chart: { whole: chart } })
    await until(() => sent.some(({ kind }) => kind === 'answer'))
    expect(sent.at(-1)).toMatchObject({ ticket: 1, answer: { figures: taken(figuresOf(chart, scenario)).figures } })
  })

  it('hears a stop between two steps of its work', async () => {
    sent.length = 0
    let isStopped = false
    scope.postMessage = (message) => {
      sent.push(message)
      if (message.kind !== 'progress' || isStopped) return
      isStopped = true
      hear({ kind: 'stop', ticket: 2 })
    }
    const demo = demoPlan()
    const range = { of: 'range' as const, scenario: scenarioOf(demo), places: [], part: { from: 0, every: 1 } }
    hear({ kind: 'ask', ticket: 2, question: range, chart: { whole: demo } })
    await until(() => sent.some(({ kind }) => kind !== 'progress'))
    await new Promise((turn) => setTimeout(turn, 50))
    expect(sent.filter(({ kind }) => kind !== 'progress')).toEqual([{ kind: 'stopped', ticket: 2 }])
  })
})
