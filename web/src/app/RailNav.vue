<script setup lang="ts">
import { useRoute } from 'vue-router'
import { useSession } from '@/features/account'
import { PLACES, placeOf } from './places'
import SiteMenu from './SiteMenu.vue'

/** The rail of a wide screen: the places, logging, and what sits behind the site's name. */
const emit = defineEmits<{ keys: []; search: []; tour: [] }>()

const route = useRoute()
const { data: session } = useSession()
const LINKS = [...PLACES.map(({ name, label }) => ({ place: name, name, label }))]
LINKS.push({ place: 'log', name: 'pick-log', label: 'Log' })
const within = (place: string) => placeOf(route.path) === place
</script>

<template>
  <nav class="rail" aria-label="Places">
    <svg class="mark" width="34" height="34" viewBox="0 0 34 34" aria-hidden="true">
      <path d="M17 32V14M17 20C9 20 6 15 5 9c6 0 11 3 12 9M17 15c0-6 4-10 11-11 0 7-4 12-11 13" />
    </svg>
    <RouterLink
      v-for="link in LINKS"
      :key="link.name"
      :to="{ name: link.name }"
      class="place"
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
.rail {
  position: sticky;
  top: 0;
  display: flex;
  flex-direction: column;
  gap: 2px;
  height: 100vh;
  padding: 18px 0 14px;
  border-right: 1px solid var(--line);
}

.mark {
  flex: none;
  margin: 0 0 18px 18px;
}

.mark path {
  fill: none;
  stroke: var(--herb);
  stroke-width: 2.6;
  stroke-linecap: round;
  stroke-linejoin: round;
}

.place {
  padding: 9px 0 8px 18px;
  border-left: 4px solid transparent;
  color: var(--ink-quiet);
  font-size: 15px;
  font-weight: 400;
}

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

@media (width <= 640px) {
  .rail {
    display: none;
  }
}
</style>
