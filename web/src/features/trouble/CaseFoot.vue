<script setup lang="ts">
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
    <el-button v-if="again" text type="primary" @click="emit('keep')">Leave it as it was</el-button>
    <el-button v-else-if="steps && !over" text type="primary" @click="emit('back')">Back</el-button>
    <el-button v-if="exits" text type="primary" @click="emit('others')">Ask somebody else instead</el-button>
    <el-button v-if="!over" text :disabled="sending" @click="emit('leave')">Give up</el-button>
    <el-button text :disabled="sending" @click="emit('drop')">Delete the case</el-button>
  </p>
</template>
