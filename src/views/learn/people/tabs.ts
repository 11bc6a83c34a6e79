import { t } from '../../../words/learn'

/** Who trains here, whom ours meet, and what everybody has had. */
export const PEOPLE_TABS = [
  { key: 'people', to: '/people', name: t('learn.people') },
  { key: 'rivals', to: '/people/rivals', name: t('learn.rivals') },
  { key: 'memory', to: '/people/memory', name: t('learn.memory') },
]
