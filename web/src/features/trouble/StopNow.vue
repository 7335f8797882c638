<script setup lang="ts">
import type { Peril } from './network'
import { EXIT } from './words'

/** A danger is there: nothing else matters until it is over. */
defineProps<{ peril: Peril; sending: boolean }>()
const emit = defineEmits<{ back: []; leave: [] }>()
</script>

<template>
  <section role="alert">
    <h2>Stop</h2>
    <p class="stop">{{ peril.stop }}</p>
    <p>{{ EXIT[peril.exit] }}</p>
    <div class="row">
      <el-button @click="emit('back')">It is safe now: change my answer</el-button>
      <el-button text :disabled="sending" @click="emit('leave')">Close the case</el-button>
    </div>
  </section>
</template>

<style scoped>
section {
  padding: 18px 22px;
  border-left: 8px solid var(--brick);
  background: var(--brick-soft);
}

h2 {
  margin: 0 0 8px;
  color: var(--brick);
  font-size: 30px;
}

.stop {
  font-size: 22px;
  line-height: 1.35;
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-top: 14px;
}
</style>
