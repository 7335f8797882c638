<script setup lang="ts">
/** Moves one thing of a list up or down. */
defineProps<{ what: string; first: boolean; last: boolean }>()
const emit = defineEmits<{ move: [by: number] }>()
</script>

<template>
  <el-button
    type="primary"
    text
    data-move="-1"
    :disabled="first"
    :aria-label="`Move ${what} up`"
    @click="emit('move', -1)"
  >
    ↑
  </el-button>
  <el-button
    type="primary"
    text
    data-move="1"
    :disabled="last"
    :aria-label="`Move ${what} down`"
    @click="emit('move', 1)"
  >
    ↓
  </el-button>
</template>

<style scoped>
.el-button {
  min-width: 44px;
  padding: 0;
  font-size: 18px;
}

.el-button:disabled {
  opacity: 0.3;
}
</style>
