<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import { longDay, today } from '@/shared/dates'
import { useDeeds } from './queries'

/** At the table: who did what, the latest first, by day. */
const deeds = useDeeds()
const all = computed(() => deeds.data.value?.pages.flat() ?? [])
const time = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' })

const days = computed(() => {
  const byDay = new Map<string, typeof all.value>()
  for (const deed of all.value) {
    const day = today(new Date(deed.didAt))
    byDay.set(day, [...(byDay.get(day) ?? []), deed])
  }
  return [...byDay]
})
</script>

<template>
  <main class="page narrow">
    <h1>{{ texts.whatWasDoneHere }}</h1>
    <p class="quiet">{{ texts.everythingThatChangedThe }}</p>
    <AsyncState
      :pending="deeds.isPending.value"
      :error="lacking(deeds)"
      :what="texts.whatWasDone"
      @retry="deeds.refetch()"
    >
      <p v-if="all.length === 0">{{ texts.nothingYet }}</p>
      <section v-for="[day, some] in days" :key="day">
        <h2>{{ longDay(day) }}</h2>
        <ul>
          <li v-for="deed in some" :key="deed.id" class="grid cols-[64px_1] gap-3 py-2 edge-b-hair">
            <time class="text-ink-quiet [font-variant-numeric:tabular-nums]" :datetime="deed.didAt">{{
              time.format(new Date(deed.didAt))
            }}</time>
            <span>
              <strong>{{ deed.name }}</strong> {{ deed.words }}
              <RouterLink v-if="deed.thing === 'tank'" :to="{ name: 'tank', params: { tank: deed.subject } }">
                {{ texts.openTheTank }}
              </RouterLink>
            </span>
          </li>
        </ul>
      </section>
      <el-button
        v-if="deeds.hasNextPage.value"
        :loading="deeds.isFetchingNextPage.value"
        @click="deeds.fetchNextPage()"
      >
        {{ texts.earlier }}
      </el-button>
    </AsyncState>
  </main>
</template>
