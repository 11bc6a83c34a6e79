import { produce } from 'immer'
import { seeded } from '../../bench/generate'
import type { Chart } from '../../src/core/chart/chart'
import { CHART_KIND } from '../../src/core/chart/chartKind'
import { mergeCharts } from '../../src/core/chart/mergeCharts'
import { bareChart } from '../../src/core/chart/shared'
import { fieldsOf, isRecord, recordsIn } from '../../src/core/document/fields'
import { keyOfRecord } from '../../src/core/document/kind'
import type { Conflict, Side } from '../../src/core/document/merge'
import { checkDocument } from '../../src/core/document/read'
import { problemText, Refusal } from '../../src/core/problem'
import { EVERY_EDIT } from '../reference/everyEdit'
import { randomChart } from '../reference/randomChart'
import { drawWith, type RandomEdit } from '../reference/randomEdits'

/* Two coaches edit one chart, each in his own way, and the two are merged again. */

const edits = Object.values<RandomEdit>(EVERY_EDIT)
const SEEDS = Array.from({ length: 120 }, (_, i) => i + 1)

/** The chart after some edits, each sound. */
function worked(chart: Chart, seed: number, n: number): Chart {
  const draw = drawWith(seeded(seed))
  let now = chart
  for (let i = 0; i < n && now.moves.length && now.reactions.length; i++) {
    try {
      const after = produce(now, (draft) => void draw.one(edits)(draft as Chart, draw))
      if (!checkDocument(CHART_KIND, after).length) now = after
    } catch (error) {
      if (!(error instanceof Refusal)) throw error
    }
  }
  return now
}

const text = (value: unknown) => JSON.stringify(value)

/** Every value that a chart has, by its place, apart from the order of lists; told without the merge's own parts. */
function valuesOf(chart: Chart): Map<string, string> {
  const found = new Map<string, string>()
  for (const [field, value] of Object.entries(bareChart(chart))) {
    if (field in CHART_KIND.lists) {
      for (const record of recordsIn({ [field]: value }, field)) {
        const key = keyOfRecord(CHART_KIND, field, record)
        found.set(`${field}/${key}/`, 'there')
        for (const [name, one] of Object.entries(fieldsOf(record))) found.set(`${field}/${key}/${name}`, text(one))
      }
    } else if (isRecord(value))
      for (const [name, one] of Object.entries(value)) found.set(`//${field}.${name}`, text(one))
    else found.set(`//${field}`, text(value))
  }
  return found
}

const recordOf = (place: string) => `${place.split('/').slice(0, 2).join('/')}/`
const all = (side: Side) => () => side

describe('two coaches, one plan', () => {
  const cases = SEEDS.map((seed) => {
    const base = randomChart(seed, seed % 2 === 0)
    return { seed, base, mine: worked(base, 2 * seed, 14), theirs: worked(base, 2 * seed + 1, 14) }
  })
  const seen = { conflicts: 0, taken: 0, orders: 0, wholes: 0, unsound: 0 }

  it.each(cases)('no edit that does not collide is lost: chart $seed', ({ base, mine, theirs }) => {
    const asked = new Map<string, Conflict>()
    const merged = mergeCharts(base, mine, theirs, (conflict) => {
      asked.set(conflict.id, conflict)
      return 'mine'
    })
    const [b, m, t, now] = [base, mine, theirs, merged.document].map(valuesOf) as Map<string, string>[]
    for (const place of new Set([...b!.keys(), ...m!.keys(), ...t!.keys()])) {
      const [was, ours, others, is] = [b!, m!, t!, now!].map((values) => values.get(place))
      // A record that one side has taken away is decided as a whole.
      const whole = recordOf(place)
      const isWhole = !place.startsWith('//') && m!.has(whole) !== t!.has(whole)
      if (!place.startsWith('//') && !m!.has(whole) && !t!.has(whole)) {
        expect([place, is]).toEqual([place, undefined])
        continue
      }
      if (!place.startsWith('//') && asked.has(whole)) {
        // Chosen as a whole: only one side has it, or the two have made different things of one name.
        expect([place, is]).toEqual([place, ours])
      } else if (asked.has(place)) {
        expect([place, is]).toEqual([place, ours])
        expect(ours).not.toBe(others)
      } else if (isWhole) {
        const untouched = m!.has(whole) ? ours === was : others === was
        if (b!.has(whole)) expect([place, is, untouched]).toEqual([place, undefined, true])
        else expect([place, is]).toEqual([place, ours ?? others])
      } else {
        expect([place, is]).toEqual([place, was === others ? ours : others])
        expect(ours === others || was === ours || was === others).toBe(true)
      }
    }
    expect([...asked.keys()].sort()).toEqual(merged.conflicts.map(({ id }) => id).sort())
    seen.conflicts += merged.conflicts.length
    seen.taken += merged.taken
    seen.orders += merged.conflicts.filter(({ field }) => field?.startsWith('order')).length
    seen.wholes += merged.conflicts.filter(({ field }) => field === undefined).length
    seen.unsound += Number(merged.problems.length > 0)
    expect(merged.problems.map(problemText)).toEqual(checkDocument(CHART_KIND, merged.document).map(problemText))
  })

  it('has come across all that may happen', () => {
    expect(seen.conflicts).toBeGreaterThan(150)
    expect(seen.taken).toBeGreaterThan(500)
    expect(seen.orders).toBeGreaterThan(2)
    expect(seen.wholes).toBeGreaterThan(10)
    // Seldom do two sound charts make one that is not: what they disagree on is then chosen otherwise.
    expect(seen.unsound).toBeLessThan(SEEDS.length / 10)
  })

  it('asks for every difference where nobody knows what both began as', () => {
    for (const { mine, theirs } of cases.slice(0, 40)) {
      for (const [side, whole] of [
        ['mine', mine],
        ['theirs', theirs],
      ] as const) {
        const { document, taken } = mergeCharts(null, mine, theirs, all(side))
        expect(taken).toBe(0)
        expect(valuesOf(document)).toEqual(valuesOf({ ...whole, id: mine.id }))
      }
    }
  })

  it('takes nothing from who has changed nothing, and all from who alone has changed something', () => {
    for (const { base, mine } of cases.slice(0, 40)) {
      const never = () => {
        throw new Error('nothing is to be asked')
      }
      expect(bareChart(mergeCharts(base, mine, base, never).document)).toEqual(bareChart(mine))
      const other = mergeCharts(base, base, mine, never).document
      expect(valuesOf(other)).toEqual(valuesOf(mine))
      for (const { reaction } of mine.answers) {
        const to = (chart: Chart) => chart.answers.filter((one) => one.reaction === reaction).map(({ move }) => move)
        expect(to(other)).toEqual(to(mine))
      }
    }
  })
})
