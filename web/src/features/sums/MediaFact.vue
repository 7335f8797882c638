<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { useFilterKnown } from './known'
import { tell } from './measures'
import { mediaThere } from './prefill'
import { useAnswer } from './queries'

/** How much of its tank the media that lies in its filters carries. */
const props = defineProps<{ tank: number }>()

const { known } = useFilterKnown(() => props.tank, 0)
const given = computed(() => {
  const { tank, filters } = known.value
  const have = mediaThere(filters ?? [])?.value
  return tank && have
    ? { netL: tank.netVolumeL, stocking: tank.setting.stocking, media: 'POROUS', have }
    : undefined
})
const need = useAnswer('need', given)
const values = computed(() => (given.value ? need.data.value?.values : undefined))
</script>

<template>
  <p v-if="values" class="small quiet">
    {{
      texts.bioMediaNeededWhat(
        tell('KILOGRAMS', Number(values.needKg)),
        tell('SHARE', Number(values.coverage)),
      )
    }}
    <RouterLink :to="{ name: 'sum', params: { sum: 'need' }, query: { tank } }">{{
      texts.reckonIt
    }}</RouterLink>
  </p>
</template>
