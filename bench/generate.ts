import { emptyChart, type Chart } from '../src/core/chart/chart'
import { toCueId, type HoldId, type MoveId, type PositionId, type ReactionId } from '../src/core/chart/ids'
import { FAMILIES } from '../src/core/chart/words'

/** Small seeded generator (mulberry32), so that a chart is the same on every machine. */
export function seeded(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), state | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

export interface Size {
  positions: number
  moves: number
  reactions: number
  seed: number
  /** Share of positions that bring a hold along. */
  holds?: number
  /** Share of positions where one chooses by what is seen. */
  seen?: number
  /** Share of reactions with an answer. */
  answered?: number
}

/** A chart that looks like a plan: positions in rising bands, moves mostly up by a little, escapes mostly down. */
export function generateChart({
  positions,
  moves,
  reactions,
  seed,
  holds = 0,
  seen = 0,
  answered = 0.85,
}: Size): Chart {
  const random = seeded(seed)
  const below = (n: number) => Math.floor(random() * n)
  const chart = emptyChart(`generated-${positions}`, `${positions} generated positions`)
  const position = (i: number) => `p${Math.max(0, Math.min(positions - 1, i))}` as PositionId
  for (let i = 0; i < positions; i++) {
    const band = FAMILIES.length - 1 - Math.floor((i / positions) * FAMILIES.length)
    const held = random() < holds
    if (held) {
      const limbs = [(['left-hand', 'right-hand', 'left-knee', 'right-foot'] as const)[below(4)]]
      const denies = [{ capability: (['hip-in', 'turn-in', 'bridge'] as const)[below(3)], strength: 0.5 }]
      chart.holds!.push({ id: `h${i}` as HoldId, name: `Hold ${i}`, limbs, denies })
    }
    chart.positions.push({
      id: position(i),
      name: `Position ${i}`,
      family: FAMILIES[band],
      frame: `frame-${i % 40}`,
      ahead: i < positions / 5 ? 'theirs' : i < positions / 2 ? 'even' : 'ours',
      ...(held ? { holds: [`h${i}` as HoldId] } : {}),
    })
  }
  const reaction = (i: number) => `r${i}` as ReactionId
  for (let i = 0; i < reactions; i++) {
    const at = below(positions)
    const uses = holds && random() < 0.5 ? { uses: [(['hip-in', 'turn-in', 'bridge'] as const)[below(3)]] } : {}
    const endsIn = position(at - below(12))
    chart.reactions.push({ id: reaction(i), name: `Reaction ${i}`, ...uses, endsIn, seconds: 1 + below(4) })
  }
  for (let i = 0; i < moves; i++) {
    const from = i < positions ? i : below(positions)
    const meets: Record<string, number> = {}
    for (let n = below(4); n > 0; n--) meets[reaction(below(reactions))] = 1 + below(3)
    const finish = random() < 0.15
    chart.moves.push({
      id: `m${i}` as MoveId,
      name: `Move ${i}`,
      kind: finish ? 'submission' : 'advance',
      from: position(from),
      to: finish ? 'finish' : position(from + 1 + below(8) - 2),
      seconds: 3 + below(10),
      tries: { lands: 1 + below(4), stalls: 1 + below(4), reactions: meets },
    })
  }
  chart.reactions.forEach((record) => {
    if (random() >= answered) return
    const move = chart.moves[below(moves)].id
    chart.answers.push({ reaction: record.id, move, ...(random() < 0.6 ? { tries: { lands: 5, stalls: 5 } } : {}) })
  })
  if (seen > 0) showCues(chart, seen, random)
  return chart
}

/** Two cues and nothing in particular; of a position's moves the second and third wait for one of the cues each. */
function showCues(chart: Chart, share: number, random: () => number): void {
  const [first, second] = ['far-hand', 'near-hip'].map(toCueId)
  chart.cues = [
    { id: first, name: 'Their far hand' },
    { id: second, name: 'Their near hip' },
  ]
  for (const position of chart.positions) {
    if (random() >= share) continue
    position.seen = { [first]: 3, [second]: 3, nothing: 4 }
    const moves = chart.moves.filter(({ from }) => from === position.id)
    if (moves[1]) moves[1].when = [first]
    if (moves[2]) moves[2].when = [second]
  }
}
