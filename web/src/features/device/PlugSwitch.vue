<script setup lang="ts">
import { texts } from './texts'
import { ref } from 'vue'
import { useSending } from '@/shared/form'
import { useSwitch } from './queries'
import type { Device } from './words'

/** Switches a plug on: only after a person at the tank has said that nothing speaks against it. */
const props = defineProps<{ plug: Device }>()
const shown = defineModel<boolean>({ required: true })

const WORDS = [texts.noHandIsIn, texts.thePumpIsUnder, texts.itsValvesAreOpen]

const turn = useSwitch()
const { sending, trouble, send } = useSending()
const said = ref<string[]>([])

async function on() {
  const input = { device: props.plug.id, on: true, confirmed: said.value.length === WORDS.length }
  if ((await send(() => turn.mutateAsync(input).then(() => true))) === true) shown.value = false
}
</script>

<template>
  <el-dialog v-model="shown" :title="texts.switchOn2(plug.name)" width="min(460px, 92vw)" append-to-body>
    <p>{{ texts.beAtTheTank }}</p>
    <el-checkbox-group v-model="said" :aria-label="texts.whatIsSoAt">
      <el-checkbox v-for="word in WORDS" :key="word" :value="word">{{ word }}</el-checkbox>
    </el-checkbox-group>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <template #footer>
      <el-button type="primary" text @click="shown = false">{{ texts.leaveItOff }}</el-button>
      <el-button type="primary" :loading="sending" :disabled="said.length < WORDS.length" @click="on">
        {{ texts.switchOn }}
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
