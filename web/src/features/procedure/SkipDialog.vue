<script setup lang="ts">
import { ref, watch } from 'vue'
import TextField from '@/shared/components/TextField.vue'
import type { Step } from './queries'

/** A step is skipped with its reason, so that the log tells why. */
defineProps<{ step: Step | undefined }>()
const emit = defineEmits<{ skip: [reason: string] }>()
const shown = defineModel<boolean>({ required: true })

const reason = ref('')
const error = ref('')
watch(shown, () => {
  reason.value = ''
  error.value = ''
})

function submit() {
  if (reason.value.trim()) emit('skip', reason.value.trim())
  else error.value = 'Give a short reason.'
}
</script>

<template>
  <el-dialog v-model="shown" title="Skip this step?" width="min(440px, 94vw)">
    <form class="grid gap-3" @submit.prevent="submit">
      <p class="quiet">{{ step?.text }}</p>
      <TextField v-model="reason" label="Why" name="reason" :error="error" />
      <el-button class="min-h-touch" type="primary" native-type="submit">Skip it</el-button>
    </form>
  </el-dialog>
</template>
