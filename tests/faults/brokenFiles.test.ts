import 'fake-indexeddb/auto'
import { seeded } from '../../bench/generate'
import { decodeText } from '../../src/core/document/text'
import { makeChart } from '../../src/core/files/chartFile'
import { BROKEN } from '../fixtures/brokenCharts'
import { demoPlan } from '../fixtures/demoPlan'
import { beginTest, openTab, sound } from '../stores/tab'
import { amount, report } from './amount'

/* A file that is cut off, mixed up or of something else changes nothing of what is there, and is refused by name. */

const demo = new TextEncoder().encode(makeChart(demoPlan()))

/** The bytes of the demo plan's file with one thing done to them that happens to files. */
function damaged(seed: number): Uint8Array {
  const random = seeded(seed)
  const at = Math.floor(random() * demo.length)
  const bytes = demo.slice()
  const ways = [
    () => bytes.subarray(0, at),
    () => bytes.subarray(at),
    () => bytes.fill(0, at, at + 512),
    () => bytes.fill(Math.floor(random() * 256), at, at + 1),
    () => bytes.copyWithin(at, 0, 4_096),
    () => bytes.fill(0xe9, at, at + 2),
  ]
  return ways[Math.floor(random() * ways.length)]!()
}

const DAMAGED = amount(40, 300)
let longest = 0
let refused = 0
let tried = 0
let well = 0
afterAll(() => report('broken files', tried, tried - well, `${longest} ms for one; ${refused} refused by name`))

beforeEach(beginTest)

it('nothing that is there is touched by files that cannot be read', async () => {
  const charts = await openTab()
  await charts.add(sound())
  const before = [charts.exportText(), charts.entries.map(({ id }) => id)]
  const texts = BROKEN.map(([, text]) => text)
  for (let seed = 1; seed <= DAMAGED; seed++) {
    const text = decodeText(damaged(seed))
    if (text.ok) texts.push(text.value)
    else {
      expect(text.problems).toMatchObject([{ code: 'not-utf8' }])
      refused++
      well++
    }
  }
  tried = BROKEN.length + DAMAGED
  for (const text of texts) {
    const from = performance.now()
    const read = await charts.importText(text)
    longest = Math.max(longest, Math.round(performance.now() - from))
    if (read.state === 'refused') {
      refused++
      expect(read.problems.every(({ message }) => message.length > 5)).toBe(true)
      expect([charts.exportText(), charts.entries.map(({ id }) => id)]).toEqual(before)
      well++
      continue
    }
    // What was only a letter in a name is a chart still.
    if (read.state !== 'added') throw new Error(`it was ${read.state}`)
    await charts.forget(read.id)
    await charts.open('sound')
    well++
  }
  expect(refused).toBeGreaterThan(BROKEN.length)
})
