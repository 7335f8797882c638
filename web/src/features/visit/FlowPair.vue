<script setup lang="ts">
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import TextField from '@/shared/components/TextField.vue'
import type { Choice } from '@/shared/words'
import type { FlowDraft } from './draft'

/** Flow at the outlet before and after, as a rate or as litres caught in seconds. */
defineProps<{ prefix: string; errors: Record<string, string> }>()
const before = defineModel<FlowDraft>('before', { required: true })
const after = defineModel<FlowDraft>('after', { required: true })

const WAY: Choice<FlowDraft['way']>[] = [
  { value: 'rate', label: 'L/h' },
  { value: 'timed', label: 'Litres in seconds' },
]

function setWay(way: FlowDraft['way']) {
  before.value = { ...before.value, way }
  after.value = { ...after.value, way }
}
</script>

<template>
  <div class="flows">
    <ChoiceRow
      :model-value="before.way"
      legend="Measured as"
      :name="`${prefix} way`"
      :choices="WAY"
      @update:model-value="setWay"
    />
    <div v-for="when in ['before', 'after'] as const" :key="when" class="pair">
      <template v-if="before.way === 'rate'">
        <TextField
          :model-value="(when === 'before' ? before : after).litresPerHour"
          :label="`Flow ${when}`"
          :name="`${prefix}.${when}.litresPerHour`"
          type="number"
          unit="L/h"
          :error="errors[`${prefix}.${when}.litresPerHour`]"
          @update:model-value="
            (litresPerHour) =>
              when === 'before'
                ? (before = { ...before, litresPerHour })
                : (after = { ...after, litresPerHour })
          "
        />
      </template>
      <template v-else>
        <TextField
          v-for="part in ['litres', 'seconds'] as const"
          :key="part"
          :model-value="(when === 'before' ? before : after)[part]"
          :label="part === 'litres' ? `Caught ${when}` : `In, ${when}`"
          :name="`${prefix}.${when}.${part}`"
          type="number"
          :unit="part === 'litres' ? 'L' : 's'"
          :error="errors[`${prefix}.${when}.${part}`]"
          @update:model-value="
            (typed) =>
              when === 'before'
                ? (before = { ...before, [part]: typed })
                : (after = { ...after, [part]: typed })
          "
        />
      </template>
    </div>
  </div>
</template>

<style scoped>
.flows {
  display: grid;
  gap: var(--gap-3);
  padding-bottom: 10px;
}

.pair {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 220px));
  gap: var(--gap-3);
}
</style>
