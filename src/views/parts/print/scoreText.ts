import { t } from '../../../words'

/** "level", "2 ahead", "2 behind"; of us. */
export const scoreText = (score: number): string =>
  score === 0 ? t('common.level') : t(score > 0 ? 'common.ahead' : 'common.behind', { n: Math.abs(score) })
