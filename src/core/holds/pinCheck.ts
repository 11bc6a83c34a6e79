import { toReactionId, type HoldId, type MoveId, type PositionId, type ReactionId } from '../chart/ids'
import { present } from '../sure'
import type { Chart } from '../chart/chart'
import { lookUp } from '../chart/lookUp'
import type { Reaction } from '../chart/reaction'
import { totalOf, wholeOf, writtenOut } from '../chart/tries'
import { HoldTable, type HoldSet } from './holdTable'

/** A capability of which at most this share is left is shut; with all of it left it is open, between hindered. */
export const SHUT = 0.2

export type Grade = 'shut' | 'hindered' | 'open'
export const gradeOf = (left: number): Grade => (left <= SHUT + 1e-9 ? 'shut' : left < 1 - 1e-9 ? 'hindered' : 'open')

/** The share left of one of their capabilities, 0 to 1, and our holds that deny it. */
export interface CapabilityState {
  capability: string
  left: number
  by: HoldId[]
}

/** An escape that they try here, against a move of ours or while we wait, and what the holds leave of it. */
export interface EscapeState {
  reaction: ReactionId
  name: string
  /** Our moves from here that it meets; empty where it only comes unprompted. */
  moves: MoveId[]
  isUnprompted: boolean
  /** The largest share of a move's tries here that meets it, 0 to 1. */
  share: number
  left: number
  by: HoldId[]
  /** True where capabilities are charted for it, without which no hold can hinder it. */
  isHindrable: boolean
}

/** The three questions of the pin check, each with the capabilities that it asks about. */
export const QUESTIONS: readonly { ask: 'hips' | 'shoulders' | 'face'; capabilities: readonly string[] }[] = [
  { ask: 'hips', capabilities: ['hip-in', 'hip-out', 'bridge'] },
  { ask: 'shoulders', capabilities: ['turn-in', 'turn-away', 'sit-up'] },
  { ask: 'face', capabilities: ['look', 'posture'] },
]

export interface PinCheck {
  capabilities: CapabilityState[]
  escapes: EscapeState[]
}

/** What the holds in a position leave to them. `holds`: ids of those that are on; by default the position's own. */
export function pinCheck(chart: Chart, position: PositionId, holds?: readonly string[]): PinCheck {
  const table = new HoldTable(chart.holds ?? [])
  const on = table.setOf(holds ?? lookUp(chart.positions, position)?.holds)
  const escapes = escapesFrom(chart, position).map((escape) => stateOf(chart, table, on, escape))
  const asked = QUESTIONS.flatMap(({ capabilities }) => capabilities)
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

/** What is left of the escapes in a position, with holds that are tried one set after the other. */
export function escapesUnder(chart: Chart, position: PositionId): (holds: readonly string[]) => EscapeState[] {
  const table = new HoldTable(chart.holds ?? [])
  const met = escapesFrom(chart, position)
  return (holds) => {
    const on = table.setOf(holds)
    return met.map((escape) => stateOf(chart, table, on, escape))
  }
}

/** An escape that occurs in a position, before holds are considered. */
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
  for (const record of chart.moves) {
    if (record.from !== position) continue
    const move = record.id
    const tries = writtenOut(wholeOf(record))
    eachShare(tries.reactions ?? {}, totalOf(tries), (id, share) => meet(id, share, move))
  }
  return [...met.values()]
}

function eachShare(counts: Record<string, number>, total: number, visit: (id: string, share: number) => void): void {
  for (const [id, count] of Object.entries(counts)) if (count > 0) visit(id, count / total)
}

/** All capabilities that a reaction or move may use. */
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

/** The escapes of which letting go of a hold gives back at least a tenth. */
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
