<script setup lang="ts">
import { texts } from './texts'
import { reactive, watch } from 'vue'
import SelectField from '@/shared/components/SelectField.vue'
import TextField from '@/shared/components/TextField.vue'
import { useSending } from '@/shared/form'
import { useAlertMail, useSaveAlertMail } from './queries'

/** How this person is mailed about alerts. */
const mail = useAlertMail()
const save = useSaveAlertMail()
const { sending, errors, trouble, send } = useSending()
const form = reactive({ address: '', quietFrom: 22, quietTo: 7 })
const HOURS = Array.from({ length: 24 }, (_, hour) => ({
  value: hour,
  label: `${String(hour).padStart(2, '0')}:00`,
}))
watch(
  () => mail.data.value?.wanted,
  (wanted) => {
    if (wanted) Object.assign(form, wanted)
  },
  { immediate: true },
)
</script>

<template>
  <section>
    <h2>{{ texts.mailForYou }}</h2>
    <form
      class="grid gap-3 max-w-560px"
      novalidate
      @submit.prevent="send(() => save.mutateAsync({ ...form }))"
    >
      <TextField v-model="form.address" :label="texts.mailAlertsTo" name="address" :error="errors.address" />
      <div class="hours grid cols-[1fr_1fr] gap-3">
        <SelectField v-model="form.quietFrom" :label="texts.quietFrom" name="quietFrom" :choices="HOURS" />
        <SelectField v-model="form.quietTo" :label="texts.to" name="quietTo" :choices="HOURS" />
      </div>
      <p class="quiet small">{{ texts.dangerIsMailedAt }}</p>
      <p v-if="trouble && !Object.keys(errors).length" class="trouble" role="alert">{{ trouble }}</p>
      <div>
        <el-button type="primary" native-type="submit" :loading="sending">{{ texts.mailMe }}</el-button>
        <el-button
          v-if="mail.data.value?.wanted"
          type="primary"
          text
          @click="send(() => save.mutateAsync(undefined))"
        >
          {{ texts.stopMailingMe }}
        </el-button>
      </div>
      <p v-if="mail.data.value?.wanted" class="quiet small" role="status">
        {{ texts.alertsGoTo(mail.data.value.wanted.address) }}
      </p>
    </form>
  </section>
</template>
