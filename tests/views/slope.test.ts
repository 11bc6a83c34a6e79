import { ref } from 'vue'
import { slopeGraph } from '../../src/core/slope/graph'
import type { Focus } from '../../src/core/slope/focus'
import { itemKey, partsOfItem, type Item } from '../../src/core/slope/items'
import { layOutSlope } from '../../src/core/slope/layout'
import { layoutTask } from '../../src/core/slope/ledges'
import { escapesOf } from '../../src/core/slope/escapes'
import { drawScene, groundOf } from '../../src/core/slope/scene'
import { boxOfItem } from '../../src/views/plan/slope/boxOfItem'
import { placeUnder } from '../../src/views/plan/slope/dragging'
import { focusQuery, readFocus } from '../../src/views/plan/slope/focusQuery'
import { worksheetOf } from '../../src/views/plan/slope/itemSheet'
import { onSlopeKey, type Deeds } from '../../src/views/plan/slope/keys'
import { useWalking } from '../../src/views/plan/slope/walking'
import { demoFigures, demoPlan } from '../fixtures/demoPlan'

const chart = demoPlan()
const figures = demoFigures()
const measure = (text: string) => text.length * 6.5
const graph = slopeGraph(chart)
const ground = groundOf(chart, graph, layOutSlope(layoutTask(chart, graph, measure)), { measure, folded: new Set() })
const scene = drawScene({
  ...{ ground, figures, measure, escapes: escapesOf(chart, figures, []), detail: 'full' },
  ...{ isNamed: () => true, isInFocus: () => true, isWhole: () => true },
  ...{ escapeTexts: ({ name }) => [name], lineText: ({ name }) => name },
})

describe('keys on the Slope', () => {
  const item = { kind: 'place', place: 'scarf-hold' } as const
  const escape = {
    kind: 'escape',
    move: 'americana',
    position: 'side-control-head-and-far-arm',
    reaction: 'bridges-over-us',
  } as Item
  const move = { kind: 'move', move: 'americana' } as Item

  function press(key: string, at: Item | undefined, held: Partial<KeyboardEvent> = {}) {
    const done: string[] = []
    const say =
      (name: string) =>
      (...with_: unknown[]) =>
        void done.push(
          [name, ...with_.map((one) => (typeof one === 'object' ? (one as { for: string }).for : one))].join(' '),
        )
    const names = [
      'into',
      'back',
      'aside',
      'land',
      'home',
      'open',
      'ask',
      'remove',
      'push',
      'toggle',
      'clear',
      'zoom',
      'pan',
      'panel',
      'focusHere',
    ] as const
    const deeds = Object.fromEntries(names.map((name) => [name, say(name)])) as unknown as Deeds
    deeds.at = () => at
    const taken = onSlopeKey(
      { key, ctrlKey: false, metaKey: false, altKey: false, shiftKey: false, ...held } as KeyboardEvent,
      deeds,
    )
    expect(taken).toBe(done.length > 0)
    return done[0]
  }

  it.each([
    ['ArrowRight', 'into'],
    ['ArrowLeft', 'back'],
    ['ArrowDown', 'aside 1'],
    ['ArrowUp', 'aside -1'],
    ['Home', 'home'],
    ['L', 'land'],
    ['Enter', 'open'],
    [' ', 'toggle'],
    ['Escape', 'clear'],
    ['+', 'zoom in'],
    ['-', 'zoom out'],
    ['0', 'zoom fit'],
    ['z', 'zoom selection'],
    ['f', 'focusHere'],
    ['i', 'panel detail'],
    ['t', 'panel text'],
    ['p', 'ask position'],
    ['n', 'ask say'],
    ['m', 'ask landing'],
    ['F2', 'ask rename'],
    ['Delete', 'remove'],
    ['r', undefined],
    ['a', undefined],
    ['q', undefined],
  ])('%s on a position: %s', (key, does) => expect(press(key, item)).toBe(does))

  it('ask for what fits what one stands on', () => {
    expect(press('r', move)).toBe('ask reaction')
    expect(press('n', move)).toBeUndefined()
    expect(press('a', escape)).toBe('ask answer')
    expect(press('m', escape)).toBe('ask landing')
    expect(press('m', move)).toBeUndefined()
    expect(press('F2', undefined)).toBeUndefined()
    expect(press('p', undefined)).toBe('ask position')
  })

  it('push with Ctrl, pan with Shift, and leave the browser its own', () => {
    expect(press('ArrowLeft', item, { ctrlKey: true })).toBe('push -24 0 push')
    expect(press('ArrowDown', item, { ctrlKey: true })).toMatch('push 0 1')
    expect(press('ArrowLeft', item, { altKey: true })).toBeUndefined()
    expect(press('ArrowLeft', item, { shiftKey: true })).toBe('pan 80 0')
    expect(press('ArrowUp', item, { shiftKey: true })).toBe('pan 0 80')
    expect(press('+', item, { shiftKey: true })).toBe('zoom in')
    expect(press('p', item, { ctrlKey: true })).toBeUndefined()
    expect(press('ArrowLeft', item, { metaKey: true })).toBeUndefined()
    expect(press('p', item, { altKey: true })).toBeUndefined()
  })
})

