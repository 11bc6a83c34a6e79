import { produce } from 'immer'
import { emptyChart, type Chart } from '../../../src/core/chart/chart'
import type { CueId, PositionId, ReactionId } from '../../../src/core/chart/ids'
import { readChart } from '../../../src/core/files/chartFile'
import { lookUp } from '../../../src/core/chart/lookUp'
import { makeDocument, parseDocument } from '../../../src/core/document/read'
import { pathText } from '../../../src/core/problem'
import { couldAdd, couldAnswer, holdsOnShelf } from '../../../src/core/shelf/additions'
import { bare } from '../../../src/core/shelf/bare'
import { pullIn, type Wanted } from '../../../src/core/shelf/edits/pull'
import { changedOnShelf, differencesOf, takeUpdate } from '../../../src/core/shelf/edits/updates'
import { idsOnShelf, withFreshIds } from '../../../src/core/shelf/freshIds'
import { sayField } from '../../../src/core/say/update'
import { publish } from '../../../src/core/shelf/publish'
import { joinRegions, shelfAsChart } from '../../../src/core/shelf/shelf'
import { ownShelf, SHELF_KIND } from '../../../src/core/shelf/shelfKind'
import { smallRegion, smallShelf } from '../../fixtures/smallShelf'
import { taken } from '../../reference/taken'

/* Between a small shelf and a chart, both ways. */

const shelf = smallShelf()
const region = smallRegion()
const move = (id: string) => lookUp(shelf.moves, id)!
const ids = (records: readonly { id: string }[]) => records.map(({ id }) => id)
const all = shelfAsChart(shelf)
const pulled = (wanted: Wanted, chart: Chart = emptyChart('new', 'New')) => {
  let came: string[] = []
  const after = produce(chart, (draft) => void (came = pullIn(draft, shelf, wanted)))
  return { after, came }
}

describe('what could be added', () => {
  const chart = pulled({ positions: ['pin'], reactions: ['bridge'] }).after

  it('are moves from a position, done from there too, that the chart does not have by id or name', () => {
    expect(ids(couldAdd(chart, shelf, 'pin'))).toEqual(['climb', 'ride'])
    expect(couldAdd(chart, shelf, 'nothing')).toEqual([])
    const lost = pulled({ positions: ['lost'] }).after
    expect(ids(couldAdd(lost, shelf, 'lost'))).toEqual(['climb'])
    const named = produce(
      chart,
      (draft) => void draft.moves.push({ ...bare(move('ride')), id: 'mine' as never, name: ' RIDE the bridge ' }),
    )
    expect(ids(couldAdd(named, shelf, 'pin'))).toEqual(['climb'])
  })

  it('are answers to a reaction that are not given yet', () => {
    expect(ids(couldAnswer(chart, shelf, 'bridge'))).toEqual(['ride', 'climb'])
    const answered = pulled({ moves: ['climb'] }, chart).after
    expect(ids(couldAnswer(answered, shelf, 'bridge'))).toEqual(['ride'])
    expect(couldAnswer(chart, shelf, 'nothing')).toEqual([])
    expect(
      couldAnswer(
        produce(chart, (d) => void d.reactions.push({ id: 'own' as never, name: 'Own', endsIn: 'pin' as never })),
        shelf,
        'own',
      ),
    ).toEqual([])
  })

  it('are our holds of the frame that the chart does not have', () => {
    const pin = lookUp(chart.positions, 'pin')!
    expect(ids(holdsOnShelf(emptyChart('e', 'E'), shelf, pin))).toEqual(['cross'])
    expect(holdsOnShelf(chart, shelf, pin)).toEqual([])
  })
})

