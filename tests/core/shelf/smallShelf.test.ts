import { produce } from 'immer'
import { emptyChart } from '../../../src/core/chart/chart'
import type { PositionId } from '../../../src/core/chart/ids'
import { lookUp } from '../../../src/core/chart/lookUp'
import { bare } from '../../../src/core/shelf/bare'
import { DIFFERS, rulesHere, variantsHere, wayOf, type Valued } from '../../../src/core/shelf/decisions'
import { needsOf } from '../../../src/core/shelf/needs'
import { otherChair, withoutPartner } from '../../../src/core/shelf/otherChair'
import { principlesIn, principlesOf, type Principle } from '../../../src/core/shelf/principles'
import { inChart, indexShelf, placesOnShelf } from '../../../src/core/shelf/search'
import { joinRegions, shelfAsChart } from '../../../src/core/shelf/shelf'
import type { ShelfMove } from '../../../src/core/shelf/shelfRecords'
import { smallRegion, smallShelf } from '../../fixtures/smallShelf'

const shelf = smallShelf()
const region = smallRegion()
const move = (id: string) => lookUp(shelf.moves, id)!
const ids = (records: readonly { id: string }[]) => records.map(({ id }) => id)
const all = shelfAsChart(shelf)

describe('a record as a chart keeps it', () => {
  it('has what only the Shelf says in its notes', () => {
    const { cue, size, ruleNote, check, catalogue, holdsFirst, alsoFrom, ...rest } = move('climb')
    expect([cue, size, ruleNote, check, catalogue, holdsFirst, alsoFrom]).not.toContain(undefined)
    expect(bare(move('climb'))).toEqual({
      ...rest,
      notes: 'Slowly. When: They push the knee. Build: long legs. Rules: gi only. Check with your coach.',
    })
    const { holdsFirst: _, ...lock } = move('lock')
    expect(bare(move('lock'))).toEqual(lock)
    expect(bare(move('ride'))).toEqual(move('ride'))
    expect(bare(move('ride'))).not.toBe(move('ride'))
    expect(lookUp(shelf.reactions, 'bridge')).toHaveProperty('opens')
    expect(bare(lookUp(shelf.reactions, 'bridge')!)).not.toHaveProperty('opens')
  })
})

describe('what a move needs', () => {
  const needs = (fields: Partial<ShelfMove>) => needsOf(fields as ShelfMove)
  it('is told from the words for its holds, from tags and from rules', () => {
    expect([needsOf(move('climb')), needsOf(move('lock')), needsOf(move('bump'))]).toEqual([
      ['wrist', 'cloth'],
      ['nothing'],
      ['hook'],
    ])
    expect(needs({})).toEqual(['nothing'])
    expect(needs({ tags: ['lapel-grip'] })).toEqual(['cloth'])
    expect(needs({ ruleNote: 'not in the gi' })).toEqual(['nothing'])
    expect(needs({ holdsFirst: 'Underhook and the far HIP' })).toEqual(
      ['underhook', 'hook', 'hip'].filter((n) => n !== 'hook'),
    )
    expect(needs({ holdsFirst: 'kimura grip' })).toEqual(['figure four'])
    expect(needs({ holdsFirst: 'seatbelt, chest to back, one arm, the chin' })).toEqual([
      'seatbelt',
      'head',
      'chest',
      'arm',
    ])
  })
})

