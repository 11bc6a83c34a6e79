import { computed } from 'vue'
import { figureOf, type Figure } from '../../../core/body/body'
import { holder } from '../../../core/chart/hold'
import { lookUp } from '../../../core/chart/lookUp'
import type { Position } from '../../../core/chart/position'
import type { Limb, Person } from '../../../core/chart/words'
import { holdsOf } from '../../../core/limbScore/limbs'
import { whoControls } from '../../../core/sides/frames'
import { useHeads } from './heads'
import { useScore } from './score'

/** A step of the run as a picture. `moves`: the holds that it puts on; `moving`: their limbs. */
export interface Frame {
  name: string
  figure: Figure | null
  moving: { by: Person; limb: Limb }[]
  moves: string
  position: Position | undefined
}

/** The steps of the run that is looked at, each as a picture with the limbs marked that it moves. */
export function useFrames() {
  const { chart, run, played } = useScore()
  const heads = useHeads()
  return computed((): Frame[] => {
    let position = lookUp(chart.value.positions, run.value?.start)
    return played.value.beats.map((beat, i) => {
      if (beat.place.kind === 'position') position = lookUp(chart.value.positions, beat.place.id) ?? position
      const before = new Set(played.value.beats[i - 1]?.holds ?? beat.holds)
      const put = holdsOf(
        chart.value,
        beat.holds.filter((id) => !before.has(id)),
      )
      const moving = put.flatMap((hold) => hold.limbs.map((limb) => ({ by: holder(hold), limb })))
      const shown = {
        ...{ frame: beat.frame ?? position?.family, name: position?.name ?? '', orientation: beat.orientation },
        ...{
          over: position ? whoControls(position) : ('ours' as const),
          holds: holdsOf(chart.value, beat.holds),
          moving,
        },
      }
      return {
        ...{ name: heads.value[i]?.name ?? '', figure: figureOf(shown), moving, position },
        moves: put.map(({ name }) => name).join(', '),
      }
    })
  })
}