describe('bringing in', () => {
  it('a move brings where it leads, its holds, what meets it, and answers of which both sides are there', () => {
    const { after, came } = pulled({ moves: ['climb'] })
    expect([came, ids(after.positions), ids(after.moves), ids(after.reactions)]).toEqual([
      ['climb'],
      ['pin', 'high'],
      ['climb'],
      ['bridge'],
    ])
    expect(after.answers).toEqual([{ reaction: 'bridge', move: 'climb' }])
    expect(ids(after.holds!).sort()).toEqual(['cross', 'wrist'])
    expect(after.moves[0].tries).toEqual({ lands: 5, stalls: 3, weight: 3, reactions: { bridge: 2 } })
    expect(after.reactions[0]).not.toHaveProperty('mirror')
    expect(after.positions[0]).not.toHaveProperty('mirror')
    expect(after.reactions[0].breaks).toEqual(['elbow-in'])
  })

  it('brings what is seen and the race, and lets a move wait only for what is seen where it comes', () => {
    const cue = { id: 'far-hand' as CueId, name: 'Far hand at our neck' }
    const race = { reaction: 'bridge' as ReactionId, ours: 2, theirs: 2, tries: 3 }
    const seeing: typeof shelf = {
      ...shelf,
      cues: [cue],
      positions: shelf.positions.map((one) => (one.id === 'pin' ? { ...one, seen: { [cue.id]: 4, nothing: 6 } } : one)),
      moves: shelf.moves.map((one) => (one.id === 'climb' ? { ...one, when: [cue.id], race } : one)),
    }
    const bring = (into: Chart) => produce(into, (draft) => void pullIn(draft, seeing, { moves: ['climb'] }))
    const after = bring(emptyChart('e', 'E'))
    expect([after.cues, after.positions[0].seen]).toEqual([[cue], { [cue.id]: 4, nothing: 6 }])
    expect(after.moves[0]).toMatchObject({ when: [cue.id], race })
    const known = bring({ ...emptyChart('e', 'E'), positions: [{ ...shelf.positions[0], holds: [] }] })
    expect(known.positions[0].id).toBe('pin')
    expect(known.moves[0]).not.toHaveProperty('when')
    expect(readChart(JSON.parse(JSON.stringify(known)))).toMatchObject({ ok: true })
  })

  it('a reaction alone breaks nothing that is not there', () => {
    const { after } = pulled({ reactions: ['bridge'] })
    expect(after.reactions[0]).not.toHaveProperty('breaks')
    expect(pulled({ positions: ['pin', 'under'] }).after.positions.map(({ mirror }) => mirror)).toEqual([
      'under',
      'pin',
    ])
  })

  it('what the chart has from there by id or by name is not brought again, what is of that name elsewhere is', () => {
    const first = pulled({ moves: ['climb'] }).after
    const renamed = produce(first, (draft) => {
      Object.assign(draft.moves[0], { id: 'mine' })
      draft.answers = []
    })
    expect(pulled({ moves: ['climb'] }, renamed).came).toEqual([])
    expect(pulled({ moves: ['climb'] }, renamed).after.answers).toEqual([{ reaction: 'bridge', move: 'mine' }])
    const elsewhere = produce(renamed, (draft) => void (draft.moves[0].from = 'high' as PositionId))
    expect(pulled({ moves: ['climb'] }, elsewhere).came).toEqual(['climb'])
  })

  it('goes on from positions that are new, as far as is asked', () => {
    expect(pulled({ moves: ['climb'], onward: 1 }).came).toEqual(['climb', 'lock'])
    expect(pulled({ moves: ['climb'], onward: 0 }).came).toEqual(['climb'])
    const known = pulled({ positions: ['high'] }).after
    expect(pulled({ moves: ['climb'], onward: 1 }, known).came).toEqual(['climb'])
  })

  it('an update changes what the Shelf says of a move, and not the coach’s own plan', () => {
    const own = produce(pulled({ moves: ['climb'] }).after, (draft) => {
      Object.assign(draft.moves[0], { name: 'Mine', notes: 'old', tries: { lands: 9, stalls: 1 } })
      const changed = { ...move('climb'), notes: 'New.' }
      expect(differencesOf(draft, changed).map(({ field, says }) => [field, sayField(says, field)])).toContainEqual([
        'notes',
        [expect.stringMatching(/^New\./)],
      ])
      takeUpdate(draft, changed)
      expect(differencesOf(draft, changed)).toEqual([])
    })
    expect(own.moves[0]).toMatchObject({ name: 'Mine', tries: { lands: 9, stalls: 1 } })
    expect(own.moves[0].notes).toContain('New. When:')
  })

  it('an update leaves alone what the Shelf says nothing of, and a move that the chart does not have', () => {
    const own = produce(pulled({ moves: ['climb'] }).after, (draft) => {
      Object.assign(draft.moves[0], { hazard: { part: 'knee' } })
      takeUpdate(draft, move('climb'))
      takeUpdate(draft, move('bump'))
    })
    expect(own.moves).toMatchObject([{ id: 'climb', hazard: { part: 'knee' } }])
  })

  it('changes on the Shelf are offered for moves that came from it and are there on both sides', () => {
    const came = pulled({ moves: ['climb', 'ride'] }).after
    const changed = joinRegions([
      produce(smallRegion(), (draft) => {
        lookUp(draft.moves, 'climb')!.notes = 'New.'
        lookUp(draft.moves, 'lock')!.notes = 'New.'
      }),
    ])
    const marked = produce(came, (draft) => {
      draft.settings = { ...draft.settings, fromShelf: { ...draft.settings!.fromShelf, lock: 'x', gone: 'y' } }
    })
    expect([ids(changedOnShelf(marked, changed)), changedOnShelf(marked, shelf)]).toEqual([['climb'], []])
    expect(changedOnShelf(emptyChart('e', 'E'), changed)).toEqual([])
  })

  it('answers bring their tries as a guess, beside answers that the coach has', () => {
    const { after } = pulled({ moves: ['climb', 'ride'] })
    expect(after.answers[0]).toEqual({ reaction: 'bridge', move: 'ride', tries: { lands: 7, stalls: 3, weight: 3 } })
    const answered = produce(after, (draft) => void (draft.answers = draft.answers.slice(1)))
    expect(pulled({ moves: ['lock'] }, answered).after.answers.map((answer) => answer.move)).toEqual([
      ...['climb', 'ride', 'lock'],
    ])
  })

  it('a move that the coach has renamed is known by its id', () => {
    const renamed = produce(pulled({ moves: ['climb'] }).after, (draft) => {
      Object.assign(draft.moves[0], { name: 'Mine', from: 'high' })
    })
    expect(pulled({ moves: ['climb'] }, renamed).came).toEqual([])
  })
})

