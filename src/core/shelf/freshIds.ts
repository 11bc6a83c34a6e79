import type { Race } from '../chart/race'
import { present } from '../sure'
import { idFromName } from '../document/ids'
import type { Tries } from '../chart/tries'
import type { ShelfRegion } from './shelf'
import type { FlowDrill, ShelfMove } from './shelfRecords'

type Renamed = ReadonlyMap<string, string>

/** Every id that is on some shelves, their own among them. */
export const idsOnShelf = (shelves: readonly ShelfRegion[]): Set<string> =>
  new Set(
    shelves.flatMap((one) => {
      const { positions, holds, cues = [], moves, reactions } = one
      return [one, ...positions, ...holds, ...cues, ...moves, ...reactions].map(({ id }) => id)
    }),
  )

/** The same shelf with a new id for each one that is taken, in the record and in all references to it. */
export function withFreshIds(region: ShelfRegion, taken: ReadonlySet<string>): ShelfRegion {
  const used = new Set(taken)
  const id = used.has(region.id) ? idFromName(region.title, used) : region.id
  used.add(id)
  const places = freshen(region.positions, used)
  const holds = freshen(region.holds, used)
  const cues = freshen(region.cues ?? [], used)
  const moves = freshen(region.moves, used)
  const reactions = freshen(region.reactions, used)
  const of = <I extends string>(map: Renamed, one: I): I => (map.get(one) ?? one) as I
  const all = <I extends string>(map: Renamed, list: I[] | undefined) => list?.map((one) => of(map, one))
  const tries = (one: Tries | undefined) =>
    one && { ...one, ...defined({ elsewhere: keys(one.elsewhere, places), reactions: keys(one.reactions, reactions) }) }
  const race = (one: Race | undefined) => one && { ...one, reaction: of(reactions, one.reaction) }
  const move = (one: ShelfMove): ShelfMove => ({
    ...one,
    ...{ id: of(moves, one.id), from: of(places, one.from), to: of(places, one.to) },
    ...defined({ tries: tries(one.tries), race: race(one.race) }),
    ...defined({ stallsIn: one.stallsIn && of(places, one.stallsIn), alsoFrom: all(places, one.alsoFrom) }),
    ...defined({ needs: all(holds, one.needs), adds: all(holds, one.adds), drops: all(holds, one.drops) }),
    ...defined({ when: all(cues, one.when) }),
    ...defined({ keeps: all(holds, one.keeps), strips: all(holds, one.strips), checkpoints: gated(one, holds) }),
  })
  return {
    ...region,
    id,
    positions: region.positions.map((one) => ({
      ...one,
      id: of(places, one.id),
      ...defined({ holds: all(holds, one.holds), mirror: one.mirror && of(places, one.mirror) }),
      ...defined({ seen: keys(one.seen, cues) }),
      ...defined({ slipsTo: one.slipsTo && of(places, one.slipsTo) }),
      ...(one.unprompted
        ? { unprompted: { ...one.unprompted, reactions: present(keys(one.unprompted.reactions, reactions)) } }
        : {}),
    })),
    holds: region.holds.map((one) => ({ ...one, id: of(holds, one.id) })),
    ...defined({ cues: region.cues?.map((one) => ({ ...one, id: of(cues, one.id) })) }),
    moves: region.moves.map(move),
    reactions: region.reactions.map((one) => ({
      ...one,
      ...{ id: of(reactions, one.id), endsIn: of(places, one.endsIn) },
      ...defined({
        adds: all(holds, one.adds),
        strips: all(holds, one.strips),
        mirror: one.mirror && of(moves, one.mirror),
      }),
    })),
    ...defined({ flows: region.flows?.map((one) => renamedFlow(one, places, moves)) }),
    answers: region.answers.map((one) => ({
      ...one,
      ...{ reaction: of(reactions, one.reaction), move: of(moves, one.move) },
      ...defined({ stallsIn: one.stallsIn && of(places, one.stallsIn) }),
      ...defined({ tries: tries(one.tries), race: race(one.race) }),
    })),
  }
}

/** The steps of a flow by their new ids; its own id is used nowhere else. */
const renamedFlow = (flow: FlowDrill, places: Renamed, moves: Renamed): FlowDrill => ({
  ...flow,
  steps: flow.steps.map((step) => ({
    ...step,
    position: (places.get(step.position) ?? step.position) as typeof step.position,
    move: (moves.get(step.move) ?? step.move) as typeof step.move,
  })),
})

/** Chooses an id for each record: its own where that is free. */
function freshen(records: readonly { id: string; name: string }[], used: Set<string>): Renamed {
  const fresh = new Map<string, string>()
  for (const { id, name } of records) {
    const own = used.has(id) ? idFromName(name, used) : id
    used.add(own)
    fresh.set(id, own)
  }
  return fresh
}

const keys = (map: Record<string, number> | undefined, fresh: Renamed): Record<string, number> | undefined =>
  map && Object.fromEntries(Object.entries(map).map(([key, n]) => [fresh.get(key) ?? key, n]))

const gated = ({ checkpoints }: ShelfMove, holds: Renamed): ShelfMove['checkpoints'] =>
  checkpoints?.map((one) => {
    const { gate } = one
    if (!gate) return one
    const renamed = (id: typeof gate.hold) => (holds.get(id) ?? id) as typeof gate.hold
    return { ...one, gate: { hold: renamed(gate.hold), next: renamed(gate.next) } }
  })

/** A copy without fields that are undefined or empty text. */
function defined<T extends object>(fields: T): { [K in keyof T]?: Exclude<T[K], undefined | ''> } {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined && value !== '')) as {
    [K in keyof T]?: Exclude<T[K], undefined | ''>
  }
}
