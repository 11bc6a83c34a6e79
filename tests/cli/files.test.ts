import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { produce } from 'immer'
import type { Chart } from '../../src/core/chart/chart'
import { forFile } from '../../src/core/chart/shared'
import { makeChart, parseChart } from '../../src/core/files/chartFile'
import { makeDocument } from '../../src/core/document/read'
import { ownShelf } from '../../src/core/shelf/shelfKind'
import { demoPlan } from '../fixtures/demoPlan'
import { smallRegion } from '../fixtures/smallShelf'
import { taken } from '../reference/taken'
import { ataque } from './ataque'

/* The command line for batch work: whatever the interface does with files. */

const folder = mkdtempSync(join(tmpdir(), 'ataque-'))
const demo = demoPlan()
function file(name: string, text: string): string {
  writeFileSync(join(folder, name), text)
  return join(folder, name)
}
const plan = file('plan.ataque.json', makeChart(demo))
const named = (name: string, move = demo.moves[0]!.id): Chart =>
  produce(demo, (draft) => void (draft.moves.find(({ id }) => id === move)!.name = name))

describe('ataque convert', () => {
  it('writes a chart in every form, and tables into a folder', () => {
    expect(taken(parseChart(ataque('convert', plan).out))).toEqual(demo)
    expect(ataque('convert', plan, '--to', 'dot').out).toMatch(/^digraph "Tern Street/)
    expect(ataque('convert', plan, '--to', 'graphml').out).toContain('<graphml ')
    expect(ataque('convert', plan, '--to', 'markdown').out).toMatch(/^# Tern Street/)
    expect(ataque('convert', plan, '--to', 'csv', '--table', 'answers').out).toMatch(/^reaction,move\r\n/)
    const out = join(folder, 'tables')
    expect(ataque('convert', plan, '--to', 'csv', '--out', out)).toEqual({ status: 0, out: '', err: '' })
    expect(readdirSync(out).sort()).toEqual(['answers.csv', 'moves.csv', 'positions.csv', 'reactions.csv', 'tries.csv'])
  })

  it('makes a chart of lines, of a table and of a graph, or says which line is wrong', () => {
    const lines = file('evening.txt', ataque('convert', plan, '--to', 'lines').out)
    const chart = taken(parseChart(ataque('convert', lines).out))
    expect([chart.id, chart.positions.length]).toEqual(['evening', demo.positions.length])
    const sheet = file('sheet.csv', 'name,from,to\nHip bump,Guard,Mount\n')
    expect(taken(parseChart(ataque('convert', sheet).out)).moves[0]).toMatchObject({ name: 'Hip bump', to: 'mount' })
    const graph = file('plan.graphml', ataque('convert', plan, '--to', 'graphml').out)
    expect(taken(parseChart(ataque('convert', graph).out)).moves).toHaveLength(demo.moves.length)
    expect(ataque('convert', file('bad.csv', 'name,from,to\n,Guard,Mount\n'))).toEqual({
      ...{ status: 1, out: '', err: 'line 2, name: is empty\n' },
    })
    expect(ataque('convert', plan, '--to', 'csv').status).toBe(2)
    expect(ataque('convert', plan, '--to', 'pdf').err).toContain('--to wants one of csv, json')
    expect(ataque('convert', plan, '--to', 'csv', '--table', 'holds').status).toBe(2)
  })
})

describe('ataque merge', () => {
  const nothing = { given: [], taken: [] }
  const second = demo.moves[1]!.id
  const mine = file('mine.json', makeChart(named('Mine')))
  it('merges by the state that a file brings along, or that is named', () => {
    const given = forFile(demo, nothing)
    const changed = { ...named('Theirs', second), ...(given.shared ? { shared: given.shared } : {}) }
    const back = forFile(changed, { given: [], taken: [demo] })
    const theirs = file('theirs.json', makeChart(back))
    const own = file('own.json', makeChart({ ...named('Mine'), ...(given.shared ? { shared: given.shared } : {}) }))
    const out = join(folder, 'merged.json')
    expect(ataque('merge', own, theirs, '--out', out)).toEqual({ status: 0, out: '', err: '' })
    const merged = taken(parseChart(readFileSync(out, 'utf8')))
    expect(merged.moves.slice(0, 2).map(({ name }) => name)).toEqual(['Mine', 'Theirs'])
    const plainly = file('plain.json', makeChart(named('Theirs', second)))
    expect(taken(parseChart(ataque('merge', mine, plainly, '--base', plan).out)).moves[1]!.name).toBe('Theirs')
  })

  it('writes nothing while it is not said whose stands', () => {
    const theirs = file('other.json', makeChart(named('Theirs')))
    const asked = ataque('merge', mine, theirs, '--base', plan)
    expect(asked).toMatchObject({ status: 1, out: '' })
    expect(asked.err).toMatch(/\(move\): name: Mine \| Theirs\n$/)
    const chosen = ataque('merge', mine, theirs, '--base', plan, '--choose', 'theirs')
    expect(taken(parseChart(chosen.out)).moves[0]!.name).toBe('Theirs')
    expect(ataque('merge', mine, theirs).err.split('\n')).toHaveLength(2)
    expect(ataque('merge', mine).err).toContain('2 FILEs are wanted, not 1')
    expect(ataque('merge', mine, theirs, '--choose', 'both').status).toBe(2)
    expect(ataque('merge', mine, file('no.json', '{')).status).toBe(1)
  })
})

describe('ataque say', () => {
  it('says the chain from the start of the scenario, or from another position, as Markdown', () => {
    const { status, out } = ataque('say', plan)
    expect(status).toBe(0)
    const start = demo.positions.find(({ id }) => id === demo.settings?.scenario?.start)!
    expect(out).toMatch(new RegExp(`^# The chain from ${start.name}\n`))
    expect(out).toContain('## 1. ')
    expect(out).toMatch(/tap early/i)
    const other = ataque('say', plan, '--start', 'mount-hands-posted', '--share', '0.3').out
    expect(other.length).toBeLessThan(out.length)
    expect(other).toMatch(/^# The chain from Mount/)
    expect(ataque('say', plan, '--share', '2').status).toBe(2)
    expect(ataque('say', plan, '--start', 'nowhere').status).toBe(2)
  })
})

describe('ataque shelf-check', () => {
  it('lists what is wrong with a shelf of one’s own, check by check', () => {
    const shelf = file('own.shelf.json', makeDocument(ownShelf(smallRegion())))
    const { status, out } = ataque('shelf-check', shelf, '--json')
    const { faults, checks } = JSON.parse(out) as { faults: number; checks: { what: string; found: string[] }[] }
    expect([status, checks.length > 15]).toEqual([faults ? 1 : 0, true])
    expect(checks.reduce((sum, { found }) => sum + found.length, 0)).toBe(faults)
    expect(ataque('shelf-check', shelf).out).toContain(`${String(faults).padStart(4)}  in all`)
    expect(ataque('shelf-check', file('no.shelf.json', '{}')).err).toMatch(/no\.shelf\.json: .*not a shelf/)
  })
})

describe('--help', () => {
  it.each(['check', 'solve', 'spar', 'say', 'convert', 'merge', 'shelf-check'])('%s says how it is called', (name) => {
    expect(ataque(name, '--help')).toMatchObject({
      status: 0,
      out: expect.stringMatching(`^ataque ${name} `) as string,
    })
    expect(ataque('--help').out).toContain(`ataque ${name} `)
  })

  it('of a command that is called wrongly comes with the fault', () => {
    expect(ataque('merge')).toMatchObject({
      status: 2,
      err: expect.stringMatching(/FILEs are wanted[^]*ataque merge/) as string,
    })
    expect(ataque('toString').err).toContain('there is no command "toString"')
  })
})
