import { t } from '../../../words/train'

/** The classes of a club, and its matches. */
export const SESSION_TABS = [
  { key: 'classes', to: '/sessions', name: t('train.classes') },
  { key: 'matches', to: '/sessions/matches', name: t('train.matchDay') },
]
