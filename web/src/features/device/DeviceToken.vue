<script setup lang="ts">
import { texts } from './texts'
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
    <p>{{ texts.giveTheDeviceThis }}</p>
    <p class="code [font:600_18px/1.4_var(--mono)] [overflow-wrap:anywhere] [user-select:all]">
      {{ made.token }}
    </p>
    <p class="quiet small">
      {{ texts.itPostsTo }} <code>{{ origin }}/api/device-readings</code>{{ texts.orSpeaksThroughA }}
      <code>{{ made.topic }}</code>.
    </p>
    <el-button @click="copy(made.token)">{{ copied ? texts.copied : texts.copyTheToken }}</el-button>
    <el-button type="primary" text @click="emit('done')">{{ texts.done }}</el-button>
  </div>
</template>
