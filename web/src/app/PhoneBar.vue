<script setup lang="ts">
import { texts } from './texts'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useSession } from '@/features/account'
import { useMayGo } from '@/shared/allowed'
import { AT_HAND, OF_SITE, PLACES, placeOf } from './places'
import { useSiteActions } from './siteActions'

/** The bar of a phone: three places, logging in the middle, and the rest behind More. */
const emit = defineEmits<{ search: []; tour: [] }>()

const route = useRoute()
const { data: session } = useSession()
const actions = useSiteActions()
const more = ref(false)
const mayGo = useMayGo()
const ways = computed(() => OF_SITE.filter(({ name }) => mayGo({ name })))
const LOG = 'M12 5v14M5 12h14'
const MORE = 'M5 12h.01M12 12h.01M19 12h.01'
const place = computed(() => placeOf(route.path))
const hand = (name: string) => PLACES.filter((one) => one.name === name)
const bar = [
  ...hand('rounds'),
  ...hand('tanks'),
  { name: 'pick-log', label: texts.log, icon: LOG },
  ...hand('water'),
].map((one) => ({ ...one, place: one.name === 'pick-log' ? 'log' : one.name }))
const others = PLACES.filter((one) => !AT_HAND.includes(one.name))
const behind = computed(() => !bar.some((one) => one.place === place.value))

watch(
  () => route.path,
  () => (more.value = false),
)
function search() {
  more.value = false
  emit('search')
}
function tour() {
  more.value = false
  emit('tour')
}
</script>

<template>
  <nav class="bar" :aria-label="texts.places">
    <RouterLink
      v-for="one in bar"
      :key="one.name"
      :to="{ name: one.name }"
      :class="{ on: one.place === place }"
      :data-tour="one.place"
      :aria-current="one.place === place ? 'page' : undefined"
    >
      <svg class="stroke-width-2" width="24" height="24" viewBox="0 0 24 24" aria-hidden="true">
        <path :d="one.icon" />
      </svg>
      {{ one.label }}
    </RouterLink>
    <button type="button" data-tour="more" :class="{ on: behind }" :aria-expanded="more" @click="more = true">
      <svg class="stroke-width-4" width="24" height="24" viewBox="0 0 24 24" aria-hidden="true">
        <path :d="MORE" />
      </svg>
      {{ texts.more }}
    </button>
    <el-drawer v-model="more" direction="btt" size="auto" :title="session?.siteName" class="more">
      <RouterLink v-for="one in others" :key="one.name" :to="{ name: one.name }" class="way">
        <svg class="stroke-width-2" width="24" height="24" viewBox="0 0 24 24" aria-hidden="true">
          <path :d="one.icon" />
        </svg>
        {{ one.label }}
      </RouterLink>
      <RouterLink v-for="one in ways" :key="one.name" :to="{ name: one.name }" class="way quiet">
        {{ one.label }}
      </RouterLink>
      <el-button class="way" text @click="search">{{ texts.search }}</el-button>
      <el-button class="way" text @click="tour">{{ texts.showMeAround }}</el-button>
      <el-button class="way" text @click="actions.turnTheme">{{ actions.themeWords.value }}</el-button>
      <el-button class="way" text @click="actions.leave">{{ texts.signOut(session?.name ?? '') }}</el-button>
    </el-drawer>
  </nav>
</template>

<style scoped>
.bar {
  display: none;
}

.way {
  display: flex;
  gap: 14px;
  justify-content: flex-start;
  align-items: center;
  width: 100%;
  min-height: 52px;
  padding: 0 8px;
  border-bottom: 1px solid var(--hair);
  color: var(--ink);
  font-weight: 560;
}

svg {
  fill: none;
  stroke: currentcolor;
  stroke-linecap: round;
  stroke-linejoin: round;
}

@media (width <= 640px) {
  .bar {
    position: fixed;
    inset: auto 0 0;
    z-index: 5;
    display: grid;
    grid-template-columns: repeat(5, 1fr);
    height: 62px;
    border-top: 1px solid var(--line);
    background: var(--surface);
  }

  .bar > a,
  .bar > button {
    display: grid;
    justify-items: center;
    align-content: center;
    border: 0;
    border-top: 3px solid transparent;
    background: none;
    color: var(--ink-quiet);
    font: 500 13px/1.2 var(--text);
  }

  .bar > .on {
    border-top-color: var(--herb);
    color: var(--ink);
    font-weight: 700;
  }
}
</style>
