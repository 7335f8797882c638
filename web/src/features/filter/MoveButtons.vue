<script setup lang="ts">
import { texts } from './texts'
/** Moves one thing of a list up or down. */
defineProps<{ what: string; first: boolean; last: boolean }>()
const emit = defineEmits<{ move: [by: number] }>()
</script>

<template>
  <el-button
    class="min-w-44px p-0 text-18px disabled:op-30"
    type="primary"
    text
    data-move="-1"
    :disabled="first"
    :aria-label="texts.moveUp(what)"
    @click="emit('move', -1)"
  >
    ↑
  </el-button>
  <el-button
    class="min-w-44px p-0 text-18px disabled:op-30"
    type="primary"
    text
    data-move="1"
    :disabled="last"
    :aria-label="texts.moveDown(what)"
    @click="emit('move', 1)"
  >
    ↓
  </el-button>
</template>
