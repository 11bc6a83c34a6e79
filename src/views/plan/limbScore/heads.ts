import { computed } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import { stepName } from '../../../core/limbScore/steps'
import { present } from '../../../core/sure'
import { t } from '../../../words/score'
import { useScore } from './score'

/** What is said of each step above the score: its name, where it comes out, and whether the sides change with it. */
export function useHeads() {
  const { chart, run, played, remarks } = useScore()
  return computed(() =>
    played.value.beats.map((one, i) => {
      const before = played.value.beats[i - 1]
      const turned =
        before !== undefined &&
        before.frame === one.frame &&
        Object.keys(one.orientation).some(
          (key) => before.orientation[key] !== undefined && before.orientation[key] !== one.orientation[key],
        )
      return {
        name: stepName(chart.value, one, present(run.value)),
        isTheirs: Boolean(one.step?.reaction),
        where:
          one.place.kind === 'position'
            ? lookUp(chart.value.positions, one.place.id)?.name
            : one.place.kind === 'finish'
              ? t('common.aFinish')
              : undefined,
        remarks: remarks.value.filter(({ step }) => step === i).length,
        turned,
      }
    }),
  )
}
