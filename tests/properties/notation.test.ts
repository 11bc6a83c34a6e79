import { readFileSync } from 'node:fs'
import { seeded } from '../../bench/generate'
import { parseChart } from '../../src/core/files/chartFile'
import { completeFork } from '../../src/core/notation/complete'
import { readFork } from '../../src/core/notation/readFork'
import { sayLines } from '../../src/core/notation/edits/sayLines'
import { bareOrQuoted } from '../../src/core/notation/quoted'
import { writeFork } from '../../src/core/notation/writeFork'
import { scan } from '../../src/core/notation/scan'
import { taken } from '../reference/taken'

const demo = taken(parseChart(readFileSync(new URL('../../demo/tern-street.ataque.json', import.meta.url), 'utf8')))
const lines = demo.moves.map((move) => ({ move, line: writeFork(demo, move) }))

describe('the tokens of a line', () => {
  it('lie in order, inside the line, and cover all but its spaces', () => {
    for (const { line } of lines) {
      let at = 0
      for (const token of scan(line)) {
        expect(line.slice(at, token.at).trim()).toBe('')
        expect(token.end).toBeGreaterThanOrEqual(token.at)
        at = token.end
      }
      expect(at).toBe(line.length)
    }
  })
})

describe('a line with a mistake in it', () => {
  it('never throws, and points inside the line or at its end', () => {
    const random = seeded(7)
    const signs = [':', ';', '>', ',', '(', ')', '[', ']', '?', '"', '#', '7', ' ', 'x']
    for (let n = 0; n < 600; n++) {
      const { line } = lines[Math.floor(random() * lines.length)]
      const at = Math.floor(random() * line.length)
      const cut = Math.floor(random() * 3)
      const broken = line.slice(0, at) + signs[Math.floor(random() * signs.length)] + line.slice(at + cut)
      const read = readFork(broken)
      if (read.ok) continue
      for (const error of read.errors) {
        expect(error.at).toBeGreaterThanOrEqual(0)
        expect(error.at).toBeLessThanOrEqual(broken.length)
        expect(error.end).toBeGreaterThan(error.at)
        expect(error.message).not.toBe('')
      }
    }
  })

  it('that is said leaves the chart as it was', () => {
    const random = seeded(11)
    const before = JSON.stringify(demo)
    for (let n = 0; n < 60; n++) {
      const { line, move } = lines[Math.floor(random() * lines.length)]
      const copy = structuredClone(demo)
      const said = sayLines(copy, move.from, line.slice(0, Math.floor(random() * line.length)))
      if (!said.ok) expect(JSON.stringify(copy)).toBe(before)
    }
  })
})

describe('completion', () => {
  it('offers only what can be read where it stands', () => {
    for (const { line, move } of lines.slice(0, 40)) {
      for (let caret = 1; caret <= line.length; caret += 5) {
        const { from, options } = completeFork(demo, move.from, line, caret)
        expect(from).toBeLessThanOrEqual(caret)
        for (const { insert } of options) expect(scan(insert)).toHaveLength(2)
      }
    }
  })

  it('brings back a move’s name from its first letters', () => {
    for (const { move } of lines) {
      const typed = move.name.slice(0, 4)
      const { options } = completeFork(demo, move.from, typed, typed.length)
      expect(options.map(({ insert }) => insert)).toContain(bareOrQuoted(move.name))
    }
  })
})
