<script setup lang="ts">
import { texts } from './texts'
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
  else error.value = texts.giveAShortReason
}
</script>

<template>
  <el-dialog v-model="shown" :title="texts.skipThisStep" width="min(440px, 94vw)">
    <form class="grid gap-3" @submit.prevent="submit">
      <p class="quiet">{{ step?.text }}</p>
      <TextField v-model="reason" :label="texts.why" name="reason" :error="error" />
      <el-button class="min-h-touch" type="primary" native-type="submit">{{ texts.skipIt }}</el-button>
    </form>
  </el-dialog>
</template>
