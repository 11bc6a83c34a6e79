import { toReactionId, type HoldId, type MoveId, type PositionId, type ReactionId } from '../chart/ids'
import { present } from '../get'
import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { Reaction } from '../chart/reaction'
import { totalOf } from '../chart/tries'
import { HoldTable, type HoldSet } from './holdTable'

/** At most so much of a capability is left where it is shut; what is left whole is open, the rest is hindered. */
export const SHUT = 0.2

export type Grade = 'shut' | 'hindered' | 'open'
export const gradeOf = (left: number): Grade => (left <= SHUT + 1e-9 ? 'shut' : left < 1 - 1e-9 ? 'hindered' : 'open')

/** What is left of one of their capabilities, 0 to 1, and which of our holds take from it. */
export interface CapabilityState {
  capability: string
  left: number
  by: HoldId[]
}

/** Something that they try from here, to a move of ours or while we hold still, against the holds that are on. */
export interface EscapeState {
  reaction: ReactionId
  name: string
  /** The moves of ours that meet it here; empty where it only comes while we hold still. */
  moves: MoveId[]
  isUnprompted: boolean
  /** Share of the tries here that meet it, the largest of all. */
  share: number
  left: number
  by: HoldId[]
  /** Whether any capability is charted for it: without one no hold can take from it. */
  isHindrable: boolean
}

/** The three things that every pin must see to, by the capabilities that they are made of. */
export const QUESTIONS = [
  { ask: 'hips', capabilities: ['hip-in', 'hip-out', 'bridge'] },
  { ask: 'shoulders', capabilities: ['turn-in', 'turn-away', 'sit-up'] },
  { ask: 'face', capabilities: ['look', 'posture'] },
] as const

export interface PinCheck {
  capabilities: CapabilityState[]
  escapes: EscapeState[]
}

/** What a position's holds leave to them. `holds`: those that are on; by default the position's own. */
export function pinCheck(chart: Chart, position: PositionId, holds?: readonly string[]): PinCheck {
  const table = new HoldTable(chart.holds ?? [])
  const on = table.setOf(holds ?? lookUp(chart.positions, position)?.holds)
  const escapes = escapesFrom(chart, position).map((escape) => stateOf(chart, table, on, escape))
  const asked = QUESTIONS.flatMap(({ capabilities }) => capabilities as readonly string[])
  const used = escapes.flatMap(({ reaction }) => usesOf(present(lookUp(chart.reactions, reaction))))
  const denied = table
    .idsOf(on)
    .flatMap((id) => lookUp(chart.holds, id)?.denies?.map(({ capability }) => capability) ?? [])
  const capabilities = [...new Set([...asked, ...used, ...denied])].map((capability) => ({
    capability,
    left: table.capabilityLeft(capability, on, 'ours'),
    by: table.idsOf(table.denying(capability, 'ours') & on),
  }))
  return { capabilities, escapes }
}

/** What is met from a position, without what the holds leave of it. */
type MetEscape = Pick<EscapeState, 'reaction' | 'moves' | 'isUnprompted' | 'share'>

function escapesFrom(chart: Chart, position: PositionId): MetEscape[] {
  const met = new Map<string, MetEscape>()
  const meet = (reaction: string, share: number, move?: MoveId) => {
    const known = met.get(reaction) ?? { reaction: toReactionId(reaction), moves: [], isUnprompted: false, share: 0 }
    met.set(reaction, {
      ...known,
      moves: move ? [...known.moves, move] : known.moves,
      isUnprompted: known.isUnprompted || !move,
      share: Math.max(known.share, share),
    })
  }
  const unprompted = lookUp(chart.positions, position)?.unprompted?.reactions ?? {}
  eachShare(unprompted, totalOf({ reactions: unprompted }), (id, share) => meet(id, share))
  for (const { id: move, from, tries } of chart.moves) {
    if (from !== position) continue
    eachShare(tries.reactions ?? {}, totalOf(tries), (id, share) => meet(id, share, move))
  }
  return [...met.values()]
}

function eachShare(counts: Record<string, number>, total: number, visit: (id: string, share: number) => void): void {
  for (const [id, count] of Object.entries(counts)) if (count > 0) visit(id, count / total)
}

/** Every capability that a reaction, or a move, may use. */
export const usesOf = ({ uses = [], usesAny = [] }: Pick<Reaction, 'uses' | 'usesAny'>): string[] => [
  ...uses,
  ...usesAny,
]

function stateOf(chart: Chart, table: HoldTable, on: HoldSet, met: MetEscape): EscapeState {
  const record = present(lookUp(chart.reactions, met.reaction))
  const uses = usesOf(record)
  const denying = uses.reduce((set, capability) => set | table.denying(capability, 'ours'), 0n)
  return {
    ...{ ...met, name: record.name, isHindrable: uses.length > 0 },
    left: table.left(record, on, 'ours'),
    by: table.idsOf(denying & on),
  }
}

/** Those of the escapes that letting a hold go would reopen, at least by a tenth. */
export function reopenedBy(chart: Chart, position: PositionId, hold: string): EscapeState[] {
  const own: readonly string[] = lookUp(chart.positions, position)?.holds ?? []
  const before = new Map(pinCheck(chart, position).escapes.map(({ reaction, left }) => [reaction, left]))
  const after = pinCheck(
    chart,
    position,
    own.filter((id) => id !== hold),
  )
  return after.escapes.filter(({ reaction, left }) => left - present(before.get(reaction)) >= 0.1)
}
