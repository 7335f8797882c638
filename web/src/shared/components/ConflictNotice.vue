<script setup lang="ts">
import { texts } from '../texts'
/** Somebody else saved meanwhile: what differs comes in the slot, and the choice between the two. */
defineProps<{
  /** What was changed, as in "this tank". */
  what: string
  /** Only where the saved version can take the place of what is typed. */
  canTake?: boolean
}>()
const emit = defineEmits<{ take: []; keep: [] }>()
</script>

<template>
  <div class="stale py-3 px-18px edge-l-5-amber bg-amber-soft" role="alert">
    <p>
      <strong>{{ texts.someoneElseChangedWhile(what) }}</strong>
    </p>
    <slot />
    <div class="flex flex-wrap gap-2 mt-10px">
      <el-button v-if="canTake" @click="emit('take')">{{ texts.useTheSavedVersion }}</el-button>
      <el-button @click="emit('keep')">{{ texts.keepMyVersion }}</el-button>
    </div>
  </div>
</template>
