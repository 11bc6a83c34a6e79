import { readFileSync } from 'node:fs'
import type { Chart } from '../../src/core/chart/chart'
import type { PositionId } from '../../src/core/chart/ids'
import { parseChart, readChart } from '../../src/core/files/chartFile'
import { applyFork } from '../../src/core/notation/edits/applyFork'
import { sayLines, sayStill } from '../../src/core/notation/edits/sayLines'
import { setUnprompted } from '../../src/core/chart/edits/tries'
import { nearlyNamed, nearMisses } from '../../src/core/notation/near'
import { completeFork } from '../../src/core/notation/complete'
import { readFork } from '../../src/core/notation/readFork'
import { writeFork } from '../../src/core/notation/writeFork'
import { soundChart } from '../fixtures/brokenCharts'
import { randomChart } from '../reference/randomChart'
import { taken } from '../reference/taken'

const sound = (): Chart => taken(readChart(soundChart()))
const side = 'side' as PositionId

function say(chart: Chart, position: PositionId, line: string) {
  const fork = readFork(line)
  if (!fork.ok) return fork
  return applyFork(chart, position, fork.value)
}

describe('a line', () => {
  it('makes a fork with everything new in it', () => {
    const chart = sound()
    const line =
      'Americana (finish): 3 land; 2 nothing; 4 turns in (turtle) > take the back (back control) 6 of 10, step over; 1 bridges > ?'
    const said = say(chart, side, line)
    expect(said).toMatchObject({ ok: true, value: { move: 'americana' } })
    if (said.ok)
      expect(said.value.created.map(({ name }) => name)).toEqual(
        expect.arrayContaining(['Americana', 'Turns in', 'Turtle', 'Take the back', 'Back control']),
      )
  })

  it('makes of a new answer a move that is only in reply, and a guess of tries that were not said', () => {
    const chart = sound()
    say(chart, side, 'Americana (finish): 3 land; 4 turns in (turtle) > take the back (back control) 6 of 10')
    say(chart, side, 'Kimura (finish): 3 land; 2 shrugs > armbar (finish)')
    const move = (id: string) => chart.moves.find((one) => one.id === id)!
    const answer = (id: string) => chart.answers.find((one) => one.move === id)!
    expect([move('take-the-back'), move('armbar')]).toMatchObject([{ reply: true }, { reply: true }])
    for (const id of ['take-the-back', 'armbar']) expect(move(id)).not.toHaveProperty('tries')
    expect(answer('take-the-back').tries).toEqual({ lands: 6, stalls: 4 })
    expect(answer('armbar').tries).toEqual({ lands: 5, stalls: 5, weight: 1 })
    expect(move('kimura')).not.toHaveProperty('reply')
    expect(writeFork(chart, move('armbar'))).toBe('Armbar (finish) only in reply:')
    say(chart, side, 'Armbar (finish): 2 land; 8 nothing')
    expect(move('armbar')).toMatchObject({ tries: { lands: 2, stalls: 8 } })
    expect(move('armbar')).not.toHaveProperty('reply')
  })

  it('needs to know where a new move leads', () => {
    const said = say(sound(), side, 'Step across: 3 land')
    expect(said.ok ? [] : said.errors).toEqual([
      { at: 0, end: 11, message: expect.stringContaining('say where it leads') },
    ])
  })

  it.each(['Americana', 'Arm-in choke', 'Straight armlock', 'kimura', 'Inside heel hook'])('%s is a finish', (name) => {
    const chart = sound()
    expect(say(chart, side, `${name}: 3 land`).ok).toBe(true)
    expect(chart.moves.at(-1)).toMatchObject({ to: 'finish', kind: 'submission', seconds: 10, guessed: ['seconds'] })
  })

  it.each(['Kimura grip', 'Body lock', 'Armbar control', 'Step over the leg'])('%s is none', (name) => {
    expect(say(sound(), side, `${name}: 3 land`).ok).toBe(false)
  })

  it('comes to nothing as far as nothing else is said, up to ten tries or as many as were said', () => {
    const tries = (line: string) => {
      const chart = sound()
      expect(say(chart, side, line).ok).toBe(true)
      return chart.moves.find(({ name }) => name === 'Americana')!.tries
    }
    expect(tries('Americana: 4 land')).toEqual({ lands: 4, stalls: 6 })
    expect(tries('Americana 4 of 10')).toEqual({ lands: 4, stalls: 6 })
    expect(tries('Americana (finish) 40 %; 3 bridges')).toEqual({ lands: 4, stalls: 3, reactions: { bridge: 3 } })
    expect(tries('Americana: 4; 30% bridges')).toEqual({ lands: 4, stalls: 3, reactions: { bridge: 3 } })
    expect(tries('Americana: 3 of 5 land; 1 of 5 bridges')).toEqual({ lands: 3, stalls: 1, reactions: { bridge: 1 } })
    expect(tries('Americana 6 of 20; 4 bridges')).toEqual({ lands: 6, stalls: 10, reactions: { bridge: 4 } })
    expect(tries('Americana: 8 land; 4 bridges')).toEqual({ lands: 8, reactions: { bridge: 4 } })
    expect(tries('Americana: 3 land; 2 nothing')).toEqual({ lands: 3, stalls: 2 })
  })

  it('has answers in any form of so many of so many', () => {
    const own = (answer: string) => {
      const chart = sound()
      expect(say(chart, side, `Step over: 3 bridges > step over ${answer}`).ok).toBe(true)
      return chart.answers[0].tries
    }
    expect(own('60%')).toEqual({ lands: 6, stalls: 4 })
    expect(own('3 of 5')).toEqual({ lands: 3, stalls: 2 })
    expect(own('[40 %; 2 bridges]')).toEqual({ lands: 4, stalls: 4, elsewhere: undefined, reactions: { bridge: 2 } })
  })

  it('uses what is charted, by name or alias, and keeps what it does not speak of', () => {
    const chart = sound()
    chart.moves[0].aliases = ['Stepping over']
    chart.moves[0].notes = 'slowly'
    const said = say(chart, side, 'stepping  OVER: 7 land; 3 bridges > step over 2 of 4')
    expect(said).toMatchObject({ ok: true, value: { move: 'step', created: [] } })
    expect(chart.moves[0]).toMatchObject({
      notes: 'slowly',
      to: 'mount',
      tries: { lands: 7, stalls: 0, reactions: { bridge: 3 } },
    })
    expect(chart.answers).toEqual([{ reaction: 'bridge', move: 'step', tries: { lands: 2, stalls: 2 } }])
  })

  it('with a question mark leaves a loose end; without a sign it leaves the answers alone', () => {
    const chart = sound()
    say(chart, side, 'Step over: 7 land; 3 bridges')
    expect(chart.answers).toHaveLength(1)
    say(chart, side, 'Step over: 7 land; 3 bridges > ?')
    expect(chart.answers).toHaveLength(0)
  })

  it('does not move a reaction that another move meets, but makes one of the same name', () => {
    const chart = sound()
    say(chart, side, 'Americana (finish): 3 land; 4 bridges')
    expect(chart.reactions).toHaveLength(1)
    say(chart, side, 'Americana: 3 land; 4 bridges (mount) > ?')
    expect(chart.reactions.map(({ name, endsIn }) => [name.toLowerCase(), endsIn])).toEqual([
      ['bridges', 'side'],
      ['bridges', 'mount'],
    ])
    expect(chart.moves[0].tries!.reactions).toEqual({ bridge: 3 })
  })

  it('has numbers in names, after a comma too, and in quotes in front', () => {
    const chart = sound()
    expect(say(chart, side, 'Option 2 (finish): 3,5 land; 2 kicks 2 > "2 on 1" (finish) 6,5 of 10')).toMatchObject({
      ok: true,
    })
    const option = chart.moves.find(({ name }) => name === 'Option 2')!
    expect(option.tries).toMatchObject({ lands: 3.5, reactions: { 'kicks-2': 2 } })
    expect(chart.answers.at(-1)).toMatchObject({ reaction: 'kicks-2', tries: { lands: 6.5, stalls: 3.5 } })
  })

  it.each([
    ['', 0, /begin with the name/],
    ['50/50 pass: 3 land', 0, /stands in quotes/],
    ['Step over: 3 50/50 roll', 13, /stands in quotes/],
    ['Step over: 3 bridges > step over 6', 34, /stands in quotes/],
    ['Step over: ٣ land', 11, /"٣" is not read as a digit/],
    ['Step over', 9, /how ten tries go/],
    ['Step over: 140 % land', 11, /at most 100 %/],
    ['Step over: land', 11, /how many/],
    ['Step over: 3 (mount)', 13, /what they do/],
    ['Step over: 3 land, 2 nothing', 17, /semicolon/],
    ['Step over: 3 bridges >', 22, /which move/],
    ['Step over (mount: 3 land', 24, /close the bracket/],
    ['Step over: 3 bridges > step over 6 of', 37, /of how many/],
    ['Step over: 3 bridges > fly home', 23, /say where it leads/],
    ['Step over: 3 bridges > step over 6 of 4', 33, /6 of 4 is too many/],
    ['Step over: 9999 land', 11, /at most 1000/],
    ['Step over: 3 nothing', 0, /must land or meet/],
    ['Step over (caught): 3 land', 11, /lands in a position/],
    ['Step over: 3 bridges (finish)', 22, /finish for us/],
    ['#fly: 3 land', 0, /no move #fly/],
  ])('%j is refused at character %i', (line, at, says) => {
    const said = say(sound(), side, line)
    expect(said.ok).toBe(false)
    if (!said.ok) {
      expect(said.errors[0].message).toMatch(says)
      expect(said.errors[0].at).toBe(at)
    }
  })
})

describe('what they do while we hold still', () => {
  const still = (chart: Chart, line: string) => sayStill(chart, side, line)

  it('is said with its answers, beside what is charted of it, and asks for no move of ours', () => {
    const chart = sound()
    const moves = chart.moves.length
    expect(still(chart, '3 push the knee > underhook (mount) 6 of 10; 1 bridges (turtle) > ?')).toMatchObject({
      ok: true,
      value: { reactions: ['push-the-knee', 'bridges'] },
    })
    const here = () => chart.positions.find(({ id }) => id === side)!
    expect(here()).toMatchObject({
      unprompted: { every: 10, reactions: { 'push-the-knee': 3, bridges: 1 } },
      guessed: ['unprompted'],
    })
    expect(chart.moves.slice(moves)).toMatchObject([{ name: 'Underhook', from: side, to: 'mount', reply: true }])
    setUnprompted(chart, side, 8, here().unprompted!.reactions)
    expect(here().guessed).toBeUndefined()
    still(chart, '2 push the knee')
    expect(here().unprompted).toEqual({ every: 8, reactions: { 'push-the-knee': 2, bridges: 1 } })
    expect(chart.answers.filter(({ reaction }) => reaction === 'push-the-knee')).toHaveLength(1)
  })

  it.each(['', '3', '3 land', 'push the knee', '3 push the knee > fly home', '2 caught'])('refuses %j', (line) => {
    const chart = sound()
    const before = structuredClone(chart)
    expect(still(chart, line).ok).toBe(false)
    expect(chart).toEqual(before)
  })
})

describe('a near miss', () => {
  const turns = [{ name: 'Turns in', aliases: ['Rolls to the knees'] }, { name: 'Hides it at the hip' }]

  it.each([
    ['turn in', 'Turns in'],
    ['Truns in', 'Turns in'],
    ['roll to knees', 'Rolls to the knees'],
    ['hides at hip', undefined],
    ['hides it at hip', 'Hides it at the hip'],
    ['turns in', undefined],
    ['turns out', undefined],
    ['bridges', undefined],
  ])('%s: %s', (name, meant) => expect(nearlyNamed(name, turns)).toBe(meant))

  it('is told of every record that a line would create', () => {
    const created = [
      { kind: 'move' as const, name: 'Step ovr' },
      { kind: 'position' as const, name: 'Mounts' },
      { kind: 'reaction' as const, name: 'Rolls away' },
    ]
    expect(nearMisses(sound(), created)).toEqual([
      { kind: 'move', said: 'Step ovr', meant: 'Step over' },
      { kind: 'position', said: 'Mounts', meant: 'Mount' },
    ])
  })
})

describe('a fork', () => {
  it('read back as its line changes nothing, on any chart', () => {
    for (let seed = 1; seed <= 80; seed++) {
      const chart = randomChart(seed, false)
      chart.moves.forEach((move) => {
        const copy = structuredClone(chart)
        const line = writeFork(chart, move)
        expect(say(copy, move.from, line)).toMatchObject({ ok: true, value: { move: move.id, created: [] } })
        expect(
          writeFork(
            copy,
            copy.moves.find(({ id }) => id === move.id)!,
          ),
        ).toBe(line)
        expect(copy.answers.length).toBe(chart.answers.length)
      })
    }
  })

  it('quotes names that could be read as something else', () => {
    const chart = sound()
    const names = ['2 on 1', 'Step: over', 'nothing', 'Over 3 of 4', 'ends in pain', 'a, b > c']
    names.forEach((name) => {
      chart.moves[0].name = name
      chart.reactions[0].name = name
      const line = writeFork(chart, chart.moves[0])
      const copy = structuredClone(chart)
      expect([name, say(copy, side, line)]).toMatchObject([name, { ok: true, value: { created: [] } }])
      expect(copy).toEqual(chart)
    })
  })
})

describe('a position pasted as lines', () => {
  const lines = [
    'Americana (finish): 3 land; 3 nothing; 4 turns in (turtle) > take the back (back control) 6 of 10',
    '',
    'Far arm (finish): 2 land; 5 nothing; 3 hides the arm > americana 5 of 10, knee slide',
    'Knee slide (mount): 5 land; 5 bridges > ?',
  ].join('\n')

  it('becomes its forks, whatever the order of the lines', () => {
    const chart = sound()
    const said = sayLines(chart, side, lines)
    expect(said).toMatchObject({ ok: true, value: { moves: ['americana', 'far-arm', 'knee-slide'] } })
    expect(readChart(chart).ok).toBe(true)
    expect(chart.answers.map(({ move }) => move)).toEqual(['take-the-back', 'americana', 'knee-slide'])
  })

  it('changes nothing when one of them is wrong, and says which', () => {
    const chart = sound()
    const before = structuredClone(chart)
    const said = sayLines(chart, side, `${lines}\nKnee slide: 3 bridges >`)
    expect(said).toMatchObject({ ok: false, errors: [{ line: 4, at: 23 }] })
    expect(chart).toEqual(before)
  })
})

describe('completion', () => {
  const options = (line: string) => completeFork(sound(), side, line, line.length).options.map(({ insert }) => insert)

  it('offers what may stand there', () => {
    expect(options('St')).toEqual(['Step over'])
    expect(options('Step over: 3 b')).toEqual(['Bridges'])
    expect(options('Step over: 3 ')).toEqual(['land', 'nothing', 'Bridges'])
    expect(options('Step over: 3 bridges > st')).toEqual(['Step over'])
    expect(options('Step over (mo')).toEqual(['Mount'])
    expect(options('Step over: ')).toEqual([])
  })

  it('replaces what has been typed of the name', () => {
    expect(completeFork(sound(), side, 'Step over: 3 bri', 16).from).toBe(13)
  })
})

describe('the demo plan', () => {
  const text = readFileSync(new URL('../../demo/tern-street.ataque.json', import.meta.url), 'utf8')
  const demo = taken(parseChart(text))

  it('reads back as its lines, fork by fork and position by position', () => {
    for (const { id } of demo.positions) {
      const copy = structuredClone(demo)
      const lines = demo.moves.filter(({ from }) => from === id).map((move) => writeFork(demo, move))
      expect(sayLines(copy, id, lines.join('\n'))).toMatchObject({ ok: true, value: { created: [] } })
      expect(copy).toEqual(demo)
    }
  })

  it('is as large as a real one, with dangers named on every submission', () => {
    const { positions, moves, reactions, answers } = demo
    expect(positions.length).toBeGreaterThanOrEqual(20)
    expect(moves.length).toBeGreaterThanOrEqual(45)
    expect(reactions.length).toBeGreaterThanOrEqual(35)
    expect(answers.length).toBeGreaterThanOrEqual(50)
    const silent = moves.filter(({ kind, to, hazard }) => (kind === 'submission' || to === 'finish') && !hazard)
    expect(silent.map(({ name }) => name)).toEqual([])
  })
})