describe('a part of a chart, published', () => {
  it('has the moves from the positions chosen, what meets them, and no more than these refer to', () => {
    const top = publish(all, ['pin'], 'Top')
    expect([ids(top.positions), ids(top.moves), ids(top.reactions)]).toEqual([
      ['pin', 'high', 'lost'],
      ['climb', 'ride'],
      ['bridge'],
    ])
    expect(ids(top.holds)).toEqual(['cross', 'wrist'])
    expect(top.answers.map((answer) => answer.move)).toEqual(['ride', 'climb'])
    expect(top.positions[0]).not.toHaveProperty('mirror')
    expect(top.reactions[0]).toMatchObject({ breaks: ['elbow-in'] })
    expect(top.reactions[0]).not.toHaveProperty('mirror')
    const high = publish(all, ['high'], 'Upper')
    expect([ids(high.moves), ids(high.positions), ids(high.reactions)]).toEqual([['lock'], ['high', 'lost'], ['hide']])
    expect(ids(high.holds)).toEqual(['cross', 'wrist', 'frame'])
  })

  it('takes what they do unprompted along only where it was chosen, and what is broken only where it is there', () => {
    const still = produce(all, (draft) => {
      draft.positions[1].unprompted = { every: 9, reactions: { spin: 1 } }
      draft.positions[3].unprompted = { every: 9, reactions: { bridge: 1 } }
      draft.reactions[1].breaks = ['elbow-in']
    })
    const high = publish(still, ['high'], 'Upper')
    expect(ids(high.reactions)).toEqual(['hide', 'spin'])
    expect(high.reactions[0].breaks).toEqual([])
    expect(high.positions.map(({ unprompted }) => Boolean(unprompted))).toEqual([true, false])
  })

  it('keeps a position’s other side where that is chosen too, and holds that only a checkpoint names', () => {
    expect(publish(all, ['pin', 'under'], 'Both').positions.map(({ mirror }) => mirror)).toEqual([
      'under',
      undefined,
      'pin',
      undefined,
    ])
    const gated = produce(all, (draft) => {
      for (const position of draft.positions) position.holds = []
      Object.assign(lookUp(draft.moves, 'climb')!, { needs: [], adds: [] })
    })
    expect(ids(publish(gated, ['pin'], 'Top').holds)).toEqual(['cross', 'wrist'])
  })

  it('takes no id that is anywhere on the Shelf', () => {
    expect([...idsOnShelf(shelf.regions)].sort()).toEqual(
      ['small', ...[shelf.positions, shelf.holds, shelf.moves, shelf.reactions].flatMap(ids)].sort(),
    )
    const stalling = produce(smallRegion(), (draft) => void (draft.answers[0]!.stallsIn = 'lost' as never))
    const fresh = withFreshIds(stalling, new Set(['bump', 'lost']))
    expect([fresh.reactions[0]!.mirror, fresh.answers[0]!.stallsIn]).toEqual(['bump-out', 'scramble'])
  })

  it('gets ids of its own where they are taken, everywhere', () => {
    const fresh = withFreshIds(region, new Set(['pin', 'climb', 'bridge', 'cross', 'small']))
    expect(fresh.id).toBe('small-region')
    expect(ids(fresh.positions)).toEqual(['the-pin', 'high', 'under', 'lost'])
    expect(fresh.positions[0]).toMatchObject({ holds: ['cross-face'], mirror: 'under' })
    expect(fresh.positions[2].mirror).toBe('the-pin')
    const climb = lookUp(fresh.moves, 'climb-up')!
    expect(climb).toMatchObject({
      from: 'the-pin',
      to: 'high',
      needs: ['cross-face'],
      tries: { reactions: { bridges: 2 } },
    })
    expect(climb.checkpoints![0].gate).toEqual({ hold: 'cross-face', next: 'wrist' })
    expect(fresh.answers.slice(0, 2)).toEqual([
      { reaction: 'bridges', move: 'ride', tries: { lands: 7, stalls: 3 } },
      { reaction: 'bridges', move: 'climb-up' },
    ])
    expect(fresh.reactions[0]).toMatchObject({ id: 'bridges', endsIn: 'the-pin', mirror: 'bump' })
    expect(fresh.moves[2]).toMatchObject({ from: 'the-pin', stallsIn: 'lost' })
    expect(withFreshIds(region, new Set())).toEqual(region)
  })
})

