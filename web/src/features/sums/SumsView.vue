<script setup lang="ts">
import { texts } from './texts'
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
    <h1>{{ texts.sums }}</h1>
    <div class="top grid cols-[minmax(0,360px)_1] gap-y-3 gap-x-32px items-end max-tablet:cols-1">
      <TextField v-model="search" :label="texts.whatDoYouWant" name="search" />
      <p class="quiet">
        {{ texts.theyGoByYour }} <RouterLink :to="{ name: 'vessels' }">{{ texts.tubsAndCaps }}</RouterLink>
        {{ texts.andBy }} <RouterLink :to="{ name: 'sum-rules' }">{{ texts.rulesOfThumb2 }}</RouterLink>{{
          texts.whichAreYoursTo
        }}
      </p>
    </div>
    <div class="[columns:3_260px] gap-40px mt-3">
      <section v-for="{ group, pages } in groups" :key="group" class="pb-18px break-inside-avoid">
        <h2>{{ group }}</h2>
        <ul>
          <li v-for="page in pages" :key="page.name">
            <RouterLink
              class="block py-10px px-0 min-h-44px"
              :to="{ name: 'sum', params: { sum: page.name } }"
              >{{ page.question }}</RouterLink
            >
          </li>
        </ul>
      </section>
    </div>
    <p v-if="!groups.length" class="quiet">
      {{ texts.noSumAsksThat }}
    </p>
  </main>
</template>
