import { produce } from 'immer'
import { seeded } from '../../../bench/generate'
import type { Chart } from '../../../src/core/chart/chart'
import type { Tries } from '../../../src/core/chart/tries'
import { compileGame } from '../../../src/core/game/compileGame'
import { Compiler } from '../../../src/core/game/compiler'
import type { Game } from '../../../src/core/game/game'
import { scenarioOf, usualProbe } from '../../../src/core/game/scenario'
import { randomChart, randomScenario } from '../../reference/randomChart'
import { taken } from '../../reference/taken'

/** Other numbers of tries, of which none becomes nothing. */
function shake(chart: Chart, random: () => number): Chart {
  const more = (map: Record<string, number> = {}) =>
    Object.fromEntries(Object.entries(map).map(([id, n]) => [id, n && n + Math.ceil(3 * random())]))
  const shaken = (tries: Tries): Tries => ({
    ...tries,
    ...(tries.lands ? { lands: tries.lands + Math.ceil(3 * random()) } : {}),
    ...(tries.stalls ? { stalls: tries.stalls + Math.ceil(3 * random()) } : {}),
    ...(tries.reactions ? { reactions: more(tries.reactions) } : {}),
  })
  return produce(chart, (draft) => {
    const owners = [...draft.moves, ...draft.answers].filter(({ tries }) => tries)
    const one = owners[Math.floor(random() * owners.length)]
    one.tries = shaken(one.tries!)
  })
}

/** What a game is, without what its table of holds has remembered on the way. */
const plain = ({ meaning, ...game }: Game) => ({
  ...game,
  meaning: { ...meaning, index: { ...meaning.index, holds: 0 } },
})

it.each(Array.from({ length: 40 }, (_, i) => i + 1))('other tries of chart %i need no compiling', (seed) => {
  const random = seeded(seed)
  let chart = randomChart(seed, seed % 2 === 0)
  const scenario = scenarioOf(chart, {
    ...randomScenario(chart, seed, true),
    ...(seed % 3 ? {} : { probe: usualProbe() }),
  })
  const compiler = new Compiler()
  const roots = seed % 5 ? 'all' : 'start'
  taken(compiler.compile(chart, scenario, roots))
  for (let n = 0; n < 4; n++) {
    // What says nothing of the plan may be another, too.
    chart = { ...shake(chart, random), title: `Tuesday ${n}`, settings: { words: { over: `top ${n}` } } }
    const at = { ...scenario, seconds: 3 + n }
    expect(plain(taken(compiler.compile(chart, at, roots)))).toEqual(plain(taken(compileGame(chart, at, { roots }))))
  }
  expect(compiler.compiled).toBe(1)
})

describe('a game is compiled again', () => {
  const chart = randomChart(7, true)
  const scenario = scenarioOf(chart, { seconds: 20 })
  const edits: [string, (draft: Chart) => void][] = [
    ['where nothing lands any more', ({ moves }) => void (moves.find(({ tries }) => tries?.lands)!.tries!.lands = 0)],
    [
      'where a reaction is met that was not',
      ({ moves, reactions }) => {
        const move = moves.find(({ tries }) => !(reactions[0].id in (tries?.reactions ?? {})))!
        move.tries!.reactions = { ...move.tries!.reactions, [reactions[0].id]: 2 }
      },
    ],
    [
      'where one is no longer met',
      ({ moves }) => {
        const { tries } = moves.find(({ tries }) => Object.values(tries?.reactions ?? {}).some((n) => n > 0))!
        for (const id of Object.keys(tries!.reactions!)) tries!.reactions![id as never] = 0 as never
        tries!.lands = 3
      },
    ],
    [
      'where a move leads elsewhere',
      ({ moves, positions }) => void (moves[0].to = positions.find(({ id }) => id !== moves[0].to)!.id),
    ],
    ['where a name is another', ({ positions }) => void (positions[0].name = 'Other')],
  ]

  it.each(edits)('%s', (_, edit) => {
    const compiler = new Compiler()
    taken(compiler.compile(chart, scenario))
    const after = produce(chart, edit)
    expect(plain(taken(compiler.compile(after, scenario)))).toEqual(plain(taken(compileGame(after, scenario))))
    expect(compiler.compiled).toBe(2)
  })

  it('under other rules of the exchange, and for other roots', () => {
    const compiler = new Compiler()
    taken(compiler.compile(chart, scenario))
    taken(compiler.compile(chart, { ...scenario, repeat: 0.25 }))
    taken(compiler.compile(chart, { ...scenario, repeat: 0.25 }, 'start'))
    expect(compiler.compiled).toBe(3)
    taken(compiler.compile(chart, { ...scenario, repeat: 0.25, seconds: null }))
    expect(compiler.compiled).toBe(3)
  })

  it('after one that could not be compiled', () => {
    const compiler = new Compiler()
    expect(compiler.compile(chart, { ...scenario, repeat: 2 })).toMatchObject({ ok: false })
    taken(compiler.compile(chart, scenario))
    expect(compiler.compiled).toBe(1)
  })
})