describe('a shelf of one’s own as a file', () => {
  const own = publish(all, ['pin'], 'Top')

  it('comes back as it went out; lists that the first builds left out are there', () => {
    const file = JSON.parse(makeDocument(ownShelf(own)))
    expect(taken(parseDocument(SHELF_KIND, JSON.stringify(file)))).toEqual(ownShelf(own))
    const { rules, variants, ...old } = file
    expect([rules, variants]).toEqual([[], []])
    expect(
      taken(parseDocument(SHELF_KIND, JSON.stringify({ ...old, cautions: [{ id: 'x', text: 'Slowly.' }] }))),
    ).toMatchObject({
      ...{ rules: [], variants: [], cautions: [{ id: 'x', text: 'Slowly.' }] },
    })
  })

  it('is read in older forms, and refused by name where it is not sound', () => {
    const tallied = produce(ownShelf(own), (draft) => {
      Object.assign(draft.moves[0].tries!, { rounds: { worked: 2, failed: 0 } })
    })
    const read = taken(parseDocument(SHELF_KIND, JSON.stringify(tallied)))
    expect(read.moves[0].tries!.tallies).toEqual([{ worked: true, weight: 2 }])
    const broken = produce(ownShelf(own), (draft) => void (draft.moves[0].from = 'nothing' as PositionId))
    expect(parseDocument(SHELF_KIND, JSON.stringify(broken))).toMatchObject({
      ok: false,
      problems: [{ code: 'unknown-reference', path: ['moves', 0, 'from'] }],
    })
    expect(SHELF_KIND.sizeOf(ownShelf(own))).toBe(3)
  })

  it.each<[path: string, change: (shelf: ReturnType<typeof ownShelf>) => void]>([
    ['moves[1].alsoFrom', ({ moves }) => Object.assign(moves[1]!, { alsoFrom: 5 })],
    ['moves[0].cue', ({ moves }) => Object.assign(moves[0]!, { cue: ['now'] })],
    ['positions[0].made', ({ positions }) => Object.assign(positions[0]!, { made: [1] })],
    ['reactions[0].opens', ({ reactions }) => Object.assign(reactions[0]!, { opens: null })],
    ['rules[0].at', ({ rules }) => Object.assign(rules[0]!, { at: 'pin' })],
    ['rules[1].because', ({ rules }) => Object.assign(rules[1]!, { because: 3 })],
    ['variants[0].views[1].says', ({ variants }) => Object.assign(variants[0]!.views[1]!, { says: {} })],
    ['cautions[0].text', ({ cautions }) => Object.assign(cautions[0]!, { text: 7 })],
    ['positions[2].id', ({ positions }) => Object.assign(positions[2]!, { id: 'Not an id' })],
    ['title', (shelf) => Object.assign(shelf, { title: ' ' })],
  ])('is refused at %s, in the fields that only a shelf has, too', (path, change) => {
    const file = JSON.parse(makeDocument(ownShelf(smallRegion()))) as ReturnType<typeof ownShelf>
    expect(taken(parseDocument(SHELF_KIND, JSON.stringify(file)))).toEqual(file)
    change(file)
    const read = parseDocument(SHELF_KIND, JSON.stringify(file))
    expect(read.ok ? [] : read.problems.map((problem) => pathText(problem.path))).toEqual([path])
  })
})
