import '@fontsource-variable/atkinson-hyperlegible-mono/wght.css'
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css'
import './shared/tokens.css'
import './shared/base.css'
import './shared/controls.css'
import 'virtual:uno.css'
import { MutationCache, QueryCache, QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { createPinia } from 'pinia'
import { registerSW } from 'virtual:pwa-register'
import { createApp } from 'vue'
import App from './app/App.vue'
import { makeRouter } from './app/router'
import { ASKING } from './shared/asking'
import { Problem } from './shared/problem'

/** An ended session leads back to the door; what was typed stays in its form's draft. */
function noticeSignOut(failure: unknown) {
  if (failure instanceof Problem && failure.status === 401 && failure.code === 'not-signed-in') {
    void client.invalidateQueries({ queryKey: ['session'] })
  }
}

const client = new QueryClient({
  queryCache: new QueryCache({ onError: noticeSignOut }),
  mutationCache: new MutationCache({ onError: noticeSignOut }),
  defaultOptions: { queries: ASKING },
})

createApp(App)
  .use(createPinia())
  .use(VueQueryPlugin, { queryClient: client })
  .use(makeRouter(client))
  .mount('#app')

/** The shell opens at the tank without a connection. */
registerSW({ immediate: true })
