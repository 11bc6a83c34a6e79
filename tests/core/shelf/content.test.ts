import { readFileSync } from 'node:fs'
import { NEW_ANSWER } from '../../../src/core/chart/guesses'
import { lookUp } from '../../../src/core/chart/lookUp'
import { totalOf } from '../../../src/core/chart/tries'
import { readChart } from '../../../src/core/files/chartFile'
import { BUILT_IN_RULES } from '../../../src/core/chart/rules/builtInRules'
import { RULE_TAGS } from '../../../src/core/chart/rules/ruleSet'
import { structureJob } from '../../../src/core/document/structure'
import { toEnd } from '../../../src/core/job'
import { joinRegions, shelfAsChart } from '../../../src/core/shelf/shelf'
import { ownShelf, SHELF_KIND } from '../../../src/core/shelf/shelfKind'
import { entriesOf, readRegions, shelfDocText, type CatalogueIds } from '../../../scripts/shelfDoc'

const regions = readRegions()
const shelf = joinRegions(regions)
const ids = JSON.parse(readFileSync('tests/fixtures/catalogueIds.json', 'utf8')) as CatalogueIds

/** Words that name nobody and belong to nobody, and those that have no place on the Shelf. */
const NO_PLACE =
  /\b(S\d+[ab]?|teacher|instructor|lesson|demo|demonstration|student|nickname|professor|sensei|master|HSA|HPA|HPK|inf\.)\b|\[[SIU]\]|⛔/

