<script setup lang="ts">
import { useRoute } from 'vue-router'
import { useSession } from '@/features/account'
import { PLACES } from './places'
import SiteMenu from './SiteMenu.vue'

/** The rail: the places, logging, and what sits behind the site's name. */
const emit = defineEmits<{ keys: []; search: [] }>()

const route = useRoute()
const { data: session } = useSession()

const within = (place: string) => {
  const logging = route.path.endsWith('/log')
  if (logging) return place === 'log'
  const water = /^\/water$|\/water(\/|$)/.test(route.path)
  if (water || place === 'water') return water && place === 'water'
  return place === 'rounds' ? route.path === '/' : route.path.startsWith(`/${place}`)
}
</script>

<template>
  <nav class="rail" aria-label="Places">
    <svg class="mark" width="34" height="34" viewBox="0 0 34 34" aria-hidden="true">
      <path d="M17 32V14M17 20C9 20 6 15 5 9c6 0 11 3 12 9M17 15c0-6 4-10 11-11 0 7-4 12-11 13" />
    </svg>
    <RouterLink
      v-for="place in PLACES"
      :key="place.name"
      :to="{ name: place.name }"
      class="place"
      :class="{ on: within(place.name) }"
      :aria-current="within(place.name) ? 'page' : undefined"
    >
      {{ place.label }}
    </RouterLink>
    <RouterLink
      :to="{ name: 'pick-log' }"
      :class="{ on: within('log') }"
      :aria-current="within('log') ? 'page' : undefined"
      class="place"
      >Log</RouterLink
    >
    <SiteMenu v-if="session?.name" :session="session" @keys="emit('keys')" @search="emit('search')" />
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

@media (width <= 640px) {
  .rail {
    position: fixed;
    inset: auto 0 0;
    z-index: 5;
    flex-direction: row;
    height: 58px;
    padding: 0;
    border: 0;
    border-top: 1px solid var(--line);
    background: var(--surface);
  }

  .mark {
    display: none;
  }

  .place {
    flex: 1;
    align-content: center;
    padding: 0;
    border: 0;
    border-top: 4px solid transparent;
    font-size: 13px;
    text-align: center;
  }

  .place.on {
    border-top-color: var(--herb);
  }
}
</style>
