<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import type { Schemas } from '@/shared/api/client'

/** A token, shown once, and how a device speaks with it. */
defineProps<{ made: Schemas['DeviceToken'] }>()
const emit = defineEmits<{ done: [] }>()
const { copy, copied } = useClipboard({ legacy: true })
const origin = location.origin
</script>

<template>
  <div class="token" role="status">
    <p>Give the device this token. It is shown only now, and opens nothing but the device’s own readings.</p>
    <p class="code [font:600_18px/1.4_var(--mono)] [overflow-wrap:anywhere] [user-select:all]">
      {{ made.token }}
    </p>
    <p class="quiet small">
      It posts to <code>{{ origin }}/api/device-readings</code>, or speaks through a broker under
      <code>{{ made.topic }}</code>.
    </p>
    <el-button @click="copy(made.token)">{{ copied ? 'Copied' : 'Copy the token' }}</el-button>
    <el-button type="primary" text @click="emit('done')">Done</el-button>
  </div>
</template>