describe('the rules of a position', () => {
  const values = (moves: Record<string, number | null>, answers: Record<number, number>[] = []): Valued => ({
    moves: Object.fromEntries(Object.entries(moves).map(([id, value]) => [id, { value }])),
    met: answers.map((one) => ({
      position: 'pin' as PositionId,
      reaction: 'bridge',
      answers: Object.entries(one).map(([answer, value]) => ({ answer: Number(answer), value })),
    })),
  })
  const rules = (valued: Valued, position = 'pin', chart = all) =>
    rulesHere(chart, shelf, position as PositionId, valued)
  const compared = (valued: Valued) => rules(valued).find(({ rule }) => rule.id === 'ride-first')!.compared

  it('are those that name it or a move charted from there, with the chart’s moves', () => {
    const found = rules(values({}))
    expect(found.map(({ rule, prefer, over }) => [rule.id, prefer, over])).toEqual([
      ['ride-first', ['ride'], ['climb']],
      ['stay', [], []],
    ])
    expect(found[0]).not.toHaveProperty('compared')
    expect(ids(rules(values({}), 'high').map(({ rule }) => rule))).toEqual([])
    expect(ids(rules(values({}), 'lost').map(({ rule }) => rule))).toEqual(['ride-first'])
    expect(rules(values({}), 'nothing')).toEqual([])
  })

  it('know a move of the chart by another name too', () => {
    const renamed = produce(all, (draft) => {
      Object.assign(lookUp(draft.moves, 'ride')!, { id: 'mine', name: ' ride THE bridge' })
    })
    expect(rules(values({}), 'pin', renamed)[0].prefer).toEqual(['mine'])
  })

  it('are held against the values: two in a hundred count, either way', () => {
    const ride = (value: number) => compared(values({ ride: value, climb: 0.5 }))
    expect(ride(0.5 + DIFFERS + 1e-9)).toMatchObject({ preferred: 'ride', rejected: 'climb', says: 'as the rule' })
    expect(ride(0.5 + DIFFERS - 1e-6)!.says).toBe('no difference')
    expect(ride(0.5 - DIFFERS - 1e-9)!.says).toBe('the other way')
    expect(ride(0.1)!.by).toBeCloseTo(-0.4, 12)
    expect(compared(values({ ride: null, climb: 0.5 }))).toBeUndefined()
  })

  it('also as answers to one reaction, whichever sets them further apart', () => {
    expect(compared(values({}, [{ 0: 0.6, 1: 0.2 }]))).toMatchObject({ by: expect.closeTo(0.4, 12) })
    expect(compared(values({ ride: 0.3, climb: 0.4 }, [{ 0: 0.6, 1: 0.2 }]))!.says).toBe('as the rule')
    expect(compared(values({ ride: 0.1, climb: 0.9 }, [{ 0: 0.6, 1: 0.2 }]))!.says).toBe('the other way')
    const elsewhere = values({}, [{ 0: 0.6, 1: 0.2 }])
    expect(compared({ ...elsewhere, met: [{ ...elsewhere.met[0], position: 'high' as PositionId }] })).toBeUndefined()
  })

  it('that the values contradict come first, those that cannot be compared last', () => {
    const order = (valued: Valued) => rules(valued).map(({ rule }) => rule.id)
    expect(order(values({ ride: 0, climb: 1 }))).toEqual(['ride-first', 'stay'])
    const turned = { ...shelf, regions: [{ ...region, rules: [region.rules[1], region.rules[0]] }] }
    const found = rulesHere(all, turned, 'pin' as PositionId, values({ ride: 0, climb: 1 }))
    expect(found.map(({ rule }) => rule.id)).toEqual(['ride-first', 'stay'])
  })
})

describe('where schools differ', () => {
  it('is told for a position and the moves from there; the other ways’ moves are set aside', () => {
    expect(ids(variantsHere(all, shelf, 'pin' as PositionId))).toEqual(['how'])
    expect(ids(variantsHere(all, shelf, 'lost' as PositionId))).toEqual(['elsewhere'])
    const [how] = region.variants
    const way = (n: number) => wayOf(all, shelf, how, how.views[n])
    expect(way(0)).toEqual({ variant: 'how', view: 'a', says: 'Climb', aside: ['ride'] })
    expect(way(1).aside).toEqual(['climb'])
    expect(way(2).aside).toEqual([])
  })
})

describe('the other chair', () => {
  it('says of each attack what it needs, what breaks it, what is answered, and what we call it', () => {
    const [climb, ride] = otherChair(shelf, 'under')
    expect([climb.attack.id, climb.needs, ride.attack.id, ride.ways]).toEqual(['climb', ['Elbow in'], 'ride', []])
    expect(climb.ways).toEqual([
      {
        reaction: lookUp(shelf.reactions, 'bridge'),
        breaks: ['Elbow in'],
        ours: move('bump'),
        answers: ['Ride the bridge', 'Climb up'],
      },
    ])
    expect([otherChair(shelf, 'lost'), otherChair(shelf, 'nothing')]).toEqual([[], []])
    expect(withoutPartner(shelf)).toEqual(['lost'])
  })
})

