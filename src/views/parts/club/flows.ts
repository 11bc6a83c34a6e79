import { shallowRef } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import type { Shelf } from '../../../core/shelf/shelf'
import type { Call } from '../../../core/club/live/caller'

/** A flow drill of the Shelf in words: it goes round. */
export interface SaidFlow {
  id: string
  name: string
  steps: Call[]
}

const flows = shallowRef<SaidFlow[]>([])
let asked: Promise<void> | null = null

/** The flow drills of the Shelf. It is fetched when they are first asked for; none before, and none without it. */
export function shelfFlows(): SaidFlow[] {
  asked ??= read().catch(() => void (asked = null))
  return flows.value
}

async function read(): Promise<void> {
  const { useShelf } = await import('../../../stores/shelf')
  const store = useShelf()
  await store.load()
  flows.value = store.shelf ? saidFlows(store.shelf) : []
}

const saidFlows = ({ flows: all, positions, moves }: Shelf): SaidFlow[] =>
  all.map(({ id, name, steps }) => ({
    ...{ id, name },
    steps: steps.map(({ position, calls, move }, i) => ({
      ...{ key: `${i} ${move}`, says: calls, weight: 1 },
      ...{ to: lookUp(positions, position)?.name ?? '', answer: lookUp(moves, move)?.name ?? '' },
    })),
  }))
