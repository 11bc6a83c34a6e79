import { readFileSync } from 'node:fs'
import type { Chart } from '../../src/core/chart/chart'
import type { CueId, MoveId, PositionId, ReactionId } from '../../src/core/chart/ids'
import { parseChart } from '../../src/core/files/chartFile'
import { scenarioOf } from '../../src/core/game/scenario'
import { explain, type Question } from '../../src/core/insight/explain'
import { figuresOf } from '../../src/core/insight/figures'
import { headline, worstLeaks } from '../../src/core/say/headline'
import { conditions, explainAtOnce, explained } from '../../src/core/say/explanation'
import { commandsFor } from '../../src/views/frame/commands'
import { commandFinder } from '../../src/views/frame/finding'
import { SHORTCUTS } from '../../src/views/frame/shortcutList'
import { isTyping, shortcutOf } from '../../src/views/frame/shortcuts'
import { placeOf } from '../../src/views/plan/desk/places'
import { taken } from '../reference/taken'

const text = readFileSync(new URL('../../demo/tern-street.ataque.json', import.meta.url), 'utf8')
const chart = taken(parseChart(text))
const scenario = scenarioOf(chart)
const { figures, solution } = taken(figuresOf(chart, scenario))

describe('what a coach would say of the plan', () => {
  it('tells how a hundred exchanges end, what to begin with and where it leaks', () => {
    expect(headline(chart, scenario, figures)).toBe(
      'From Underhook, head clear, of a hundred exchanges we finish about 34 times, come out ahead 21 times and are ' +
        'worse off or caught 8 times. Begin with Shoot the high crotch. It leaks most when they answer Shoot the ' +
        'high crotch with “Sprawls on us”.',
    )
  })

  it('speaks of a goal where there is one, and of waiting or nothing where that is best', () => {
    const goal = [chart.positions[8].id]
    const withGoal = scenarioOf(chart, { goal })
    const aimed = taken(figuresOf(chart, withGoal)).figures
    expect(headline(chart, withGoal, aimed)).toMatch(/we reach the goal or finish about \d+ times/)
    const finishing = (finish: number) =>
      headline(chart, scenario, { ...figures, endings: { ...figures.endings, finish } })
    expect(finishing(0.004)).toContain('of a hundred exchanges we finish less than once, come out')
    expect(finishing(0.01)).toContain('we finish about once, come out')
    expect(finishing(0)).toContain('we never finish, come out')
    expect(headline(chart, scenario, { ...figures, best: 'wait' })).toContain('Hold still first')
    expect(headline(chart, scenario, { ...figures, best: null })).toContain('nothing left to do')
  })

  it('puts the leaks first that cost most', () => {
    const leaks = worstLeaks(figures, 100)
    expect(leaks.length).toBeGreaterThan(3)
    leaks.forEach(({ met, cost }, i) => {
      expect(met.net).toBeLessThanOrEqual(-0.03)
      expect(cost).toBeCloseTo(met.net * met.visits, 12)
      if (i) expect(cost).toBeGreaterThanOrEqual(leaks[i - 1].cost)
    })
    expect(worstLeaks(figures, 3)).toEqual(leaks.slice(0, 3))
  })
})

