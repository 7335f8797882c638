import createClient, { type Middleware } from 'openapi-fetch'
import type { components, paths } from '@/generated/api'
import { Problem } from '../problem'

export type Schemas = components['schemas']

function csrfToken(): string {
  return /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? ''
}

const guard: Middleware = {
  onRequest({ request }) {
    if (request.method !== 'GET') request.headers.set('X-XSRF-TOKEN', csrfToken())
    return request
  },
  async onResponse({ response }) {
    if (!response.ok) throw await Problem.from(response)
    return response
  },
  onError() {
    return Problem.unreachable()
  },
}

/** The API, typed from its OpenAPI document; every failure is thrown as a Problem. */
export const api = createClient<paths>({ baseUrl: '/', fetch: (request) => globalThis.fetch(request) })
api.use(guard)

/** The body of an answer; failures have been thrown before. */
export async function body<T>(answer: Promise<{ data?: T }>): Promise<T> {
  return (await answer).data as T
}
