<script setup lang="ts">
import { texts } from './texts'
import { useRoute } from 'vue-router'
import { useSession } from '@/features/account'
import { PLACES, placeOf } from './places'
import SiteMenu from './SiteMenu.vue'

/** The rail of a wide screen: the places, logging, and what sits behind the site's name. */
const emit = defineEmits<{ keys: []; search: []; tour: [] }>()

const route = useRoute()
const { data: session } = useSession()
const LINKS = [...PLACES.map(({ name, label }) => ({ place: name, name, label }))]
LINKS.push({ place: 'log', name: 'pick-log', label: texts.log })
const within = (place: string) => placeOf(route.path) === place
</script>

<template>
  <nav
    class="rail sticky top-0 flex flex-col gap-2px h-100vh pt-18px pb-3 edge-r-line max-phone:hidden"
    :aria-label="texts.places"
  >
    <svg class="flex-none mb-18px ml-18px" width="34" height="34" viewBox="0 0 34 34" aria-hidden="true">
      <path
        class="fill-none stroke-herb stroke-width-2.6 stroke-cap-round stroke-join-round"
        d="M17 32V14M17 20C9 20 6 15 5 9c6 0 11 3 12 9M17 15c0-6 4-10 11-11 0 7-4 12-11 13"
      />
    </svg>
    <RouterLink
      v-for="link in LINKS"
      :key="link.name"
      :to="{ name: link.name }"
      class="place pt-9px pb-2 pr-0 pl-18px [border-left:4px_solid_transparent] text-ink-quiet text-15px font-400"
      :data-tour="link.place"
      :class="{ on: within(link.place) }"
      :aria-current="within(link.place) ? 'page' : undefined"
    >
      {{ link.label }}
    </RouterLink>
    <SiteMenu
      v-if="session?.name"
      :session="session"
      @keys="emit('keys')"
      @search="emit('search')"
      @tour="emit('tour')"
    />
  </nav>
</template>

<style scoped>
.place.on {
  border-left-color: var(--herb);
  color: var(--ink);
  font-weight: 700;
}

/* Where colours are the reader's own, a clear border is drawn as well. */
@media (forced-colors: active) {
  .place:not(.on) {
    border-left-color: Canvas;
  }
}
</style>
