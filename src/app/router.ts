import { createRouter, createWebHashHistory } from 'vue-router'

/** One path a screen; the place within a screen is part of it, so that it can be gone back to. */
export const router = createRouter({
  history: createWebHashHistory(),
  routes: [
    { path: '/', redirect: '/desk' },
    { path: '/demo', name: 'demo', component: () => import('../views/keep/charts/OpenDemo.vue') },
    { path: '/desk', name: 'desk', component: () => import('../views/plan/desk/DeskView.vue') },
    { path: '/slope', name: 'slope', component: () => import('../views/plan/slope/SlopeView.vue') },
    {
      path: '/worksheet/:position?',
      name: 'worksheet',
      component: () => import('../views/plan/worksheet/WorksheetView.vue'),
    },
    { path: '/holds/:position?', name: 'holds', component: () => import('../views/plan/holds/HoldsView.vue') },
    { path: '/runs/:what?', name: 'runs', component: () => import('../views/plan/runs/RunsView.vue') },
    { path: '/score/:run?', name: 'score', component: () => import('../views/plan/limbScore/ScoreView.vue') },
    { path: '/shelf', name: 'shelf', component: () => import('../views/keep/shelf/ShelfView.vue') },
    { path: '/rules', name: 'rules', component: () => import('../views/keep/rules/RulesView.vue') },
    { path: '/charts', name: 'charts', component: () => import('../views/keep/charts/ChartsView.vue') },
    { path: '/:rest(.*)*', redirect: '/desk' },
  ],
})
