import { GAME, RULE_EXCEPTIONS, warned } from '../../../src/cli/shelfCheck/game'
import { STRUCTURE } from '../../../src/cli/shelfCheck/structure'
import { WARNINGS } from '../../../src/cli/shelfCheck/warnings'
import { readRegions } from '../../../scripts/shelfDoc'
import { lookUp } from '../../../src/core/chart/lookUp'
import { joinRegions, shelfAsChart, type Shelf } from '../../../src/core/shelf/shelf'

const shelf = joinRegions(readRegions())
const row = (begins: string) => [...STRUCTURE, ...GAME].find(({ what }) => what.startsWith(begins))!

/** What a check finds once the Shelf is broken in one place. */
function foundWhere(begins: string, breaks: (broken: Shelf) => void): string[] {
  const broken = joinRegions(structuredClone(shelf.regions))
  breaks(broken)
  return row(begins).find(broken)
}
const move = (broken: Shelf, id: string) => broken.moves.find((one) => one.id === id)!
const position = (broken: Shelf, id: string) => broken.positions.find((one) => one.id === id)!

describe('the check of the Shelf', () => {
  it.each(STRUCTURE.map(({ what, find }) => [what, find] as const))('finds no %s', (_, find) => {
    expect(find(shelf)).toEqual([])
  })

  it('finds a position that nothing is tried from, and one that nothing leads to', () => {
    const alone = { ...position(shelf, 'knee-on-belly'), id: 'alone' as never }
    expect(foundWhere('positions with nothing', ({ positions }) => positions.push(alone))).toEqual(['alone'])
    expect(foundWhere('positions that nothing leads', ({ positions }) => positions.push(alone))).toEqual(['alone'])
  })

  it('finds a reaction that nothing meets, and one that nobody answers', () => {
    const alone = { id: 'alone' as never, name: 'Alone', endsIn: position(shelf, 'knee-on-belly').id }
    expect(foundWhere('reactions that nothing', ({ reactions }) => reactions.push(alone))).toEqual(['alone'])
    expect(foundWhere('reactions without', ({ reactions }) => reactions.push(alone))).toEqual(['alone'])
  })

  it('finds a threat, a hold, a gate or a need that is not there', () => {
    const threat = (broken: Shelf) => delete position(broken, 'def-mount').threat
    expect(foundWhere('positions in which they hold the neck or', threat)).toEqual(['def-mount'])
    const bare = (broken: Shelf) => delete position(broken, 'mount-arrived').holds
    expect(foundWhere('positions with a frame', bare)).toEqual(['mount-arrived'])
    const gate = (broken: Shelf) => delete move(broken, 'leg-trap-top-arm').checkpoints!.find((one) => one.gate)!.gate
    expect(foundWhere('steps that say', gate)).toEqual(['leg-trap-top-arm-5'])
    const needs = (broken: Shelf) => delete move(broken, 'leg-trap-top-arm').needs
    expect(foundWhere('moves that say', needs)).toEqual(['leg-trap-top-arm'])
  })

  it('finds tries outside the range of their reason, a partner of the same chair, and a leftover', () => {
    const tries = (broken: Shelf) => (move(broken, 'float-return').tries = { lands: 5, stalls: 5 })
    expect(foundWhere('tries outside', tries)).toEqual(['float-return'])
    const mirror = (broken: Shelf) => (position(broken, 'def-mount').ahead = 'ours')
    expect(foundWhere('partners', mirror)).toEqual(expect.arrayContaining(['def-mount']))
    const text = (broken: Shelf) => (move(broken, 'float-return').notes = 'see next')
    expect(foundWhere('texts', text)).toEqual(['float-return'])
  })

  it('finds, as it is played, a lock that is worth nothing, an escape into the other chair and a neck left alone', () => {
    const lock = (broken: Shelf) => (move(broken, 'clock-finish').tries = { lands: 0.01, stalls: 9.99 })
    expect(foundWhere('locks', lock)).toContain('clock-walk-finish')
    const chair = (broken: Shelf) => (move(broken, 'esc-hip-slip').to = position(broken, 'back-under-side').id)
    expect(foundWhere('escapes that', chair)).toEqual(['esc-hip-slip'])
    const neck = (broken: Shelf) => (move(broken, 'esc-hip-slip').needs = [])
    const harmless = (broken: Shelf) => {
      neck(broken)
      move(broken, 'esc-hip-slip').tries = { lands: 9, stalls: 1 }
    }
    expect(foundWhere('positions in which they hold the neck and', harmless)).toEqual(['def-back-open-side'])
    const need = (broken: Shelf) => (move(broken, 'clock-finish').needs = [lookUp(broken.holds, 'seatbelt')!.id])
    expect(foundWhere('moves that cannot', need)).toContain('clock-finish')
  })

  it('gives thirty warnings, each of which the figures can fail to give', () => {
    expect(WARNINGS).toHaveLength(30)
    expect(new Set(WARNINGS.map(({ move: id, hold }) => `${id} ${hold}`)).size).toBe(30)
    const harmless = joinRegions(structuredClone(shelf.regions))
    for (const hold of harmless.holds) delete hold.denies
    const chart = shelfAsChart(harmless)
    const { on, off } = warned(chart, WARNINGS[17])
    // What else waits for the hold may still differ by a hair.
    expect(Math.abs(on - off)).toBeLessThan(1e-4)
  })

  it('lets at most one in ten of the rules that prefer something be excepted, each with a reason', () => {
    const rules = shelf.regions.flatMap(({ rules: all }) => all)
    const preferring = rules.filter(({ prefer, over }) => prefer?.length && over?.length)
    expect(Object.keys(RULE_EXCEPTIONS).length).toBeLessThanOrEqual(preferring.length / 10)
    for (const [id, why] of Object.entries(RULE_EXCEPTIONS)) {
      expect(rules.map((rule) => rule.id)).toContain(id)
      expect(why.length).toBeGreaterThan(20)
    }
  })

  it('tells moves apart: no more than three in ten of a kind go alike, and no more than four in ten take as long', () => {
    const most = (values: readonly string[]) => {
      const counts = new Map<string, number>()
      for (const one of values) counts.set(one, (counts.get(one) ?? 0) + 1)
      return Math.max(...counts.values()) / values.length
    }
    for (const kind of new Set(shelf.moves.map((one) => one.kind))) {
      const own = shelf.moves.filter((one) => one.kind === kind && one.tries)
      if (own.length >= 12) expect(most(own.map(({ tries }) => JSON.stringify(tries)))).toBeLessThanOrEqual(0.3)
    }
    expect(most(shelf.moves.map(({ seconds = 5 }) => String(seconds)))).toBeLessThanOrEqual(0.4)
    expect(most(shelf.answers.map(({ tries }) => String(tries?.lands)))).toBeLessThanOrEqual(0.4)
  })
})