describe('a figure taken apart', () => {
  const sum = (rows: { chance: number; value: number }[]) =>
    rows.reduce((total, { chance, value }) => total + chance * value, 0)

  it('of the start says how exchanges end', () => {
    const start = explainAtOnce(chart, figures, { of: 'start' }, scenario)!
    expect(start.rows.map((row) => row.text)).toEqual([
      'finished',
      'they finish us',
      'ended with us ahead',
      'ended even',
      'ended with them ahead',
    ])
    expect(sum(start.rows)).toBeCloseTo(figures.value, 9)
  })

  it('of a cost, a leak or uses sums to it', () => {
    const leak = worstLeaks(figures, 1)[0]
    const asked = [
      { of: 'cost', reaction: 'Steps around', cost: 0.0095 },
      { of: 'leak', reaction: 'Sprawls', visits: leak.met.visits, net: leak.met.net },
      ...chart.moves.map(({ id }) => ({ of: 'uses', move: id })),
    ]
    for (const one of asked) {
      const made = explainAtOnce(chart, figures, one as never, scenario)!
      expect(sum(made.rows)).toBeCloseTo(made.total, 9)
    }
  })

  it('of a move names its landing, what they do and nothing', () => {
    const question = { of: 'move', move: 'shoot-the-high-crotch' as MoveId } as const
    const made = explained(chart, question, explain(solution, question)!)
    expect(made.title).toBe('Shoot the high crotch')
    expect(made.plan).toBe('We try Shoot the high crotch (3 s):')
    const rows = made.rows.map((row) => row.text)
    expect(rows).toContain('lands in High crotch, in on the leg')
    expect(rows).toContain('they: Buries the head')
    expect(rows).toContain('nothing comes of it: Underhook, head clear')
    expect(rows).toContain('something breaks it up on the way')
  })

  it('of a net is a difference', () => {
    const met = figures.met.find(({ move, reaction }) => move === 'americana' && reaction === 'bridges-over-us')!
    const question = { of: 'net', move: met.move, position: met.position, reaction: met.reaction } as const
    const made = explained(chart, question, explain(solution, question)!)
    expect(made.isDifference).toBe(true)
    expect(sum(made.rows)).toBeCloseTo(met.net, 9)
    expect(made.title).toBe('Net: Bridges over us, to Americana')
  })

  it('of coming to where one chooses by what is seen is by what is seen, and of each of these by what is done', () => {
    const position = 'side-control-head-and-far-arm' as PositionId
    const cue = { id: 'far-hand' as CueId, name: 'Far hand at our neck' }
    const seeing: Chart = {
      ...chart,
      cues: [cue],
      positions: chart.positions.map((one) =>
        one.id === position ? { ...one, seen: { [cue.id]: 4, nothing: 6 } } : one,
      ),
      moves: chart.moves.map((one) => (one.id === 'step-around-armbar' ? { ...one, when: [cue.id] } : one)),
    }
    const found = taken(figuresOf(seeing, scenario))
    const figure = found.figures.positions[position]
    const of = (question: Question) => explained(seeing, question, explain(found.solution, question)!)
    const made = of({ of: 'position', position })
    expect(made.rows.map(({ text }) => text)).toEqual(['we see: Far hand at our neck', 'we see: nothing in particular'])
    expect(sum(made.rows)).toBeCloseTo(figure.value, 9)
    const seen = of({ of: 'seen', position, cue: cue.id })
    expect([seen.title, seen.plan]).toEqual([
      'Side control, head and far arm: Far hand at our neck',
      'We try Step-around armbar (8 s):',
    ])
    expect(sum(seen.rows)).toBeCloseTo(figure.seen![0].value, 9)
    expect(explain(found.solution, { of: 'seen', position, cue: 'gone' as CueId })).toBeNull()
  })

  it('of what is not there is nothing', () => {
    expect(explain(solution, { of: 'move', move: 'fly' as MoveId })).toBeNull()
    expect(explain(solution, { of: 'position', position: 'moon' as PositionId })).toBeNull()
    const met = {
      move: 'americana' as MoveId,
      position: 'mount-hands-posted' as PositionId,
      reaction: 'x' as ReactionId,
    }
    expect(explain(solution, { of: 'met', ...met })).toBeNull()
  })

  it('says the clock and the defender behind it', () => {
    expect(conditions(scenario)).toBe(
      '4:00 on the clock; they see it coming 20 %; something breaks it up after about 120 s; a failed move ' +
        'tried again at once works 50 % as well; of 100 tries that come to nothing, 15 lose the position.',
    )
    expect(conditions({ ...scenario, seconds: null, breakUp: null, sharpness: 0 })).toMatch(
      /^no clock; they react as usual; nothing breaks it up;/,
    )
  })
})

