import type { Measure } from '../../../core/club/person'
import { t } from '../../../words/learn'

/** What is measured, and from where to where. */
export const MEASURE_NAMES: Record<Measure, string> = {
  height: t('learn.height'),
  arms: t('learn.armToWrist'),
  legs: t('learn.insideLeg'),
  neck: t('learn.neck'),
  waist: t('learn.waist'),
  collar: t('learn.collar'),
}