describe('principles', () => {
  const principle = (on: Principle['on'], except: Principle['except'] = []): Principle => ({
    ...{ id: 'p', says: 'x', why: 'y', on, except },
  })
  const governs = (on: Principle['on'], id = 'climb') => principlesOf(shelf, [principle(on)], move(id)).length === 1

  it.each<[Principle['on'], string, boolean]>([
    [{}, 'climb', true],
    [{ finish: true }, 'climb', false],
    [{ finish: true }, 'lock', true],
    [{ families: ['side'] }, 'climb', true],
    [{ families: ['mount'] }, 'climb', false],
    [{ ahead: 'ours' }, 'climb', true],
    [{ ahead: 'ours' }, 'bump', false],
    [{ tags: ['gi'] }, 'climb', true],
    [{ tags: ['gi'] }, 'lock', false],
    [{ words: ['elbow'] }, 'climb', true],
    [{ words: ['elbow'] }, 'lock', false],
    [{ tags: ['no'], words: ['climb'] }, 'climb', true],
    [{ tags: ['gi'], words: ['no'] }, 'climb', true],
    [{ tags: ['gi'], finish: true }, 'climb', false],
  ])('%j govern %s: %s', (on, id, expected) => expect(governs(on, id)).toBe(expected))

  it('name exceptions, also for a move of the chart that is one of the Shelf', () => {
    const excepted = [principle({ finish: true }, [{ move: 'climb', why: 'because' }])]
    expect(principlesOf(shelf, excepted, move('climb'))).toEqual([{ principle: excepted[0], exception: 'because' }])
    const own = { ...move('climb'), id: 'mine' as never }
    expect(principlesIn(all, shelf, excepted, own)).toEqual([{ principle: excepted[0], exception: 'because' }])
    expect(principlesIn(all, shelf, excepted, { ...own, name: 'Other' })).toEqual([])
  })
})

describe('searching', () => {
  const index = indexShelf(shelf)
  const found = (text: string) => index.search(text).map(({ kind, id }) => `${kind} ${id}`)

  it('finds by name, other name, cue, what it answers, its region; short words must be right', () => {
    expect(found('cross pin')[0]).toBe('position pin')
    expect(found('folded arm lock')[0]).toBe('move lock')
    expect(found('pushes the knee')[0]).toBe('move climb')
    expect(found('bridges')).toEqual(expect.arrayContaining(['reaction bridge', 'move ride', 'move climb']))
    expect(found('shoulder')).toContain('move lock')
    expect(found('small region').length).toBeGreaterThan(8)
    expect(found('scrambel')).toEqual(['position lost'])
    expect(found('lick')).toEqual([])
    expect(found('the of a')).toEqual([])
  })

  it('takes forms of a word for the same, and small words for nothing', () => {
    const named = produce(smallRegion(), (draft) => {
      Object.assign(draft.moves[0]!, { name: 'Rolls over an arm' })
      Object.assign(draft.moves[2]!, { name: 'Clasps low' })
      Object.assign(draft.moves[3]!, { name: 'Feet first' })
    })
    const search = indexShelf(joinRegions([named])).search
    const first = (text: string) => search(text)[0]?.id
    expect(['roll', 'clasp', 'joined', 'foot', 'an'].map(first)).toEqual(['climb', 'ride', 'ride', 'bump', undefined])
  })

  it('knows a record of the chart by its id before its name, and its name before nothing', () => {
    const records = [
      { id: 'a', name: ' the PIN ' },
      { id: 'pin', name: 'Other', aliases: ['Mine'] },
    ]
    expect(inChart(records, { id: 'pin', name: 'The Pin' })).toBe(records[1])
    expect(inChart(records, { id: 'x', name: 'x', aliases: ['The pin'] })).toBe(records[0])
    expect(inChart(records, { id: 'x', name: 'mine' })).toBe(records[1])
    expect(inChart(records, { id: 'x', name: 'x' })).toBeUndefined()
    const named = produce(emptyChart('e', 'E'), (draft) => {
      draft.positions.push({ ...lookUp(shelf.positions, 'pin')!, id: 'mine' as PositionId })
    })
    expect([...placesOnShelf(named, shelf)]).toEqual([['mine', 'pin']])
  })
})
