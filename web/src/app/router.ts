import type { QueryClient } from '@tanstack/vue-query'
import {
  createRouter,
  createWebHistory,
  type RouteComponent,
  type RouteLocationNormalized,
  type RouteMeta,
} from 'vue-router'
import RoundsView from '@/features/visit/RoundsView.vue'
import { sessionOptions, type Session } from '@/features/account'

const number = (value: unknown) => Number(value)
const tank = (to: RouteLocationNormalized) => ({ tank: number(to.params.tank) })

const WATER: { path: string; name: string; component: () => Promise<RouteComponent>; meta?: RouteMeta }[] = [
  { path: '', name: 'tank-water', component: () => import('@/features/water/WaterView.vue') },
  {
    path: '/readings',
    name: 'new-readings',
    component: () => import('@/features/water/NewReadingsView.vue'),
    meta: { needs: 'HELPER' },
  },
  {
    path: '/change',
    name: 'water-change',
    component: () => import('@/features/water/ChangeView.vue'),
    meta: { needs: 'HELPER' },
  },
  {
    path: '/condition',
    name: 'water-condition',
    component: () => import('@/features/water/ConditionView.vue'),
    meta: { needs: 'HELPER' },
  },
  {
    path: '/medication',
    name: 'water-medication',
    component: () => import('@/features/water/MedicationView.vue'),
    meta: { needs: 'KEEPER' },
  },
  {
    path: '/media',
    name: 'water-media',
    component: () => import('@/features/water/MediaView.vue'),
    meta: { needs: 'HELPER' },
  },
  {
    path: '/exchange',
    name: 'water-exchange',
    component: () => import('@/features/media/ExchangeView.vue'),
  },
  { path: '/table', name: 'water-table', component: () => import('@/features/water/TableView.vue') },
  {
    path: '/methods',
    name: 'water-methods',
    component: () => import('@/features/water/MethodsView.vue'),
    meta: { needs: 'KEEPER' },
  },
]

declare module 'vue-router' {
  interface RouteMeta {
    /** Open to who is not signed in. */
    open?: boolean
    /** The least that somebody must be to do what the page is for. */
    needs?: 'KEEPER' | 'HELPER'
  }
}

/** Whether somebody is enough for a page. */
export const mayGo = (session: Session | undefined, needs: 'KEEPER' | 'HELPER' | undefined): boolean =>
  needs === undefined || session?.role === 'KEEPER' || (needs === 'HELPER' && session?.role === 'HELPER')

