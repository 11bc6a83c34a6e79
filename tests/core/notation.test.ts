import { readFileSync } from 'node:fs'
import type { Chart } from '../../src/core/chart/chart'
import type { PositionId } from '../../src/core/chart/ids'
import { parseChart, readChart } from '../../src/core/files/chartFile'
import { applyFork } from '../../src/core/notation/edits/applyFork'
import { sayLines } from '../../src/core/notation/edits/sayLines'
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
    const said = say(sound(), side, 'Americana: 3 land')
    expect(said.ok ? [] : said.errors).toEqual([
      { at: 0, end: 9, message: expect.stringContaining('say where it leads') },
    ])
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
    ['Step over', 9, /colon/],
    ['Step over: land', 11, /how many/],
    ['Step over: 3', 12, /what they do/],
    ['Step over: 3 land, 2 nothing', 17, /semicolon/],
    ['Step over: 3 bridges >', 22, /which move/],
    ['Step over (mount: 3 land', 24, /close the bracket/],
    ['Step over: 3 bridges > step over 6 of', 37, /of how many/],
    ['Step over: 3 bridges > fly home', 23, /say where it leads/],
    ['Step over: 3 bridges > step over 6 of 4', 33, /6 of 4/],
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
