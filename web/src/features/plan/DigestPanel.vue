<script setup lang="ts">
import { texts } from './texts'
import { reactive, ref, watch } from 'vue'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import SelectField from '@/shared/components/SelectField.vue'
import TextField from '@/shared/components/TextField.vue'
import { useSending } from '@/shared/form'
import { useDigest, useSaveDigest } from './queries'

/** An email the evening before, for those who want one. */
const emit = defineEmits<{ said: [words: string, undo: () => Promise<unknown>] }>()

const digest = useDigest()
const save = useSaveDigest()
const { sending, errors, trouble, send } = useSending()
const form = reactive({ address: '', atHour: 18 })
const HOURS = Array.from({ length: 24 }, (_, hour) => ({
  value: hour,
  label: `${String(hour).padStart(2, '0')}:00`,
}))
const said = ref('')
watch(
  () => digest.data.value?.wanted,
  (wanted) => {
    if (wanted) Object.assign(form, { address: wanted.address, atHour: wanted.atHour })
  },
  { immediate: true },
)

async function want() {
  said.value = ''
  const input = { address: form.address.trim(), atHour: form.atHour }
  if (await send(() => save.mutateAsync(input))) said.value = texts.youllGetAnEmail
}

async function stop() {
  said.value = ''
  const before = digest.data.value?.wanted
  const done = await send(() => save.mutateAsync(undefined))
  if (done && before) emit('said', texts.emailsAreOff, () => save.mutateAsync(before))
}
</script>

<template>
  <section aria-labelledby="mail">
    <h2 id="mail">{{ texts.anEmailTheEvening }}</h2>
    <AsyncState
      :pending="digest.isPending.value"
      :error="lacking(digest)"
      :what="texts.theMailSettings"
      @retry="digest.refetch()"
    >
      <p v-if="!digest.data.value?.possible" class="quiet">
        {{ texts.emailIsntSetUp }}
      </p>
      <form v-else class="flex flex-wrap gap-y-12px gap-x-18px items-end" novalidate @submit.prevent="want">
        <TextField v-model="form.address" :label="texts.to" name="address" :error="errors.address" />
        <SelectField v-model="form.atHour" :label="texts.at" name="atHour" :choices="HOURS" />
        <el-button type="primary" native-type="submit" :disabled="sending">
          {{ digest.data.value.wanted ? texts.save : texts.sendMeAnEmail }}
        </el-button>
        <el-button v-if="digest.data.value.wanted" type="primary" text :disabled="sending" @click="stop">
          {{ texts.stopTheseEmails }}
        </el-button>
      </form>
      <p v-if="trouble && !Object.keys(errors).length" role="alert">{{ trouble }}</p>
      <p v-if="said" role="status" class="quiet">{{ said }}</p>
    </AsyncState>
  </section>
</template>

<style scoped>
form > :first-child {
  flex: 1 1 260px;
}
</style>
