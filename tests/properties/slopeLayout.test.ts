import { produce } from 'immer'
import { generateChart, seeded } from '../../bench/generate'
import { addMove, addPosition, removeMove, removePosition } from '../../src/core/chart/edits/records'
import { FAMILIES } from '../../src/core/chart/words'
import type { Chart } from '../../src/core/chart/chart'
import { slopeGraph } from '../../src/core/slope/graph'
import { layOutSlope } from '../../src/core/slope/layout'
import { layoutTask, standLedges } from '../../src/core/slope/ledges'
import type { SlopeLayout } from '../../src/core/slope/places'

const measure = (text: string) => text.length * 6.5
const laidOut = (chart: Chart, known?: SlopeLayout) => layOutSlope(layoutTask(chart, slopeGraph(chart), measure, known))

/** Whatever a coach adds and takes away, the rest of the picture stays where it was. */
function worked(chart: Chart, random: () => number): Chart {
  const pick = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)]
  return produce(chart, (draft) => {
    const deed = random()
    const tries = { lands: 2, stalls: 3 }
    const from = pick(draft.positions).id
    if (deed < 0.35)
      addPosition(draft, { name: `New ${Math.floor(random() * 1e6)}`, family: pick(FAMILIES), ahead: 'ours' })
    else if (deed < 0.65)
      addMove(draft, { name: `Move ${random()}`, kind: 'advance', from, to: pick(draft.positions).id, tries })
    else if (deed < 0.8) addMove(draft, { name: `Finish ${random()}`, kind: 'submission', from, to: 'finish', tries })
    else if (deed < 0.9) removeMove(draft, pick(draft.moves).id)
    else removePosition(draft, pick(draft.positions).id)
  })
}

test.each([1, 2, 3, 4, 5])('a layout grows without moving anything about, run %d', (seed) => {
  const random = seeded(seed)
  let chart = generateChart({ positions: 24, moves: 70, reactions: 30, seed })
  let layout = laidOut(chart)
  for (let step = 0; step < 25; step++) {
    const next = worked(chart, random)
    const grown = laidOut(next, layout)
    const places = slopeGraph(next).bands.flatMap((band) => band.places)
    expect(Object.keys(grown.places).sort()).toEqual([...places].sort())
    for (const [id, place] of Object.entries(layout.places)) {
      if (!grown.places[id]) continue
      expect([id, grown.places[id].band, grown.places[id].x]).toEqual([id, place.band, place.x])
      expect(grown.places[id].row).toBeLessThanOrEqual(place.row)
    }
    const { rows } = standLedges(next, slopeGraph(next), grown, { measure, folded: new Set() })
    for (const { ledges } of rows) {
      ledges.forEach(({ x }, i) => i && expect(x).toBeGreaterThanOrEqual(ledges[i - 1].x + ledges[i - 1].width))
    }
    ;[chart, layout] = [next, grown]
  }
})
