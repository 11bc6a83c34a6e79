import { emptyChart } from '../../../src/core/chart/chart'
import { CHART_KIND } from '../../../src/core/chart/chartKind'
import { addMove, addPosition, addReaction } from '../../../src/core/chart/edits/records'
import { idFromName, isId } from '../../../src/core/document/ids'
import { makeDocument, parseDocument } from '../../../src/core/document/read'
import { readChart } from '../../../src/core/files/chartFile'
import { pathText } from '../../../src/core/problem'
import { soundChart } from '../../fixtures/brokenCharts'
import { taken } from '../../reference/taken'

type Loose = Record<string, unknown>

/** The paths of all problems of the sound chart once it is changed. */
function problems(change: (chart: ReturnType<typeof soundChart>) => void): string[] {
  const chart = soundChart()
  change(chart)
  const read = readChart(chart)
  return read.ok ? [] : read.problems.map(({ path }) => pathText(path))
}
const move = (fields: Loose) => problems((chart) => void Object.assign(chart.moves[0], fields))
const race = (fields: Loose) => move({ race: { reaction: 'bridge', ours: 2, theirs: 2, tries: 1, ...fields } })
const position = (fields: Loose) => problems((chart) => void Object.assign(chart.positions[0], fields))
const reaction = (fields: Loose) => problems((chart) => void Object.assign(chart.reactions[0], fields))
const seen = (fields: Loose, when: string[] = []) =>
  problems((chart) => {
    Object.assign(chart, { cues: [{ id: 'far-hand', name: 'Their far hand at our neck', uses: ['left-hand'] }] })
    Object.assign(chart.positions[0], { seen: fields })
    Object.assign(chart.moves[0], { when })
  })
const answer = (fields: Loose) => problems((chart) => void Object.assign(chart.answers[0], fields))
const hold = (fields: Loose) => problems((chart) => void Object.assign(chart.holds[0], fields))

describe('what a record may say', () => {
  it.each([
    ['a move that stalls in a position', () => move({ stallsIn: 'mount' })],
    ['a move that stalls caught', () => move({ stallsIn: 'caught' })],
    ['a move with the hold that it needs', () => move({ needs: ['cross'], drops: ['cross'], keeps: ['cross'] })],
    ['a move that strips their hold', () => move({ strips: ['frame'] })],
    ['tries with elsewhere and caught', () => move({ tries: { lands: 1, elsewhere: { mount: 1, caught: 2 } } })],
    [
      'a race and no tries',
      () => move({ tries: undefined, race: { reaction: 'bridge', ours: 2.5, theirs: 2, tries: 3 } }),
    ],
    [
      'an answer with a race',
      () => answer({ race: { reaction: 'bridge', ours: 1, theirs: 2, spread: 1, tries: 0.5 } }),
    ],
    ['what is seen, and a move that waits for it', () => seen({ 'far-hand': 4, nothing: 6 }, ['far-hand'])],
    ['a move that waits for nothing', () => seen({ 'far-hand': 4 }, [])],
    ['fractions of tries', () => move({ tries: { lands: 2.5, reactions: { bridge: 0.5 } } })],
    ['hazard and fit as the coach likes', () => move({ hazard: { part: 'elbow' }, fit: { size: 'any' } })],
    [
      'a checkpoint with test, gate and mistake',
      () =>
        move({
          checkpoints: [{ id: 'cp', text: 'a', test: 'b', until: 'c', fault: { mistake: 'd', result: 'e', fix: 'f' } }],
        }),
    ],
    [
      'a threat and what they do unprompted',
      () =>
        position({ threat: { every: 30, uses: ['left-hand'] }, unprompted: { every: 8, reactions: { bridge: 2 } } }),
    ],
    ['a reaction that ends caught', () => reaction({ endsIn: 'caught' })],
    ['a reaction that strips ours and adds theirs', () => reaction({ strips: ['cross'], adds: ['frame'] })],
    ['an answer without tries, stalling elsewhere', () => answer({ tries: undefined, stallsIn: 'mount' })],
    ['never breaking up', () => problems((chart) => void Object.assign(chart, { settings: { breakUp: null } }))],
  ])('%s', (_, found) => expect(found()).toEqual([]))
})

