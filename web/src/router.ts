import { loadWords } from './voice'
import { createRouter, createWebHistory, type Router } from 'vue-router'
import { householdHere } from './call'
import { IconAlmanac, IconBench, IconBringIn, IconLarder, IconLine, IconStores, IconToday, IconYear } from './kit'
import { say } from './say'

export const tabs = [
  {
    path: '/',
    name: 'today',
    icon: IconToday,
    get label() {
      return say('today')
    },
    key: '1',
  },
  {
    path: '/bring-in',
    name: 'bring-in',
    icon: IconBringIn,
    get label() {
      return say('bringIn')
    },
    key: '2',
  },
  {
    path: '/line',
    name: 'line',
    icon: IconLine,
    get label() {
      return say('dryingLine')
    },
    key: '3',
  },
  {
    path: '/stores',
    name: 'stores',
    icon: IconStores,
    get label() {
      return say('stores')
    },
    key: '4',
  },
  {
    path: '/larder',
    name: 'larder',
    icon: IconLarder,
    get label() {
      return say('larder')
    },
    key: '5',
  },
  {
    path: '/year',
    name: 'year',
    icon: IconYear,
    get label() {
      return say('year')
    },
    key: '6',
  },
  {
    path: '/almanac',
    name: 'almanac',
    icon: IconAlmanac,
    get label() {
      return say('almanac')
    },
    key: '7',
  },
  {
    path: '/bench',
    name: 'bench',
    icon: IconBench,
    get label() {
      return say('bench')
    },
    key: '8',
  },
] as const

/** What leads from address to screen; some thirty addresses are read as it is made. */
export function makeRouter(): Router {
  const router = createRouter({
    // every address begins with the household
    history: createWebHistory(householdHere ? `/${householdHere}/` : '/'),
    // another choice on the same screen leaves the page where it is
    scrollBehavior: (to, from, saved) => saved ?? (to.path === from.path ? false : { top: 0 }),
    routes: [
      { path: '/', name: 'today', component: () => import('./round/TodayView.vue') },
      { path: '/bring-in', name: 'bring-in', component: () => import('./intake/BringInView.vue') },
      { path: '/beds', name: 'beds', component: () => import('./beds/BedsView.vue') },
      { path: '/line', name: 'line', component: () => import('./line/LineView.vue') },
      { path: '/stores', name: 'stores', component: () => import('./stores/StoresView.vue') },
      { path: '/places/:id', name: 'place', component: () => import('./stores/PlaceView.vue') },
      { path: '/larder', name: 'larder', component: () => import('./larder/LarderView.vue') },
      { path: '/evening', name: 'evening', component: () => import('./kitchen/EveningView.vue') },
      { path: '/evening/clock', name: 'evening-clock', component: () => import('./kitchen/ClockView.vue') },
      { path: '/freezers', name: 'freezers', component: () => import('./kitchen/FreezersView.vue') },
      { path: '/power-cut', name: 'power-cut', component: () => import('./kitchen/PowerCutView.vue') },
      { path: '/kitchen', name: 'kitchen', component: () => import('./kitchen/DishView.vue') },
      { path: '/shelf', name: 'add-stock', component: () => import('./larder/StockView.vue') },
      { path: '/count', name: 'count', component: () => import('./count/CountView.vue') },
      { path: '/year', name: 'year', component: () => import('./year/YearView.vue') },
      { path: '/lots/:code', name: 'lot', component: () => import('./lots/LotView.vue') },
      { path: '/lots/:code/check', name: 'check', component: () => import('./checks/CheckView.vue') },
      { path: '/lots/:code/finish', name: 'finish', component: () => import('./line/FinishView.vue') },
      { path: '/lots/:code/sort', name: 'sort', component: () => import('./lots/SortView.vue') },
      { path: '/lots/:code/right', name: 'right', component: () => import('./lots/RightView.vue') },
      { path: '/lots/:code/freeze', name: 'freeze', component: () => import('./kitchen/FreezeView.vue') },
      { path: '/lots/:code/dry', name: 'dry', component: () => import('./line/DryView.vue') },
      { path: '/lots/:code/tag', name: 'tag', component: () => import('./lots/TagView.vue') },
      { path: '/almanac/:crop?', name: 'almanac', component: () => import('./almanac/AlmanacView.vue') },
      { path: '/bench/:name?', name: 'bench', component: () => import('./worksheets/BenchView.vue') },
      { path: '/readings', name: 'readings', component: () => import('./readings/ReadingsView.vue') },
      { path: '/find', name: 'find', component: () => import('./lots/FindView.vue') },
      { path: '/first', name: 'first', component: () => import('./households/FirstEvening.vue') },
      { path: '/household', name: 'household', component: () => import('./households/HouseholdView.vue') },
      { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./households/NowhereView.vue') },
    ],
  })

  // a page that is not the first one may say anything; with the server away it says what it can
  router.beforeResolve(async ({ name }) => {
    if (name !== 'today') await loadWords().catch(() => undefined)
  })
  return router
}
