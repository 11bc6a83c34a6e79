import { scrollBehavior } from '../views/frame/arriving'
import { useHandedOver } from '../views/parts/club/handedOver'
import type { WordKey } from '../words'
import { createRouter, createWebHashHistory, type RouteRecordRaw } from 'vue-router'

declare module 'vue-router' {
  interface RouteMeta {
    /** The screen is about the open chart: where none is open, the frame shows the welcome in its place. */
    needsChart?: true
    /** It takes the whole window: what is around other screens would be in the way of a finger. */
    isWhole?: true
    /** The name of the screen, for the window and for who hears it. */
    screen?: WordKey
  }
}

const handedOver = useHandedOver()

/** What is known of a screen: its name, and, for most, that it is about the open chart. */
const about = (screen: WordKey) => ({ screen })
const whole = (screen: WordKey) => ({ screen, isWhole: true }) as const
const ofChart = (screen: WordKey) => ({ screen, needsChart: true }) as const

/** One path a screen; the place within a screen is part of it, so that it can be gone back to. */
const routes: RouteRecordRaw[] = [
  { path: '/', redirect: '/desk' },
  { path: '/demo', component: () => import('../views/keep/charts/OpenDemo.vue') },
  { path: '/desk', meta: ofChart('common.desk'), component: () => import('../views/plan/desk/DeskView.vue') },
  { path: '/slope', meta: ofChart('frame.slope'), component: () => import('../views/plan/slope/SlopeView.vue') },
  {
    path: '/worksheet/:position?',
    meta: ofChart('common.worksheet'),
    component: () => import('../views/plan/worksheet/WorksheetSheet.vue'),
  },
  {
    path: '/worksheet-paper',
    meta: ofChart('frame.severalPositionsOnPaper'),
    component: () => import('../views/plan/worksheet/WorksheetPaper.vue'),
  },
  {
    path: '/see-and-do',
    meta: ofChart('frame.seeAndDoCards'),
    component: () => import('../views/plan/worksheet/SeeCards.vue'),
  },
  {
    path: '/holds/:position?',
    meta: ofChart('common.holds'),
    component: () => import('../views/plan/holds/HoldsSheet.vue'),
  },
  { path: '/runs/:what?', meta: ofChart('common.runs'), component: () => import('../views/plan/runs/RunsView.vue') },
  {
    path: '/score/:run?',
    meta: ofChart('frame.limbScore'),
    component: () => import('../views/plan/limbScore/ScoreSheet.vue'),
  },
  {
    path: '/sessions/:what?',
    meta: about('frame.sessions'),
    component: () => import('../views/train/sessions/SessionsView.vue'),
  },
  {
    path: '/mat/:n?',
    meta: whole('frame.mat'),
    component: () => import('../views/train/mat/MatView.vue'),
  },
  {
    path: '/walk',
    meta: whole('frame.walkRound'),
    component: () => import('../views/train/walk/WalkView.vue'),
  },
  {
    path: '/rehearse/:what?',
    meta: ofChart('frame.rehearse'),
    component: () => import('../views/train/rehearse/RehearseView.vue'),
  },
  { path: '/sessions/people', redirect: '/people' },
  {
    path: '/people/:what?',
    meta: about('frame.people'),
    component: () => import('../views/learn/people/PeopleScreen.vue'),
  },
  {
    path: '/trends/:what?',
    meta: ofChart('frame.trends'),
    component: () => import('../views/learn/trends/TrendsView.vue'),
  },
  { path: '/shelf', meta: about('frame.shelf'), component: () => import('../views/keep/shelf/ShelfView.vue') },
  { path: '/rules', meta: ofChart('common.rules'), component: () => import('../views/keep/rules/RulesView.vue') },
  {
    path: '/settings',
    meta: about('frame.settings'),
    component: () => import('../views/keep/settings/SettingsView.vue'),
  },
  { path: '/charts', meta: about('common.charts'), component: () => import('../views/keep/charts/ChartsView.vue') },
  {
    path: '/:rest(.*)*',
    meta: about('frame.unknownPlace'),
    component: () => import('../views/frame/UnknownPlace.vue'),
  },
]

export const router = createRouter({ history: createWebHashHistory(), routes, scrollBehavior })

/** A device that was handed over shows the log of its mat, and nothing else. */
router.beforeEach(({ path }) => {
  const { mat } = handedOver.value
  return !mat || path === `/mat/${mat}` || `/mat/${mat}`
})