describe('the content of the Shelf', () => {
  it('passes the validator of charts', () => {
    const read = readChart(JSON.parse(JSON.stringify(shelfAsChart(shelf))))
    expect(read.ok ? [] : read.problems).toEqual([])
  })

  it('has in each region what a shelf of one’s own may have', () => {
    for (const region of regions) expect(toEnd(structureJob(SHELF_KIND, ownShelf(region)))).toEqual([])
  })

  it.each(Object.keys(ids) as (keyof CatalogueIds)[])('has every %s of the catalogue', (kind) => {
    const there = new Set(entriesOf(regions, kind).map(({ catalogue }) => catalogue))
    expect(ids[kind].filter((id) => !there.has(id))).toEqual([])
    expect(ids[kind].length).toBeGreaterThan(50)
  })

  it('is listed in docs/shelf.md as it is', async () => {
    expect(readFileSync('docs/shelf.md', 'utf8')).toBe(await shelfDocText(regions, ids))
  })

  it('has answers that typically land half of the time, which is what a new answer is taken to do', () => {
    const shares = shelf.answers.map(
      ({ move, tries = lookUp(shelf.moves, move)!.tries }) => (tries!.lands ?? 0) / totalOf(tries!),
    )
    const typical = shares.sort((a, b) => a - b)[shares.length >> 1]
    expect(typical).toBeCloseTo(NEW_ANSWER.lands! / totalOf(NEW_ANSWER), 12)
  })

  it('has no submission without a hazard, and no hazard without a caution', () => {
    for (const { id, to, hazard } of shelf.moves) {
      if (to === 'finish') expect([id, hazard?.part]).toEqual([id, expect.any(String)])
      if (hazard)
        expect([id, String(hazard.caution ?? '').length > 5, String(hazard.speed ?? '').length > 2]).toEqual([
          id,
          true,
          true,
        ])
    }
  })

  it('has the part that each kind of finish injures, and the tag of the choke on all that closes one', () => {
    const PARTS: Record<string, RegExp> = {
      ...{ choke: /^neck$/, 'neck-crank': /^neck/, 'spine-lock': /spine/, armlock: /^(shoulder|elbow)$/ },
      ...{ 'wrist-lock': /^wrist$/, 'twisting-leg-lock': /^knee$/, 'mouth-covering': /^breathing$/ },
      'groin-split': /groin/,
    }
    const finishing = (tags: readonly string[] = []) => tags.filter((tag) => PARTS[tag])
    for (const { id, to, kind, tags, hazard } of shelf.moves) {
      for (const tag of finishing(tags))
        expect([id, tag, hazard?.part]).toEqual([id, tag, expect.stringMatching(PARTS[tag]!)])
      if (to === 'finish') expect([id, finishing(tags).length]).toEqual([id, 1])
      const closes = hazard?.speed === 'seconds to unconsciousness' && kind !== 'escape'
      expect([id, closes && !tags?.includes('choke')]).toEqual([id, false])
    }
  })

  it('has holds in plain words, each limb at one thing in a position, that hinder the arm which they hold', () => {
    const holds = shelf.holds ?? []
    const sideOf = (text: string, part: RegExp) => (part.test(text) ? text.split('-')[0] : undefined)
    for (const { id, name, on = '', denies = [] } of holds) {
      expect([id, name]).toEqual([id, expect.not.stringMatching(/[:/]/)])
      const arm = sideOf(on, /^(left|right)-(hand|wrist|elbow)$/)
      const hindered = denies.flatMap(({ capability }) => sideOf(capability, /^(left|right)-hand$/) ?? [])
      if (arm) expect([id, hindered]).toEqual([id, [arm]])
    }
    for (const { id, holds: on = [] } of shelf.positions) {
      const limbs = on.flatMap((hold) => {
        const { by = 'ours', limbs } = lookUp(holds, hold)!
        return limbs.map((limb) => `${by} ${limb}`)
      })
      expect([id, limbs.filter((limb, i) => limbs.indexOf(limb) !== i)]).toEqual([id, []])
    }
  })

  it('mends each mistake with something that one can do, and has no leftovers in its texts', () => {
    const LEFTOVER =
      /\bsection \d|garbled|by voice|done elsewhere|\bn\/a\b|stressed twice|\((which|see)\)|see next|geometry says/i
    const faults = shelf.moves.flatMap(({ checkpoints = [] }) => checkpoints.filter(({ fault }) => fault))
    expect(faults.length).toBeGreaterThan(200)
    expect(faults.filter(({ fault }) => fault!.fix.trim().split(/\s+/).length < 3).map(({ id }) => id)).toEqual([])
    const said = (record: object) => JSON.stringify(record)
    const records = [...shelf.positions, ...shelf.moves, ...shelf.reactions, ...(shelf.holds ?? [])]
    expect(records.filter((record) => LEFTOVER.test(said(record))).map(({ id }) => id)).toEqual([])
  })

  it('leads on from every position of ours, and ends every lock in a finish', () => {
    const from = new Set(shelf.moves.map((move) => move.from))
    const ours = shelf.positions.filter(({ ahead }) => ahead === 'ours')
    expect(ours.filter(({ id }) => !from.has(id)).map(({ id }) => id)).toEqual([])
    const finishes = new Set(shelf.moves.filter(({ to }) => to === 'finish').map((move) => move.from))
    const locks = ours.filter(({ id }) => /-(lock|locked|set)$|armbar$|-kimura$/.test(id))
    expect(locks.length).toBeGreaterThan(10)
    expect(locks.filter(({ id }) => !finishes.has(id)).map(({ id }) => id)).toEqual([])
  })

  it('has no tag that no rule set knows, and rule sets that forbid only what there is', () => {
    const known = new Set(Object.keys(RULE_TAGS))
    for (const { id, tags = [] } of shelf.moves) expect([id, tags.filter((tag) => !known.has(tag))]).toEqual([id, []])
    for (const { id, forbids, notes } of BUILT_IN_RULES) {
      expect([id, forbids.filter((tag) => !known.has(tag))]).toEqual([id, []])
      expect(notes).toMatch(/check your event’s own book/)
    }
    for (const tag of known) expect(BUILT_IN_RULES.some(({ forbids }) => forbids.includes(tag))).toBe(true)
  })

  it('has every finish that gives little warning tagged, so that first-year and junior rules leave it out', () => {
    const juniors = BUILT_IN_RULES.find(({ id }) => id === 'juniors')!
    for (const { id, to, tags = [] } of shelf.moves) {
      if (to === 'finish') expect([id, tags.some((tag) => juniors.forbids.includes(tag))]).toEqual([id, true])
    }
  })

  it('names nobody, and says nothing of where it was seen', () => {
    const text = (value: unknown): string[] =>
      typeof value === 'string'
        ? [value]
        : value && typeof value === 'object'
          ? Object.entries(value).flatMap(([key, one]) => (key === 'catalogue' || key === 'id' ? [] : text(one)))
          : []
    expect(regions.flatMap(text).filter((one) => NO_PLACE.test(one))).toEqual([])
  })

  it('has ids that are used once, and a name for everything', () => {
    for (const list of [shelf.positions, shelf.moves, shelf.reactions, shelf.holds]) {
      expect(new Set(list.map(({ id }) => id)).size).toBe(list.length)
      for (const { id, name } of list) expect([id, name.length > 2]).toEqual([id, true])
    }
    expect(shelf.regionOf.size).toBe(shelf.positions.length + shelf.moves.length + shelf.reactions.length)
  })

  it('says check with your coach where the catalogue was not sure', () => {
    const marked = [...shelf.positions, ...shelf.moves, ...shelf.reactions].filter(({ check }) => check)
    expect(marked.length).toBeGreaterThan(60)
    expect(marked.length).toBeLessThan(shelf.regionOf.size)
  })
})
