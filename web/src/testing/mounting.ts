import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { createPinia } from 'pinia'
import { vi } from 'vitest'
import type { Component } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'
import { ASKING } from '@/shared/asking'

/**
 * What the server would answer, by method and path; a number alone is a status without a document, a function answers to
 * the body it is sent and what is asked behind the path.
 */
export type Answers = Record<string, unknown>

const NAMES = [
  'rounds',
  'tanks',
  'new-tank',
  'pick-log',
  'people',
  'deeds',
  'recover',
  'door',
  'stores',
  'new-store-item',
  'pieces',
  'bench',
  'what-if',
  'sum-rules',
  'vessels',
  'template',
  'eye',
  'trials',
  'compare',
  'cases',
  'start-case',
  'new-trial',
  'archive',
  'devices',
  'plan-time',
  'calendars',
]
const TANK_NAMES = [
  'tank',
  'log',
  'prepare',
  'edit-tank',
  'new-filter',
  'tank-water',
  'new-readings',
  'water-change',
  'water-exchange',
  'water-media',
]

/** Stands in for the server at its HTTP boundary; every request is kept. */
export function stubServer(answers: Answers) {
  const asked: { call: string; body: unknown }[] = []
  vi.stubGlobal('fetch', async (request: Request) => {
    const url = new URL(request.url)
    const call = `${request.method} ${url.pathname}`
    const text = await request.text()
    asked.push({ call, body: text ? (JSON.parse(text) as unknown) : undefined })
    const given = answers[call]
    const answer: unknown =
      typeof given === 'function'
        ? (given as (body: unknown, query: URLSearchParams) => unknown)(asked.at(-1)?.body, url.searchParams)
        : given
    if (answer === undefined) return new Response('{}', { status: 404 })
    if (typeof answer === 'number') return new Response(answer === 204 ? null : '{}', { status: answer })
    if (answer instanceof Response) return answer.clone()
    return new Response(JSON.stringify(answer), { headers: { 'Content-Type': 'application/json' } })
  })
  return asked
}

/** A refusal as the server words it. */
export function refusal(status: number, document: Record<string, unknown>): Response {
  return new Response(JSON.stringify(document), {
    status,
    headers: { 'Content-Type': 'application/problem+json' },
  })
}

/** Mounts a view with a query cache, a router and the stubbed server, and waits until it has settled. */
export async function mountView(view: Component, props: Record<string, unknown> = {}, path = '/') {
  const page = { template: '<p />' }
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      ...NAMES.map((name) => ({ path: name === 'rounds' ? '/' : `/${name}`, name, component: page })),
      ...TANK_NAMES.map((name) => ({ path: `/at/:tank/${name}`, name, component: page })),
      { path: '/at/:tank/tasks/:task', name: 'task', component: page },
      { path: '/trouble/:case', name: 'case', component: page },
      { path: '/bench/sums/:sum', name: 'sum', component: page },
      { path: '/stores/media/:piece', name: 'piece', component: page },
      { path: '/stores/:item', name: 'store-item', component: page },
      { path: '/service/:service', name: 'service', component: page },
      { path: '/at/:tank/filters/:filter', name: 'edit-filter', component: page },
      { path: '/at/:tank/filters/:filter/inside', name: 'inside-filter', component: page },
      { path: '/at/:tank/filters/:filter/set-up', name: 'set-up', component: page },
      { path: '/at/:tank/filters/:filter/look-over', name: 'look-over', component: page },
      { path: '/at/:tank/filters/:filter/take-down', name: 'take-down', component: page },
      { path: '/at/:tank/services/:service', name: 'correct', component: page },
      { path: '/trials/:trial', name: 'trial', component: page },
    ],
  })
  await router.push(path)
  const queryClient = new QueryClient({
    defaultOptions: { queries: { ...ASKING, staleTime: 0, retry: false } },
  })
  const wrapper = mount(view, {
    props,
    attachTo: document.body,
    global: { plugins: [router, createPinia(), [VueQueryPlugin, { queryClient }]] },
  })
  await settled()
  return { wrapper, router }
}

/** Lets answers arrive and the view follow. */
export async function settled() {
  await vi.dynamicImportSettled()
  for (let turn = 0; turn < 6; turn++) await flushPromises()
}

/** Opens a field's list and takes the choice of that name, as a hand would. */
export async function choose(wrapper: VueWrapper, field: string, label: string) {
  await wrapper.get(`[data-field="${field}"] .el-select__wrapper`).trigger('click')
  await settled()
  const list = document.getElementById(
    wrapper.get(`[data-field="${field}"] [role=combobox]`).attributes('aria-controls') ?? '',
  )
  const choice = [...(list?.querySelectorAll<HTMLElement>('[role=option]') ?? [])].find((one) =>
    one.textContent.includes(label),
  )
  if (!choice) throw new Error(`no choice ${label} in ${field}`)
  choice.click()
  await settled()
}

/** Answers the question that is asked before something is done with yes. */
export async function agree() {
  document.querySelector<HTMLElement>('.el-message-box__btns .el-button--primary')?.click()
  await settled()
}

/** Presses the button of these words, wherever on the page it is. */
export async function press(words: string) {
  const button = [...document.querySelectorAll<HTMLElement>('button')].find(
    (one) => one.textContent.trim() === words,
  )
  if (!button) throw new Error(`no button ${words}`)
  button.click()
  await settled()
}
