<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { counted, labelOf, STAGE_KIND } from '@/shared/words'
import type { FilterForm } from './form'
import MiniPath from './MiniPath.vue'

/** The filter as it is being described, drawn as water will meet it. */
const props = defineProps<{ form: FilterForm }>()

const drawn = computed(() => ({
  name: props.form.name || texts.thisFilter,
  stages: props.form.stages.map((stage) => ({
    id: stage.key,
    kind: stage.kind,
    name: stage.label || labelOf(STAGE_KIND, stage.kind).toLowerCase(),
  })),
}))
const throwaway = computed(() => props.form.stages.filter((stage) => stage.make === 'DISPOSABLE').length)
</script>

<template>
  <section :aria-label="texts.waterPathSoFar">
    <h2>{{ texts.howWaterWillPass }}</h2>
    <MiniPath class="w-full h-auto my-12px mx-0" :name="drawn.name" :stages="drawn.stages" :forecasts="[]" />
    <ol class="quiet flex flex-wrap mb-2">
      <li v-for="stage in drawn.stages" :key="stage.id">{{ stage.name }}</li>
    </ol>
    <p class="quiet">
      {{ drawn.stages.length ? counted(drawn.stages.length, 'stage') : texts.noStagesYet
      }}{{ throwaway ? texts.toReplaceRatherThan(throwaway) : '' }}.
    </p>
  </section>
</template>

<style scoped>
li:not(:last-child)::after {
  margin-inline: 6px;
  content: '→';
}
</style>
