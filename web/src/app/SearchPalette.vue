<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useSiteFilters } from '@/features/filter'
import { useTanks } from '@/features/tank'

/** Finds tanks, filters and stages by a few letters. */
const shown = defineModel<boolean>({ required: true })

const router = useRouter()
const tanks = useTanks()
const filters = useSiteFilters()
const wanted = ref('')
const input = useTemplateRef<HTMLInputElement>('input')
const MOST = 8

const places = computed(() => {
  const nameOf = (id: number) => tanks.data.value?.find((tank) => tank.id === id)?.tank.name ?? ''
  const ofTanks = (tanks.data.value ?? []).map((tank) => ({
    tank: tank.id,
    words: tank.tank.name,
    where: tank.tank.room,
  }))
  const ofFilters = (filters.data.value ?? []).flatMap((filter) => [
    { tank: filter.tankId, words: filter.name, where: nameOf(filter.tankId) },
    ...filter.stages.map((stage) => ({
      tank: filter.tankId,
      words: stage.name,
      where: `${filter.name}, ${nameOf(filter.tankId)}`,
    })),
  ])
  return [...ofTanks, ...ofFilters]
})
const found = computed(() => {
  const letters = wanted.value.trim().toLocaleLowerCase()
  return letters
    ? places.value.filter((place) => place.words.toLocaleLowerCase().includes(letters)).slice(0, MOST)
    : []
})

watch(shown, async (open) => {
  wanted.value = ''
  await nextTick()
  if (open) input.value?.focus()
})

function go(tank: number | undefined) {
  if (tank === undefined) return
  shown.value = false
  void router.push({ name: 'tank', params: { tank } })
}
</script>

<template>
  <el-dialog v-model="shown" title="Search" width="min(520px, 94vw)">
    <form @submit.prevent="go(found[0]?.tank)">
      <input
        ref="input"
        v-model="wanted"
        type="search"
        aria-label="Tank, filter or stage"
        placeholder="Tank, filter or stage"
      />
    </form>
    <ul aria-live="polite">
      <li v-for="(place, i) in found" :key="i">
        <button type="button" @click="go(place.tank)">
          {{ place.words }} <span class="quiet small">{{ place.where }}</span>
        </button>
      </li>
      <li v-if="wanted.trim() && found.length === 0" class="quiet">Nothing by that name.</li>
    </ul>
  </el-dialog>
</template>

<style scoped>
input {
  width: 100%;
  min-height: var(--touch);
  padding: 0 14px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--surface);
  color: var(--ink);
  font: 18px var(--text);
}

ul {
  min-height: 60px;
  margin-top: 8px;
}

li button {
  width: 100%;
  min-height: 44px;
  padding: 6px 10px;
  border: 0;
  background: none;
  color: var(--ink);
  font: 560 16px var(--text);
  text-align: left;
  cursor: pointer;
}

li button:hover,
li button:focus-visible {
  background: var(--herb-soft);
}
</style>
