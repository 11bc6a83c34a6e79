import type { MoveId } from '../chart/ids'

/** What is drilled: a move, with the answers that borrow its tries; or an answer with tries of its own, by its index. */
export type DrillTarget = { of: 'move'; move: MoveId } | { of: 'answer'; answer: number }
