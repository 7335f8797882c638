<script setup lang="ts">
import { computed, ref } from 'vue'
import TextField from '@/shared/components/TextField.vue'
import { typedNumber, withUnit } from '@/shared/units'
import { useNow } from '@/shared/now'

/** Flow by a timed container: start, stop, litres; or a rate read off a meter. */
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
    <button class="button outlined" type="button" @click="turn">
      {{ running === undefined ? 'Start the clock' : `Stop at ${running} s` }}
    </button>
    <TextField v-model="seconds" label="Seconds" name="seconds" type="number" unit="s" />
    <TextField v-model="litres" label="Litres caught" name="litres" type="number" unit="L" />
    <button class="button" type="button" :disabled="rate === undefined" @click="keep">
      {{ rate === undefined ? 'Keep the flow' : `Keep ${withUnit(rate, 'L/h')}` }}
    </button>
    <p v-if="kept !== undefined" class="quiet" role="status">Kept: {{ withUnit(kept, 'L/h') }}</p>
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

.button {
  min-height: var(--touch);
}
</style>
