import type { Ended } from '../logRecords'
import type { LiveRound, Mat, Pairing, Stayed } from './liveRecords'
import type { MayJoin } from './mendPairs'
import { readyFirst } from './onMats'

/** Who comes next on a mat, and who has stayed on. */
export type Turned = Pick<Mat, 'queue' | 'stayed'>

/** Roles swap, and the next pair is up: of three the one who was attacked attacks the one who watched. */
export function turned({ queue }: Pick<Mat, 'queue'>): Turned {
  const [first, ...others] = queue
  const [attacker, ...rest] = first?.people ?? []
  if (attacker === undefined) return { queue }
  return { queue: readyFirst([...others, { people: [...rest, attacker] }]) }
}

/** Who has won a round; null where nobody has. Time is neither escape nor failure. */
function winnerOf({ us, them }: LiveRound, ended: Ended): string | null {
  if (ended === 'tap' || ended === 'had-it') return us
  return ended === 'out' || ended === 'reversed' ? them : null
}

/**
 * The winner stays and meets the next who waits and whom they may work with; roles swap. Who has stayed for `most`
 * rounds goes with the other, as where nobody wins, nobody waits, or three take turns.
 */
export function withWinner(mat: Mat, round: LiveRound, ended: Ended, most: number, mayJoin: MayJoin): Turned {
  const [first, ...waiting] = mat.queue
  const winner = winnerOf(round, ended)
  const rounds = mat.stayed?.person === winner ? mat.stayed.rounds : 0
  const others = waiting.flatMap(({ people }) => people)
  const next = winner === null ? undefined : others.find((id) => mayJoin(winner, [id]))
  if (winner === null || next === undefined || first?.people.length !== 2 || rounds >= most) return turned(mat)
  const loser = winner === round.us ? round.them : round.us
  const people = winner === round.us ? [next, winner] : [winner, next]
  const stayed: Stayed = { person: winner, rounds: rounds + 1 }
  const rest = inPairs([...others.filter((id) => id !== next), loser], mayJoin)
  return { queue: [{ people }, ...readyFirst(rest)], stayed }
}

/** Those who wait, in pairs in which they may work, in their order. */
function inPairs(ids: readonly string[], mayJoin: MayJoin): Pairing[] {
  const left = [...ids]
  const pairs: Pairing[] = []
  for (let one = left.shift(); one !== undefined; one = left.shift()) {
    const alone = one
    const other = left.findIndex((id) => mayJoin(alone, [id]))
    pairs.push({ people: other < 0 ? [alone] : [alone, ...left.splice(other, 1)] })
  }
  return pairs
}
