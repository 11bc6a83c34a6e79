import { emptyChart, type Chart } from '../../../src/core/chart/chart'
import { setField } from '../../../src/core/chart/edits/fields'
import {
  addMove,
  addPosition,
  meetReaction,
  setAhead,
  setFamily,
  setKind,
  setOut,
} from '../../../src/core/chart/edits/records'
import { withPart } from '../../../src/core/chart/edits/tries'
import { aheadFromName, familyFromName } from '../../../src/core/chart/fromName'
import { asksAhead, newMove, positionFromName } from '../../../src/core/chart/guesses'
import { toPositionId, toReactionId } from '../../../src/core/chart/ids'
import { KINDS } from '../../../src/core/chart/words'
import { figuresOf } from '../../../src/core/insight/figures'
import { scenarioOf } from '../../../src/core/game/scenario'
import { readShelfFiles } from '../../fixtures/shelfFiles'
import { taken } from '../../reference/taken'

describe('what a name tells', () => {
  it.each([
    ['Guard', 'guard', 'even'],
    ['guard recovered', 'guard', 'even'],
    ['In their half guard', 'half-guard', 'even'],
    ['Half guard, underneath', 'half-guard', 'even'],
    ['Guard passed', 'guard', 'ours'],
    ['Standing', 'standing', 'even'],
    ['Standing over them', 'standing', 'ours'],
    ['Over-under clinch', 'clinch', 'even'],
    ['Their back', 'back', 'ours'],
    ['Back control', 'back', 'ours'],
    ['They have our back', 'back', 'theirs'],
    ['my back', 'back', 'theirs'],
    ['Mount', 'mount', 'ours'],
    ['High mount', 'mount', 'ours'],
    ['Their mount', 'mount', 'theirs'],
    ['under mount', 'mount', 'theirs'],
    ['Bottom side control', 'side', 'theirs'],
    ['Side control', 'side', 'ours'],
    ['side', 'side', 'ours'],
    ['Knee on belly', 'knee-ride', 'ours'],
    ['Turtle', 'turtle', 'ours'],
    ['Our turtle', 'turtle', 'theirs'],
    ['Front headlock', 'headlock', 'ours'],
    ['Mount, head and arm', 'mount', 'ours'],
    ['Underhook, head clear', 'clinch', undefined],
    ['Single leg', 'clinch', undefined],
    ['Scramble on the back', 'back', undefined],
    ['Something else', undefined, undefined],
  ])('%s: %s, %s', (name, family, ahead) => {
    expect([familyFromName(name), aheadFromName(name)]).toEqual([family, ahead])
  })

  it('agrees with the Shelf where it tells, by its names and its other names', async () => {
    const regions = await readShelfFiles()
    const names = regions.flatMap(({ positions }) =>
      (positions ?? []).flatMap(({ name, aliases = [], ahead }) => [name, ...aliases].map((one) => ({ one, ahead }))),
    )
    const told = names.filter(({ one }) => aheadFromName(one) !== undefined)
    const right = told.filter(({ one, ahead }) => aheadFromName(one) === ahead)
    expect(told.length / names.length).toBeGreaterThan(0.6)
    expect(right.length / told.length).toBeGreaterThan(0.93)
  })
})

