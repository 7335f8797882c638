<script setup lang="ts">
import type { Standing } from '../standing'

/** A state as a word with a mark, never by colour alone. */
defineProps<{ standing: Standing | 'HELD'; words: string }>()

const MARK: Record<Standing | 'HELD', string> = { LATE: '!', DUE: '•', OPEN: '○', LATER: '', HELD: '▨' }
</script>

<template>
  <span
    class="tag inline-block py-1px px-2 rounded-3px text-13px font-680 whitespace-nowrap text-ink-quiet bg-hair"
    :class="standing.toLowerCase()"
  >
    <span v-if="MARK[standing]" aria-hidden="true">{{ MARK[standing] }}</span> {{ words }}
  </span>
</template>

<style scoped>
.late {
  color: var(--brick);
  background: var(--brick-soft);
}

.due {
  color: var(--amber);
  background: var(--amber-soft);
}

.held {
  color: var(--plum);
  background: var(--plum-soft);
}

.open {
  color: var(--herb);
  background: var(--herb-soft);
}
</style>
