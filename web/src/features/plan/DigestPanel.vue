<script setup lang="ts">
import { reactive, ref, watch } from 'vue'
import AsyncState from '@/shared/components/AsyncState.vue'
import TextField from '@/shared/components/TextField.vue'
import { useSending } from '@/shared/form'
import { useDigest, useSaveDigest } from './queries'

/** A mail the evening before, for those who want one. */
const emit = defineEmits<{ said: [words: string, undo: () => Promise<unknown>] }>()

const digest = useDigest()
const save = useSaveDigest()
const { sending, errors, trouble, send } = useSending()
const form = reactive({ address: '', atHour: '18' })
const said = ref('')
watch(
  () => digest.data.value?.wanted,
  (wanted) => {
    if (wanted) Object.assign(form, { address: wanted.address, atHour: String(wanted.atHour) })
  },
  { immediate: true },
)

async function want() {
  said.value = ''
  const input = { address: form.address.trim(), atHour: Number(form.atHour) }
  if (await send(() => save.mutateAsync(input))) said.value = 'From now on, the evening before each visit.'
}

async function stop() {
  said.value = ''
  const before = digest.data.value?.wanted
  const done = await send(() => save.mutateAsync(undefined))
  if (done && before) emit('said', 'No more mail.', () => save.mutateAsync(before))
}
</script>

<template>
  <section aria-labelledby="mail">
    <h2 id="mail">A mail the evening before</h2>
    <AsyncState
      :pending="digest.isPending.value"
      :error="digest.error.value"
      what="the mail settings"
      @retry="digest.refetch()"
    >
      <p v-if="!digest.data.value?.possible" class="quiet">
        No mail server is set up on this site; the README says how.
      </p>
      <form v-else novalidate @submit.prevent="want">
        <TextField v-model="form.address" label="To" name="address" :error="errors.address" />
        <label>
          <b>At</b>
          <select v-model="form.atHour" name="atHour">
            <option v-for="hour in 24" :key="hour" :value="String(hour - 1)">
              {{ String(hour - 1).padStart(2, '0') }}:00
            </option>
          </select>
        </label>
        <button class="button" type="submit" :disabled="sending">
          {{ digest.data.value.wanted ? 'Save' : 'Send me one' }}
        </button>
        <button
          v-if="digest.data.value.wanted"
          class="button plain"
          type="button"
          :disabled="sending"
          @click="stop"
        >
          No more mail
        </button>
      </form>
      <p v-if="trouble && !Object.keys(errors).length" role="alert">{{ trouble }}</p>
      <p v-if="said" role="status" class="quiet">{{ said }}</p>
    </AsyncState>
  </section>
</template>

<style scoped>
form {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 18px;
  align-items: end;
}

form > :first-child {
  flex: 1 1 260px;
}

label {
  display: grid;
  gap: 4px;
}
</style>
