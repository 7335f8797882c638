<script setup lang="ts">
import { computed, ref } from 'vue'
import MeasureField from '@/shared/components/MeasureField.vue'
import NumberField from '@/shared/components/NumberField.vue'
import { say, typedNumber } from '@/shared/units'
import { useNow } from '@/shared/now'

/** Flow by a timed container: start, stop, how much; or a rate read off a meter. */
const emit = defineEmits<{ flow: [litresPerHour: number] }>()

const HOUR_S = 3600
const now = useNow()
const started = ref<number>()
const seconds = ref('')
const litres = ref('')
const kept = ref<number>()

const running = computed(() =>
  started.value === undefined ? undefined : Math.max(0, Math.round((now.value - started.value) / 1000)),
)
const rate = computed(() => {
  const caught = typedNumber(litres.value)
  const took = typedNumber(seconds.value)
  return caught !== undefined && took !== undefined && caught > 0 && took > 0
    ? (caught / took) * HOUR_S
    : undefined
})

function turn() {
  if (started.value === undefined) {
    started.value = Date.now()
    return
  }
  seconds.value = ((Date.now() - started.value) / 1000).toFixed(1)
  started.value = undefined
}

function keep() {
  if (rate.value === undefined) return
  kept.value = rate.value
  emit('flow', rate.value)
}
</script>

<template>
  <div class="catch">
    <el-button @click="turn">
      {{ running === undefined ? 'Start the clock' : `Stop at ${running} s` }}
    </el-button>
    <NumberField v-model="seconds" label="Seconds" name="seconds" unit="s" />
    <MeasureField v-model="litres" label="Caught" name="litres" quantity="VOLUME" />
    <el-button type="primary" :disabled="rate === undefined" @click="keep">
      {{ rate === undefined ? 'Keep the flow' : `Keep ${say('FLOW', rate)}` }}
    </el-button>
    <p v-if="kept !== undefined" class="quiet" role="status">Kept: {{ say('FLOW', kept) }}</p>
  </div>
</template>

<style scoped>
.catch {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 12px;
  align-items: end;
  max-width: 640px;
}

.el-button {
  min-height: var(--touch);
}
</style>
