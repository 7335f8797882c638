<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import MeasureField from '@/shared/components/MeasureField.vue'
import NumberField from '@/shared/components/NumberField.vue'
import { unitOf } from '@/shared/units'
import type { Choice } from '@/shared/words'
import type { FlowDraft } from './draft'

/** Flow at the outlet before and after, as a rate or as litres caught in seconds. */
defineProps<{ prefix: string; errors: Record<string, string> }>()
const before = defineModel<FlowDraft>('before', { required: true })
const after = defineModel<FlowDraft>('after', { required: true })

const WAY = computed<Choice<FlowDraft['way']>[]>(() => [
  { value: 'rate', label: unitOf('FLOW').symbol },
  { value: 'timed', label: texts.caughtInAJug },
])

const BOTH = { before, after }

function put(when: keyof typeof BOTH, change: Partial<FlowDraft>) {
  BOTH[when].value = { ...BOTH[when].value, ...change }
}
function setWay(way: FlowDraft['way']) {
  put('before', { way })
  put('after', { way })
}
</script>

<template>
  <div class="grid gap-3 pb-10px">
    <ChoiceRow
      :model-value="before.way"
      :legend="texts.measuredAs"
      :name="`${prefix} way`"
      :choices="WAY"
      @update:model-value="setWay"
    />
    <div
      v-for="when in ['before', 'after'] as const"
      :key="when"
      class="grid cols-[repeat(2,minmax(0,220px))] gap-3"
    >
      <template v-if="before.way === 'rate'">
        <MeasureField
          :model-value="BOTH[when].value.litresPerHour"
          :label="texts.flow(when)"
          :name="`${prefix}.${when}.litresPerHour`"
          quantity="FLOW"
          :error="errors[`${prefix}.${when}.litresPerHour`]"
          @update:model-value="(litresPerHour) => put(when, { litresPerHour })"
        />
      </template>
      <template v-else>
        <MeasureField
          :model-value="BOTH[when].value.litres"
          :label="texts.caught(when)"
          :name="`${prefix}.${when}.litres`"
          quantity="VOLUME"
          :error="errors[`${prefix}.${when}.litres`]"
          @update:model-value="(litres) => put(when, { litres })"
        />
        <NumberField
          :model-value="BOTH[when].value.seconds"
          :label="texts.in(when)"
          :name="`${prefix}.${when}.seconds`"
          unit="s"
          :error="errors[`${prefix}.${when}.seconds`]"
          @update:model-value="(seconds) => put(when, { seconds })"
        />
      </template>
    </div>
  </div>
</template>
