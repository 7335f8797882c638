<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { MovedPanel } from '@/features/visit'
import TextField from '@/shared/components/TextField.vue'
import type { Schemas } from '@/shared/api/client'
import { useSending } from '@/shared/form'
import type { useGuided } from './guided'
import { useDropGuided, useFinishGuided } from './queries'

/** The end: what was skipped, a note, and the log; not while the filter is off, unless a reason is written. */
const props = defineProps<{ guided: ReturnType<typeof useGuided>; off: boolean; early: boolean }>()
const emit = defineEmits<{ resume: [] }>()

const router = useRouter()
const finish = useFinishGuided()
const drop = useDropGuided()
const { sending, errors, trouble, send } = useSending()

const note = ref('')
const leftOffReason = ref('')
const saved = ref<Schemas['SavedService']>()
const view = computed(() => props.guided.view.value)
const skipped = computed(() => {
  const reasons = props.guided.progress.value.skipped
  return (view.value?.steps ?? [])
    .filter((step) => reasons.has(step.id))
    .map((step) => ({ step, reason: reasons.get(step.id) }))
})
const untouched = computed(() => (view.value?.events.length ?? 0) + props.guided.waiting.value === 0)

async function end() {
  await props.guided.sync()
  const id = view.value?.id
  if (!id || props.guided.waiting.value > 0) {
    trouble.value = 'Some ticks are not sent yet. Try again when there is a connection.'
    return
  }
  saved.value = await send(() =>
    finish.mutateAsync({ id, end: { note: note.value, leftOffReason: leftOffReason.value } }),
  )
  if (saved.value) props.guided.forget()
}

async function dropIt() {
  const id = view.value?.id
  if (!id) return
  await send(async () => {
    await drop.mutateAsync(id)
    props.guided.forget()
    await router.push({ name: 'rounds' })
  })
}
</script>

<template>
  <div class="end">
    <template v-if="saved">
      <MovedPanel :saved="saved" :corrected="false" @merged="(one) => (saved = one)" />
      <section class="later">
        <h2>Later</h2>
        <p>In ten minutes: no drips, water clear again, level steady, leak sensor dry.</p>
        <p>Tomorrow: animals active and eating, flow as it was left. Any doubt, test ammonia first.</p>
      </section>
    </template>
    <p v-else-if="view?.finishedAt">
      This service is finished.
      <RouterLink :to="{ name: 'tank', params: { tank: view.place.tankId } }">See the tank</RouterLink>
    </p>
    <form v-else @submit.prevent="end">
      <h1>{{ early ? 'End before the last step?' : 'All steps done' }}</h1>
      <ul v-if="skipped.length">
        <li v-for="{ step, reason } in skipped" :key="step.id" class="quiet">
          Skipped: {{ step.text }} {{ reason }}
        </li>
      </ul>
      <p v-if="off" class="warn" role="note">
        The filter is still off. Go back and start it, or write why it stays off.
      </p>
      <TextField
        v-if="off"
        v-model="leftOffReason"
        label="Why it stays off"
        name="leftOffReason"
        :error="errors.leftOffReason"
      />
      <TextField v-model="note" label="Note" name="note" type="textarea" :error="errors.note" />
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      <div class="actions">
        <button class="button" type="submit" :disabled="sending">Write it into the log</button>
        <button v-if="early" class="button plain" type="button" @click="emit('resume')">Go on</button>
        <button v-if="untouched" class="button plain" type="button" @click="dropIt">Drop it</button>
      </div>
    </form>
  </div>
</template>

<style scoped>
.end {
  padding: 26px 40px;
  max-width: 820px;
}

form,
.later {
  display: grid;
  gap: 14px;
  margin-top: 10px;
}

.warn {
  padding: 10px 14px;
  border-left: 5px solid var(--brick);
  background: var(--brick-soft);
}

.trouble {
  color: var(--brick);
  font-weight: 600;
}

.actions {
  display: flex;
  gap: 10px;
}

.actions .button {
  min-height: 56px;
}

@media (width <= 640px) {
  .end {
    padding: 16px 16px 96px;
  }
}
</style>
