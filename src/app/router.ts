import { createRouter, createWebHashHistory, type RouteRecordRaw } from 'vue-router'

declare module 'vue-router' {
  interface RouteMeta {
    /** The screen is about the open chart: where none is open, the frame shows the welcome in its place. */
    needsChart?: true
  }
}

const needsChart = { needsChart: true } as const

/** One path a screen; the place within a screen is part of it, so that it can be gone back to. */
const routes: RouteRecordRaw[] = [
  { path: '/', redirect: '/desk' },
  { path: '/demo', component: () => import('../views/keep/charts/OpenDemo.vue') },
  { path: '/desk', meta: needsChart, component: () => import('../views/plan/desk/DeskView.vue') },
  { path: '/slope', meta: needsChart, component: () => import('../views/plan/slope/SlopeSheet.vue') },
  {
    path: '/worksheet/:position?',
    meta: needsChart,
    component: () => import('../views/plan/worksheet/WorksheetSheet.vue'),
  },
  { path: '/holds/:position?', meta: needsChart, component: () => import('../views/plan/holds/HoldsSheet.vue') },
  { path: '/runs/:what?', meta: needsChart, component: () => import('../views/plan/runs/RunsView.vue') },
  { path: '/score/:run?', meta: needsChart, component: () => import('../views/plan/limbScore/ScoreSheet.vue') },
  { path: '/shelf', component: () => import('../views/keep/shelf/ShelfView.vue') },
  { path: '/rules', meta: needsChart, component: () => import('../views/keep/rules/RulesView.vue') },
  { path: '/charts', component: () => import('../views/keep/charts/ChartsView.vue') },
  { path: '/:rest(.*)*', redirect: '/desk' },
]

export const router = createRouter({ history: createWebHashHistory(), routes })