describe('what a record may not say', () => {
  it.each<[string, () => string[], string]>([
    ['a move that stalls nowhere', () => move({ stallsIn: 'moon' }), 'moves[0].stallsIn'],
    ['a move into being caught', () => move({ to: 'caught' }), 'moves[0].to'],
    [
      'a build that changes more than all',
      () => move({ fit: [{ trait: 'arms', of: 'ours', per: 1.2 }] }),
      'moves[0].fit[0].per',
    ],
    ['a build of nobody', () => move({ fit: [{ trait: 'arms', of: 'both', per: 0.2 }] }), 'moves[0].fit[0].of'],
    [
      'thirteen remarks on build',
      () => move({ fit: Array.from({ length: 13 }, () => ({ trait: 'arms', of: 'ours', per: 0.1 })) }),
      'moves[0].fit',
    ],
    ['a move that needs their hold', () => move({ needs: ['frame'] }), 'moves[0].needs[0]'],
    ['a move that strips our hold', () => move({ strips: ['cross'] }), 'moves[0].strips[0]'],
    ['tries that end nowhere', () => move({ tries: { elsewhere: { moon: 1 } } }), 'moves[0].tries.elsewhere.moon'],
    ['nothing seen at all', () => seen({ 'far-hand': 0 }), 'positions[0].seen'],
    ['a cue that is not charted', () => seen({ 'near-hand': 3 }), 'positions[0].seen.near-hand'],
    ['a cue seen too often', () => seen({ 'far-hand': 1001 }), 'positions[0].seen.far-hand'],
    ['a cue seen less than never', () => seen({ 'far-hand': -1 }), 'positions[0].seen.far-hand'],
    ['a move that waits for a cue that is not charted', () => seen({ nothing: 1 }, ['near-hand']), 'moves[0].when[0]'],
    ['a move that waits for what is not seen there', () => seen({ nothing: 1 }, ['far-hand']), 'moves[0].when[0]'],
    ['a move that waits where nothing is seen', () => move({ when: ['far-hand'] }), 'moves[0].when[0]'],
    [
      'a cue that is called nothing',
      () => problems((chart) => void Object.assign(chart, { cues: [{ id: 'nothing', name: 'Nothing' }] })),
      'cues[0].id',
    ],
    [
      'thirteen cues in one position',
      () =>
        problems((chart) => {
          const cues = Array.from({ length: 13 }, (_, i) => ({ id: `c${i}`, name: `Cue ${i}` }))
          Object.assign(chart, { cues })
          Object.assign(chart.positions[0], { seen: Object.fromEntries(cues.map(({ id }) => [id, 1])) })
        }),
      'positions[0].seen',
    ],
    ['a race for nothing', () => race({ reaction: 'flies' }), 'moves[0].race.reaction'],
    ['a race in no time', () => race({ ours: 0 }), 'moves[0].race.ours'],
    ['a race that they never end', () => race({ theirs: Infinity }), 'moves[0].race.theirs'],
    ['a race without spread', () => race({ spread: 0 }), 'moves[0].race.spread'],
    ['a race in no try', () => race({ tries: 0 }), 'moves[0].race.tries'],
    ['a move with neither tries nor a race', () => move({ tries: undefined }), 'moves[0].tries'],
    ['infinite tries', () => move({ tries: { lands: Infinity } }), 'moves[0].tries.lands'],
    ['seconds of a day and more', () => move({ seconds: 100_000 }), 'moves[0].seconds'],
    [
      'an unprompted reaction to nothing',
      () => position({ unprompted: { every: 8, reactions: { fly: 1 } } }),
      'positions[0].unprompted.reactions.fly',
    ],
    [
      'unprompted with no tries at all',
      () => position({ unprompted: { every: 8, reactions: {} } }),
      'positions[0].unprompted.reactions',
    ],
    [
      'unprompted all the time',
      () => position({ unprompted: { every: 0.5, reactions: { bridge: 1 } } }),
      'positions[0].unprompted.every',
    ],
    ['a mirror that is not there', () => position({ mirror: 'moon' }), 'positions[0].mirror'],
    ['null for a number', () => position({ endWorth: null }), 'positions[0].endWorth'],
    ['a reaction that adds our hold', () => reaction({ adds: ['cross'] }), 'reactions[0].adds[0]'],
    ['a reaction that breaks no checkpoint', () => reaction({ breaks: ['cp'] }), 'reactions[0].breaks[0]'],
    ['an answer with nothing in it', () => answer({ tries: { stalls: 3 } }), 'answers[0].tries'],
    ['an answer that stalls nowhere', () => answer({ stallsIn: 'moon' }), 'answers[0].stallsIn'],
    ['a hold without limbs', () => hold({ limbs: [] }), 'holds[0].limbs'],
    [
      'a hold that denies half of nothing',
      () => hold({ denies: [{ capability: '', strength: 0.5 }] }),
      'holds[0].denies[0].capability',
    ],
    ['a name of spaces', () => position({ name: '   ' }), 'positions[0].name'],
  ])('%s', (_, found, path) => expect(found()).toContain(path))
})

describe('ids', () => {
  it.each(['a', 'side-control', 'x1', 'a'.repeat(64)])('%s may be one', (id) => expect(isId(id)).toBe(true))
  it.each(['', '1a', 'A', 'a b', 'finish', 'caught', 'goal', 'a'.repeat(65), 'é', '-a'])('%s may not', (id) =>
    expect(isId(id)).toBe(false),
  )

  it('are made from names, and free', () => {
    const used = new Set(['side-control', 'side-control-2'])
    expect(idFromName('Side control', used)).toBe('side-control-3')
    expect(idFromName('  Uchi-mata é ', new Set())).toBe('uchi-mata-e')
    expect(idFromName('2 on 1', new Set())).toBe('on-1')
    for (const name of ['Finish', '???', '123', 'x'.repeat(300), 'goal'])
      expect(isId(idFromName(name, used))).toBe(true)
  })

  it.each(['Constructor', 'prototype', '__proto__', 'over', 'Caught', 'toString', 'valueOf'])(
    'named %s are accepted by the reader, as keys of tries too',
    (name) => {
      const chart = emptyChart('new', 'New')
      const side = addPosition(chart, { name, family: 'side', ahead: 'ours' })
      const tries = { lands: 5, elsewhere: { [side]: 1 } }
      const move = addMove(chart, { name, kind: 'advance', from: side, to: side, tries })
      addReaction(chart, move, name, side)
      expect(taken(parseDocument(CHART_KIND, makeDocument(chart)))).toEqual(chart)
    },
  )
})
