import {
  Calendar,
  Collection,
  Connection,
  DataLine,
  Folder,
  Guide,
  Notebook,
  Odometer,
  Reading,
  Setting,
  Stamp,
  Timer,
  TrendCharts,
  User,
  View,
} from '@element-plus/icons-vue'
import type { Component } from 'vue'
import { t } from '../../words'

/** A screen that one can go to. `also`: another path of the same screen. `inBar`: among the four of a phone's bar. */
export interface Place {
  to: string
  name: string
  icon: Component
  also?: string
  inBar?: true
}

/** All screens by what one does there. */
export const GROUPS: { name: string; places: Place[] }[] = [
  {
    name: t('frame.plan'),
    places: [
      { to: '/desk', name: t('common.desk'), icon: Odometer, inBar: true },
      { to: '/slope', name: t('frame.slope'), icon: TrendCharts },
      { to: '/worksheet', name: t('common.worksheet'), icon: Notebook, inBar: true },
      { to: '/runs', name: t('common.runs'), icon: Guide, inBar: true },
      { to: '/holds', name: t('common.holds'), icon: Connection, also: '/score' },
    ],
  },
  {
    name: t('frame.train'),
    places: [
      { to: '/sessions', name: t('frame.sessions'), icon: Calendar },
      { to: '/mat', name: t('frame.mat'), icon: Timer },
      { to: '/walk', name: t('frame.walkRound'), icon: View },
      { to: '/rehearse', name: t('frame.rehearse'), icon: Reading },
    ],
  },
  {
    name: t('frame.learn'),
    places: [
      { to: '/people', name: t('frame.people'), icon: User },
      { to: '/trends', name: t('frame.trends'), icon: DataLine },
    ],
  },
  {
    name: t('frame.keep'),
    places: [
      { to: '/shelf', name: t('frame.shelf'), icon: Collection, inBar: true },
      { to: '/rules', name: t('common.rules'), icon: Stamp },
      { to: '/charts', name: t('common.charts'), icon: Folder },
      { to: '/settings', name: t('frame.settings'), icon: Setting },
    ],
  },
]

export const PLACES = GROUPS.flatMap(({ places }) => places)

/** Whether a path is of this screen. */
export const isOf = ({ to, also }: Place, path: string) => [to, also].some((start) => start && path.startsWith(start))
