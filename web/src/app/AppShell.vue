<script setup lang="ts">
import { texts } from './texts'
import { defineAsyncComponent, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { AlertWatch } from '@/features/device'
import { RestartGuard } from '@/features/procedure'
import { useKeys } from '@/shared/keys'
import AsyncState from '@/shared/components/AsyncState.vue'
import { usePreferences } from '@/shared/preferences'
import type { Problem } from '@/shared/problem'
import AwayNotice from './AwayNotice.vue'
import PhoneBar from './PhoneBar.vue'
import { PLACES } from './places'
import RailNav from './RailNav.vue'
import SiteNotice from './SiteNotice.vue'

/* The rail with its places, and the keys that work everywhere. */

defineProps<{ missed: Problem | null }>()
const emit = defineEmits<{ again: [] }>()

/** Loaded when they are first wanted. */
const KeysHelp = defineAsyncComponent(() => import('./KeysHelp.vue'))
const TourAround = defineAsyncComponent(() => import('./TourAround.vue'))
const SearchPalette = defineAsyncComponent(() => import('./SearchPalette.vue'))

const router = useRouter()
const route = useRoute()
const preferences = usePreferences()

const helping = ref(false)
const searching = ref(false)
const touring = ref(false)
let going = false

useKeys((key, event) => {
  const place = going ? PLACES.find((one) => one.key === key) : undefined
  going = key === 'g'
  if (place) void router.push({ name: place.name })
  else if (key === '?') helping.value = true
  else if (key === 'l') void router.push(logHere())
  else if (key === 'd') preferences.toggleTheme()
  else if (key === '/') {
    event.preventDefault()
    searching.value = true
  }
})

const logHere = () =>
  route.params.tank === undefined
    ? { name: 'pick-log' }
    : { name: 'log', params: { tank: route.params.tank } }
</script>

<template>
  <div class="app grid cols-[92px_1] min-h-screen max-phone:block print:block">
    <a class="skip absolute -top-60px left-2 z-10 py-10px px-16px bg-surface focus:top-2" href="#content">{{
      texts.skipToContent
    }}</a>
    <RailNav @keys="helping = true" @search="searching = true" @tour="touring = true" />
    <div id="content" tabindex="-1">
      <AwayNotice />
      <SiteNotice />
      <AlertWatch />
      <RestartGuard v-if="route.name !== 'service'" />
      <AsyncState :pending="false" :error="missed" :what="texts.thisPage" @retry="emit('again')">
        <RouterView :key="route.path" />
      </AsyncState>
    </div>
    <PhoneBar @search="searching = true" @tour="touring = true" />
    <KeysHelp v-if="helping" v-model="helping" />
    <TourAround v-if="touring" v-model="touring" />
    <SearchPalette v-if="searching" v-model="searching" />
  </div>
</template>

<style scoped>
#content:focus {
  outline: none;
}

/* Paper has no places to go to. */
@media print {
  .app :deep(nav),
  .skip {
    display: none;
  }
}
</style>
