<script setup lang="ts">
import { computed, ref } from 'vue'
import { BenchNav } from '@/features/bench'
import TextField from '@/shared/components/TextField.vue'
import { GROUPS, PAGES } from './catalogue'

/** Both postures: every sum by the question it answers. */
const search = ref('')
const found = computed(() => {
  const words = search.value.toLowerCase().split(/\s+/).filter(Boolean)
  return PAGES.filter((page) =>
    words.every((word) => `${page.question} ${page.group}`.toLowerCase().includes(word)),
  )
})
const groups = computed(() =>
  GROUPS.map((group) => ({ group, pages: found.value.filter((page) => page.group === group) })).filter(
    ({ pages }) => pages.length > 0,
  ),
)
</script>

<template>
  <main class="page">
    <BenchNav />
    <h1>Sums</h1>
    <div class="top">
      <TextField v-model="search" label="What do you want to know?" name="search" />
      <p class="quiet">
        They go by your <RouterLink :to="{ name: 'vessels' }">tubs and caps</RouterLink> and by
        <RouterLink :to="{ name: 'sum-rules' }">rules of thumb</RouterLink>, which are yours to change.
      </p>
    </div>
    <div class="groups">
      <section v-for="{ group, pages } in groups" :key="group">
        <h2>{{ group }}</h2>
        <ul>
          <li v-for="page in pages" :key="page.name">
            <RouterLink :to="{ name: 'sum', params: { sum: page.name } }">{{ page.question }}</RouterLink>
          </li>
        </ul>
      </section>
    </div>
    <p v-if="!groups.length" class="quiet">
      No sum asks that. Try one word of it, such as “water” or “foam”.
    </p>
  </main>
</template>

<style scoped>
.top {
  display: grid;
  grid-template-columns: minmax(0, 360px) minmax(0, 1fr);
  gap: 14px 32px;
  align-items: end;
}

.groups {
  columns: 3 260px;
  gap: 40px;
  margin-top: 14px;
}

section {
  padding-bottom: 18px;
  break-inside: avoid;
}

li a {
  display: block;
  padding: 10px 0;
  min-height: 44px;
}

@media (width <= 700px) {
  .top {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