describe('a new position', () => {
  const named = (name: string) => {
    const chart = emptyChart('one', 'One')
    return { chart, id: addPosition(chart, positionFromName(name)), position: chart.positions[0] }
  }

  it('is left by a good partner where it is ours, and in a tie', () => {
    const out = (name: string) => named(name).position.out?.every
    expect(
      ['Knee on belly', 'Front headlock', 'Turtle', 'Side control', 'Mount', 'Back', 'Clinch', 'Lying across them'].map(
        out,
      ),
    ).toEqual([10, 12, 12, 25, 25, 30, 8, undefined])
    expect(['Guard', 'Standing', 'Their mount', 'They have our back'].map(out)).toEqual(Array(4).fill(undefined))
    expect(named('Americana lock').position.out).toEqual({ every: 15 })
  })

  it('asks who is ahead only where its name does not tell, until it is said', () => {
    const { chart, id, position } = named('Underhook')
    expect([position.ahead, asksAhead(position)]).toEqual(['even', true])
    expect(asksAhead(named('Mount').position)).toBe(false)
    setAhead(chart, id, 'ours')
    expect(asksAhead(position)).toBe(false)
    expect(position).toMatchObject({ ahead: 'ours', out: { every: 8 }, guessed: ['out'] })
  })

  it('has a guess follow who is ahead and the family, but not what the coach has set', () => {
    const { chart, id, position } = named('Mount')
    setFamily(chart, id, 'knee-ride')
    expect(position.out).toEqual({ every: 10 })
    setAhead(chart, id, 'theirs')
    expect([position.out, position.guessed]).toEqual([undefined, undefined])
    setAhead(chart, id, 'ours')
    expect(position.out).toBeUndefined()

    const set = named('Mount')
    setOut(set.chart, set.id, 40)
    setFamily(set.chart, set.id, 'back')
    setAhead(set.chart, set.id, 'even')
    expect(set.position).toMatchObject({ out: { every: 40 }, family: 'back', ahead: 'even' })
    expect(set.position.guessed).toBeUndefined()
  })

  it('is worth more the less it is somebody’s: mount, standing over them, guard recovered', () => {
    const worth = (name: string) => {
      const { chart } = named(name)
      return taken(figuresOf(chart, scenarioOf(chart, { slips: 0.15 }))).figures.value
    }
    const [mount, over, guard] = ['Mount', 'Standing over them', 'Guard recovered'].map(worth)
    expect(mount).toBeGreaterThan(over + 0.005)
    expect(over).toBeGreaterThan(0.005)
    expect(guard).toBe(0)
  })
})

describe('a new move', () => {
  const from = toPositionId('mount')
  const charted = (): Chart => {
    const chart = emptyChart('one', 'One')
    addPosition(chart, positionFromName('Mount'))
    addMove(chart, newMove({ name: 'Grip', kind: 'grip', from, to: from, tries: { lands: 4, stalls: 6 } }))
    chart.reactions.push({ id: toReactionId('turns'), name: 'Turns', endsIn: from })
    return chart
  }

  it('has its seconds by its kind until somebody sets them', () => {
    const chart = charted()
    const [move] = chart.moves
    expect([move.seconds, move.guessed]).toEqual([3, ['seconds']])
    const seconds = KINDS.map((kind) => {
      setKind(chart, move.id, kind)
      return `${kind} ${move.seconds}`
    })
    expect(seconds).toEqual(expect.arrayContaining(['submission 10', 'takedown 6', 'advance 6', 'hold 5', 'grip 3']))
    setField(chart, 'moves', move.id, 'seconds', 7)
    setKind(chart, move.id, 'submission')
    expect([move.seconds, move.guessed]).toEqual([7, undefined])
    expect(newMove({ name: 'A', kind: 'grip', from, to: from, seconds: 9 }).guessed).toBeUndefined()
  })

  it('meets a reaction in tries of which nothing came, and says where it guesses how many', () => {
    const chart = charted()
    const [move] = chart.moves
    meetReaction(chart, move.id, toReactionId('turns'), 3)
    expect(move.tries).toEqual({ lands: 4, stalls: 3, reactions: { turns: 3 } })
    meetReaction(chart, move.id, toReactionId('turns'))
    expect(move.tries).toMatchObject({ stalls: 1, reactions: { turns: 2 }, weight: 1 })
    meetReaction(chart, move.id, toReactionId('turns'), 4)
    expect(move.tries).toMatchObject({ stalls: 0, reactions: { turns: 4 } })
    expect(withPart(move.tries!, { part: 'lands' }, 5).weight).toBeUndefined()
  })
})
