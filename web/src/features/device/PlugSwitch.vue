<script setup lang="ts">
import { ref } from 'vue'
import { useSending } from '@/shared/form'
import { useSwitch } from './queries'
import type { Device } from './words'

/** Switches a plug on: only after a person at the tank has said that nothing speaks against it. */
const props = defineProps<{ plug: Device }>()
const shown = defineModel<boolean>({ required: true })

const WORDS = ['No hand is in the water.', 'The pump is under water.', 'Its valves are open.']

const turn = useSwitch()
const { sending, trouble, send } = useSending()
const said = ref<string[]>([])

async function on() {
  const input = { device: props.plug.id, on: true, confirmed: said.value.length === WORDS.length }
  if ((await send(() => turn.mutateAsync(input).then(() => true))) === true) shown.value = false
}
</script>

<template>
  <el-dialog v-model="shown" :title="`Switch ${plug.name} on?`" width="min(460px, 92vw)" append-to-body>
    <p>Be at the tank, and look.</p>
    <el-checkbox-group v-model="said" aria-label="What is so at the tank">
      <el-checkbox v-for="word in WORDS" :key="word" :value="word">{{ word }}</el-checkbox>
    </el-checkbox-group>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <template #footer>
      <el-button type="primary" text @click="shown = false">Leave it off</el-button>
      <el-button type="primary" :loading="sending" :disabled="said.length < WORDS.length" @click="on">
        Switch on
      </el-button>
    </template>
  </el-dialog>
</template>

<style scoped>
.el-checkbox-group {
  display: grid;
  margin-top: var(--gap-3);
}
</style>