describe('walking', () => {
  function walker(start: Item | undefined) {
    const at = ref<Item | undefined>(start)
    const walk = useWalking({
      ...{ chart: () => chart, figures: () => figures, scene: () => scene, at: () => at.value },
      start: () => ({ kind: 'place', place: figures.start }),
      goTo: (item) => (at.value = item),
    })
    return { at, ...walk }
  }

  it('goes into a chain as far as it goes, and comes back the same way', () => {
    const { at, into, back } = walker(undefined)
    const trail: string[] = []
    into()
    expect(at.value).toEqual({ kind: 'place', place: figures.start })
    for (let i = 0; i < 4; i++) {
      trail.push(itemKey(at.value!))
      into()
    }
    expect(trail.map((key) => key.split(' ')[0])).toEqual(['place', 'move', 'escape', 'answer'].slice(0, trail.length))
    for (const key of trail.reverse()) {
      back()
      expect(itemKey(at.value!)).toBe(key)
    }
  })

  it('goes round those that lie side by side', () => {
    const { at, into, aside } = walker({ kind: 'place', place: 'side-control-head-and-far-arm' })
    into()
    const first = itemKey(at.value!)
    const seen = new Set<string>()
    const moves = chart.moves.filter(({ from }) => from === 'side-control-head-and-far-arm').length
    for (let i = 0; i < moves; i++) {
      seen.add(itemKey(at.value!))
      aside(1)
    }
    expect(itemKey(at.value!)).toBe(first)
    expect(seen.size).toBe(moves)
    aside(-1)
    expect(seen).toContain(itemKey(at.value!))
  })

  it('goes from place to place, and to where a move lands', () => {
    const { at, aside, land, back } = walker({ kind: 'place', place: scene.ledges[0].id })
    aside(1)
    expect(at.value).toEqual({ kind: 'place', place: scene.ledges[1].id })
    aside(-1)
    aside(-1)
    expect(at.value).toEqual({ kind: 'place', place: scene.ledges[scene.ledges.length - 1].id })
    at.value = { kind: 'move', move: 'slide-to-mount' as never }
    land()
    expect(at.value).toEqual({ kind: 'place', place: 'mount-hands-posted' })
    back()
    expect(at.value).toEqual({ kind: 'move', move: 'slide-to-mount' })
    back()
    expect(at.value).toMatchObject({ kind: 'place', place: 'side-control-head-and-far-arm' })
  })
})

describe('where things are in the picture', () => {
  it('has a box for everything that one can stand on', () => {
    const found = new Map([['', { kind: 'place', place: figures.start } as Item]])
    for (const item of found.values()) {
      for (const part of partsOfItem(chart, figures, item)) found.set(itemKey(part), part)
      const box = boxOfItem(scene, item)!
      expect(box.left).toBeLessThan(box.right)
      expect(box.top).toBeLessThan(box.bottom)
      expect(box.right).toBeLessThanOrEqual(scene.width + 10)
    }
    expect(boxOfItem(scene, { kind: 'place', place: 'nowhere' })).toBeUndefined()
    expect(boxOfItem(scene, { kind: 'move', move: 'nothing' as never })).toBeUndefined()
  })

  it('finds the ledge under a pointer, and takes the crest for a finish', () => {
    for (const { id, kind, x, y, width, height } of scene.ledges) {
      expect(placeUnder(scene, [x + width / 2, y + height / 2])).toBe(kind === 'finish' ? 'finish' : id)
    }
    expect(placeUnder(scene, [2, scene.bands[0].y + 3])).toBe('finish')
    expect(placeUnder(scene, [2, scene.height - 2])).toBeUndefined()
    expect(placeUnder(null, [0, 0])).toBeUndefined()
  })

  it('is opened on the Worksheet where there is a place for it', () => {
    expect(worksheetOf(chart, { kind: 'place', place: 'scarf-hold' })).toEqual({
      path: '/worksheet/scarf-hold',
      query: {},
    })
    expect(worksheetOf(chart, { kind: 'place', place: 'finish kimura' })).toBeUndefined()
    const met = { move: 'americana', position: 'side-control-head-and-far-arm', reaction: 'hides-it-at-the-hip' }
    const there = {
      path: '/worksheet/side-control-head-and-far-arm',
      query: { move: 'americana', reaction: met.reaction },
    }
    expect(worksheetOf(chart, { kind: 'escape', ...met } as Item)).toEqual(there)
    expect(worksheetOf(chart, { kind: 'answer', ...met, answer: 'kimura' } as Item)).toEqual(there)
    expect(worksheetOf(chart, { kind: 'move', move: 'kimura' as never })?.query).toEqual({ move: 'kimura' })
  })
})

test('what is in focus is in the address, and read from there', () => {
  const all: Focus[] = [
    ...(['whole', 'traps', 'leaks', 'loose', 'run'] as const).map((on) => ({ on })),
    ...([1, 2, 3] as const).map((exchanges) => ({ on: 'around' as const, place: 'scarf-hold', exchanges })),
  ]
  for (const focus of all) expect(readFocus(chart, focusQuery(focus))).toEqual(focus)
  expect(readFocus(chart, { on: 'around', place: 'nowhere', exchanges: '2' })).toEqual({ on: 'whole' })
  expect(readFocus(chart, { on: 'around', place: 'scarf-hold', exchanges: 'many' })).toMatchObject({ exchanges: 1 })
  expect(readFocus(chart, { on: 'nonsense' })).toEqual({ on: 'whole' })
})