describe('the palette', () => {
  const commands = commandsFor(chart, { undo: 'Rename', redo: undefined })

  it('leads to every position, move and reaction', () => {
    const keys = new Set(commands.map(({ key }) => key))
    for (const { id } of chart.positions) expect(keys).toContain(`position ${id}`)
    for (const { id } of chart.moves) expect(keys).toContain(`move ${id}`)
    expect(commands.filter(({ key }) => key.startsWith('reaction ')).length).toBeGreaterThan(80)
    expect(commands.find(({ key }) => key === 'move kimura')).toMatchObject({
      go: { path: '/worksheet/side-control-head-and-far-arm', query: { move: 'kimura' } },
    })
  })

  it('offers undo only where there is something to undo, and works without a chart', () => {
    expect(commands.some(({ name }) => name === 'Undo: Rename')).toBe(true)
    expect(commands.some(({ does }) => does === 'redo')).toBe(false)
    expect(commandsFor(null, {}).map(({ key }) => key)).toEqual([
      ...['/desk', '/slope', '/worksheet', '/runs', '/holds', '/sessions', '/mat', '/walk', '/rehearse'],
      ...['/people', '/trends', '/shelf', '/rules', '/charts', '/settings', '/score'],
      ...[
        '/runs',
        '/runs/side-by-side',
        '/runs/rounds',
        '/runs/beat',
        '/runs/pictures',
        '/runs/match',
        '/runs/what-if',
      ].map((path) => `tab ${path}`),
      ...['tab /holds', 'tab /score'],
      ...['shortcuts', 'dark', 'print'],
    ])
  })
})

describe('finding', () => {
  const find = commandFinder(commandsFor(chart, {}))
  const names = (text: string) => find(text).map(({ name }) => name)

  it('takes words in any order, in the name and in what stands around it', () => {
    expect(names('hides arm')).toContain('Hides it at the hip')
    expect(names('arm hides')).toContain('Hides it at the hip')
    expect(names('seatbelt flank')[0]).toBe('Seatbelt from the flank')
    expect(names('flank seatbelt')[0]).toBe('Seatbelt from the flank')
  })

  it.each([
    ['dark', 'Dark or light'],
    ['print', 'Print this screen'],
    ['export', 'Export this chart'],
    ['how sure', 'How sure is it?'],
    ['drill', 'What to drill'],
    ['side by side', 'Side by side'],
    ['what if', 'What if'],
  ])('%s finds “%s” first', (text, name) => expect(names(text)[0]).toBe(name))

  it('finds more than a dozen, all without a text, and nothing where a word is nowhere', () => {
    expect(names('back').length).toBeGreaterThan(12)
    expect(names(' ')).toHaveLength(commandsFor(chart, {}).length)
    expect(names('kimura xqzwvk')).toEqual([])
  })
})

describe('keys', () => {
  const press = (key: string, more: object = {}, target: unknown = null) =>
    shortcutOf({
      key,
      ctrlKey: false,
      metaKey: false,
      altKey: false,
      shiftKey: false,
      target,
      ...more,
    } as KeyboardEvent)
  const field = (value: string) => ({ closest: (wanted: string) => (/input/.test(wanted) ? { value } : null) })

  it('do what the list says', () => {
    expect(press('k', { ctrlKey: true })).toBe('palette')
    expect(press('z', { metaKey: true })).toBe('undo')
    expect(press('Z', { ctrlKey: true, shiftKey: true })).toBe('redo')
    expect(press('y', { ctrlKey: true })).toBe('redo')
    expect(press('?')).toBe('shortcuts')
    expect(press('z')).toBeUndefined()
  })

  it('leave a field that has text to the browser, but not an empty one', () => {
    expect(press('z', { ctrlKey: true }, field('something'))).toBeUndefined()
    expect(press('z', { ctrlKey: true }, field(''))).toBe('undo')
    expect(press('?', {}, field(''))).toBeUndefined()
    expect(isTyping(field('') as unknown as EventTarget)).toBe(true)
    expect(isTyping(null)).toBe(false)
  })

  it('are each listed once for each place', () => {
    const listed = SHORTCUTS.map(({ keys, where }) => `${keys} ${where}`)
    expect(new Set(listed).size).toBe(listed.length)
  })
})

describe('a line on the Desk', () => {
  it('leads to where it is fixed', () => {
    const place = placeOf(chart, 'americana' as MoveId, '' as PositionId, 'bridges-over-us' as ReactionId, true)
    expect(place).toEqual({
      reaction: 'Bridges over us',
      to: 'to Americana',
      go: {
        path: '/worksheet/side-control-head-and-far-arm',
        query: { move: 'americana', reaction: 'bridges-over-us', answer: '1' },
      },
    })
    const still = placeOf(chart, null, 'turtle-at-the-flank' as PositionId, 'stands-up' as ReactionId)
    expect(still).toMatchObject({
      to: 'while we hold still in Turtle, at the flank',
      go: { query: { reaction: 'stands-up' } },
    })
  })
})