/** Routes of the product; without a session every one of them leads to the door. */
export function makeRouter(client: QueryClient) {
  const router = createRouter({
    history: createWebHistory(),
    scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
    routes: [
      {
        path: '/',
        name: 'rounds',
        component: RoundsView,
        meta: { place: 'rounds' },
      },
      {
        path: '/door',
        name: 'door',
        component: () => import('@/features/account/DoorView.vue'),
        meta: { open: true },
      },
      { path: '/devices', name: 'devices', component: () => import('@/features/device/DevicesView.vue') },
      { path: '/tanks', name: 'tanks', component: () => import('@/features/tank/TanksView.vue') },
      {
        path: '/tanks/new',
        name: 'new-tank',
        component: () => import('@/features/tank/NewTankView.vue'),
        meta: { needs: 'KEEPER' },
      },
      {
        path: '/tanks/:tank(\\d+)',
        name: 'tank',
        props: tank,
        component: () => import('@/features/tank/TankView.vue'),
      },
      {
        path: '/tanks/:tank(\\d+)/edit',
        name: 'edit-tank',
        props: tank,
        component: () => import('@/features/tank/EditTankView.vue'),
        meta: { needs: 'KEEPER' },
      },
      {
        path: '/tanks/:tank(\\d+)/notebook',
        name: 'notebook',
        props: tank,
        component: () => import('@/features/notebook/NotebookView.vue'),
        meta: { needs: 'KEEPER' },
      },
      {
        path: '/tanks/:tank(\\d+)/filters/new',
        name: 'new-filter',
        props: tank,
        component: () => import('@/features/tank/EditFilterView.vue'),
        meta: { needs: 'KEEPER' },
      },
      {
        path: '/tanks/:tank(\\d+)/filters/:filter(\\d+)',
        name: 'edit-filter',
        props: (to) => ({ ...tank(to), filter: number(to.params.filter) }),
        component: () => import('@/features/tank/EditFilterView.vue'),
        meta: { needs: 'KEEPER' },
      },
      {
        path: '/tanks/:tank(\\d+)/filters/:filter(\\d+)/inside',
        name: 'inside-filter',
        props: (to) => ({ ...tank(to), filter: number(to.params.filter) }),
        component: () => import('@/features/tank/InsideView.vue'),
        meta: { needs: 'KEEPER' },
      },
      {
        path: '/tanks/:tank(\\d+)/filters/:filter(\\d+)/set-up',
        name: 'set-up',
        props: (to) => ({ ...tank(to), filter: number(to.params.filter) }),
        component: () => import('@/features/procedure/SetUpView.vue'),
        meta: { needs: 'KEEPER' },
      },
      {
        path: '/tanks/:tank(\\d+)/filters/:filter(\\d+)/look-over',
        name: 'look-over',
        props: (to) => ({ ...tank(to), filter: number(to.params.filter) }),
        component: () => import('@/features/procedure/LookOverView.vue'),
        meta: { needs: 'HELPER' },
      },
      {
        path: '/tanks/:tank(\\d+)/filters/:filter(\\d+)/take-down',
        name: 'take-down',
        props: (to) => ({ ...tank(to), filter: number(to.params.filter) }),
        component: () => import('@/features/procedure/TakeDownView.vue'),
        meta: { needs: 'HELPER' },
      },
      {
        path: '/tanks/:tank(\\d+)/tasks/:task(\\d+)',
        name: 'task',
        props: (to) => ({ ...tank(to), task: number(to.params.task) }),
        component: () => import('@/features/tank/TaskView.vue'),
      },
      { path: '/plan', name: 'plan', component: () => import('@/features/plan/PlanView.vue') },
      {
        path: '/plan/time',
        name: 'plan-time',
        component: () => import('@/features/plan/TimeView.vue'),
        meta: { needs: 'KEEPER' },
      },
      {
        path: '/plan/calendars',
        name: 'calendars',
        component: () => import('@/features/plan/CalendarsView.vue'),
      },
      {
        path: '/tanks/:tank(\\d+)/chores',
        name: 'chores',
        props: tank,
        component: () => import('@/features/plan/ChoresView.vue'),
        meta: { needs: 'KEEPER' },
      },
      {
        path: '/log',
        name: 'pick-log',
        component: () => import('@/features/visit/LogPickView.vue'),
        meta: { needs: 'HELPER' },
      },
      {
        path: '/tanks/:tank(\\d+)/log',
        name: 'log',
        props: tank,
        component: () => import('@/features/visit/LogView.vue'),
        meta: { needs: 'HELPER' },
      },
      {
        path: '/tanks/:tank(\\d+)/services/:service',
        name: 'correct',
        props: (to) => ({ ...tank(to), service: String(to.params.service) }),
        component: () => import('@/features/visit/LogView.vue'),
        meta: { needs: 'HELPER' },
      },
      {
        path: '/tanks/:tank(\\d+)/prepare',
        name: 'prepare',
        props: tank,
        component: () => import('@/features/procedure/PrepareView.vue'),
        meta: { needs: 'HELPER' },
      },
      {
        path: '/service/:service',
        name: 'service',
        props: (to) => ({ service: String(to.params.service) }),
        component: () => import('@/features/procedure/ServiceView.vue'),
      },
      { path: '/water', name: 'water', component: () => import('@/features/water/WaterPickView.vue') },
      ...WATER.map(({ path, ...one }) => ({
        path: `/tanks/:tank(\\d+)/water${path}`,
        props: tank,
        ...one,
      })),
      { path: '/units', name: 'units', component: () => import('@/features/account/UnitsView.vue') },
      {
        path: '/eye',
        name: 'eye',
        component: () => import('@/features/interval/EyeView.vue'),
        meta: { needs: 'KEEPER' },
      },
      { path: '/how', name: 'how', component: () => import('@/features/interval/HowView.vue') },
      { path: '/stores', name: 'stores', component: () => import('@/features/stock/StoresView.vue') },
      { path: '/stores/media', name: 'pieces', component: () => import('@/features/media/PiecesView.vue') },
      {
        path: '/stores/media/:piece',
        name: 'piece',
        props: (to) => ({ piece: String(to.params.piece) }),
        component: () => import('@/features/media/PieceView.vue'),
      },
      {
        path: '/stores/new',
        name: 'new-store-item',
        props: (to) => ({ thing: typeof to.query.thing === 'string' ? to.query.thing : undefined }),
        component: () => import('@/features/stock/StoreItemView.vue'),
        meta: { needs: 'KEEPER' },
      },
      {
        path: '/stores/:item(\\d+)',
        name: 'store-item',
        props: (to) => ({ item: number(to.params.item) }),
        component: () => import('@/features/stock/StoreItemView.vue'),
        meta: { needs: 'KEEPER' },
      },
      { path: '/bench', name: 'bench', component: () => import('@/features/sums/SumsView.vue') },
      {
        path: '/bench/sums/:sum',
        name: 'sum',
        props: true,
        component: () => import('@/features/sums/SumView.vue'),
      },
      {
        path: '/bench/template',
        name: 'template',
        component: () => import('@/features/sums/TemplateView.vue'),
      },
      { path: '/bench/rules', name: 'sum-rules', component: () => import('@/features/sums/RulesView.vue') },
      { path: '/bench/vessels', name: 'vessels', component: () => import('@/features/sums/VesselsView.vue') },
      { path: '/bench/what-if', name: 'what-if', component: () => import('@/features/bench/BenchView.vue') },
      {
        path: '/bench/compare',
        name: 'compare',
        component: () => import('@/features/compare/CompareView.vue'),
      },
      { path: '/bench/trials', name: 'trials', component: () => import('@/features/trial/TrialsView.vue') },
      {
        path: '/bench/trials/new',
        name: 'new-trial',
        component: () => import('@/features/trial/NewTrialView.vue'),
        meta: { needs: 'KEEPER' },
      },
      {
        path: '/bench/trials/:trial',
        name: 'trial',
        component: () => import('@/features/trial/TrialView.vue'),
        props: true,
      },
      {
        path: '/bench/trouble',
        name: 'cases',
        component: () => import('@/features/trouble/CasesView.vue'),
      },
      {
        path: '/trouble/new',
        name: 'start-case',
        component: () => import('@/features/trouble/StartView.vue'),
        meta: { needs: 'HELPER' },
      },
      {
        path: '/trouble/:case',
        name: 'case',
        props: true,
        component: () => import('@/features/trouble/CaseView.vue'),
      },
      { path: '/ledger', name: 'ledger', component: () => import('@/features/visit/LedgerView.vue') },
      { path: '/people', name: 'people', component: () => import('@/features/account/PeopleView.vue') },
      {
        path: '/people/deeds',
        name: 'deeds',
        component: () => import('@/features/account/DeedsView.vue'),
        meta: { needs: 'KEEPER' },
      },
      {
        path: '/phones',
        name: 'phones',
        component: () => import('@/features/upkeep/PhonesView.vue'),
        meta: { needs: 'KEEPER' },
      },
      {
        path: '/archive',
        name: 'archive',
        component: () => import('@/features/archive/ArchiveView.vue'),
        meta: { needs: 'KEEPER' },
      },
      { path: '/you', name: 'you', component: () => import('@/features/account/OwnView.vue') },
      {
        path: '/join',
        name: 'join',
        component: () => import('@/features/account/JoinView.vue'),
        meta: { open: true },
      },
      {
        path: '/recover',
        name: 'recover',
        component: () => import('@/features/account/RecoverView.vue'),
        meta: { open: true },
      },
      {
        path: '/not-yours/:needs(KEEPER|HELPER)',
        name: 'not-yours',
        props: true,
        component: () => import('./NotYoursView.vue'),
      },
      { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./NowhereView.vue') },
    ],
  })
  router.beforeEach(async (to) => {
    const session = await client.fetchQuery(sessionOptions).catch((): Session | undefined => undefined)
    if (session === undefined) return true
    if (!session.name && !to.meta.open) return { name: 'door', query: { to: to.fullPath } }
    if (session.name && to.name === 'door')
      return typeof to.query.to === 'string' ? to.query.to : { name: 'rounds' }
    return mayGo(session, to.meta.needs) ? true : { name: 'not-yours', params: { needs: to.meta.needs } }
  })
  return router
}
