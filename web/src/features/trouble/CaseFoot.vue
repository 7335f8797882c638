<script setup lang="ts">
import { texts } from './texts'
/** What can be done with a case beside its next step. */
defineProps<{
  /** Whether an earlier question is being looked at again. */
  again: boolean
  steps: number
  /** Whether it is mended. */
  over: boolean
  /** Whether asking somebody else is offered. */
  exits: boolean
  sending: boolean
}>()
const emit = defineEmits<{ keep: []; back: []; others: []; leave: []; drop: [] }>()
</script>

<template>
  <p class="flex flex-wrap gap-y-1 gap-x-10px mt-4">
    <el-button v-if="again" text type="primary" @click="emit('keep')">{{ texts.leaveItAsIt }}</el-button>
    <el-button v-else-if="steps && !over" text type="primary" @click="emit('back')">{{
      texts.back
    }}</el-button>
    <el-button v-if="exits" text type="primary" @click="emit('others')">{{
      texts.askSomebodyElseInstead
    }}</el-button>
    <el-button v-if="!over" text :disabled="sending" @click="emit('leave')">{{ texts.giveUp }}</el-button>
    <el-button text :disabled="sending" @click="emit('drop')">{{ texts.deleteTheCase }}</el-button>
  </p>
</template>
