<script setup lang="ts">
import { texts } from './texts'
import { computed, provide, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useSession } from '@/features/account'
import { MAY_GO } from '@/shared/allowed'
import AsyncState from '@/shared/components/AsyncState.vue'
import { usePreferences } from '@/shared/preferences'
import AppShell from './AppShell.vue'
import { useArrival } from './arrival'
import { mayGo } from './router'

/** The door for strangers, the places for people of the site. */
usePreferences()
const route = useRoute()
const router = useRouter()
const session = useSession()
const missed = useArrival(router)
const again = () => location.reload()
provide(MAY_GO, (to) => mayGo(session.data.value, router.resolve(to).meta.needs))
const inside = computed(() => session.data.value?.name !== undefined)

watch(inside, (now, before) => {
  if (now && route.name === 'door')
    void router.push(typeof route.query.to === 'string' ? route.query.to : { name: 'rounds' })
  if (!now && before) void router.push({ name: 'door' })
})
</script>

<template>
  <AsyncState
    :pending="session.isPending.value"
    :error="session.data.value ? null : session.error.value"
    :what="texts.chervil"
    @retry="session.refetch()"
  >
    <AppShell v-if="inside && !route.meta.open" :missed="missed" @again="again" />
    <AsyncState v-else :pending="false" :error="missed" :what="texts.thisPage" @retry="again">
      <RouterView />
    </AsyncState>
  </AsyncState>
</template>
