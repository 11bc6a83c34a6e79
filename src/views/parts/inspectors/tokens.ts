import { computed } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import { sayTokens, tokensFor } from '../../../core/sides/tokens'
import { useCharts } from '../../../stores/charts'

/** Tokens for limbs in texts: how they read in a position and in this school's words, and which may be typed. */
export function useTokens(position: () => string | undefined) {
  const charts = useCharts()
  const words = computed(() => charts.chart?.settings?.words ?? {})
  const sides = computed(() => {
    const { frame, orientation = {} } = lookUp(charts.chart?.positions, position()) ?? {}
    return { frame, orientation }
  })
  const tokens = computed(() => tokensFor(sides.value, words.value))
  const said = (text: string | undefined) => sayTokens(text ?? '', sides.value, words.value)
  return { tokens, said }
}
