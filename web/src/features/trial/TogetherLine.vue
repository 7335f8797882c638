<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { useRights } from '@/features/account'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import { useKeeping } from './keeping'
import type { Trial } from './queries'
import { groupWords, upper, wayWords } from './trials'

/** What tanks that were begun together tell together, and the way that is worth its work, for all of them at once. */
const props = defineProps<{ tanks: Trial[] }>()

const { mayKeep } = useRights()
const { keep, giveBack } = useKeeping()
const { sending, trouble, send } = useSending()

const first = computed(() => props.tanks[0])
const words = computed(() => groupWords(props.tanks))
/** The way to adopt in every tank that has not yet, once all are over; a thing left out is taken out by hand. */
const worth = computed(() => {
  const knee = first.value?.together?.knee
  const over = props.tanks.every((trial) => trial.state !== 'RUNNING')
  const days = knee === undefined ? undefined : first.value?.ways[knee]?.days
  return knee !== undefined && days !== undefined && over ? { way: knee, days } : undefined
})
const left = computed(() => props.tanks.filter((trial) => trial.adopted !== worth.value?.way))

async function keepAll() {
  if (!worth.value) return
  const { way, days } = worth.value
  const kept = await send(async () => {
    const before = []
    for (const trial of left.value) before.push(await keep(trial, way))
    return before
  })
  if (kept)
    offerUndo(texts.fromNowOnIn(upper(wayWords(days)), kept.length), () => Promise.all(kept.map(giveBack)))
}
</script>

<template>
  <div
    class="max-w-860px py-12px px-16px my-12px edge-l-5-herb bg-surface"
    :data-together="first?.together?.id"
  >
    <p class="mb-2">
      <b>{{ first?.subject.task }}</b>: {{ words }}
    </p>
    <p v-if="trouble" class="error mb-2" role="alert">{{ trouble }}</p>
    <el-button v-if="mayKeep && worth && left.length > 1" :disabled="sending" @click="keepAll">
      {{ texts.adoptInAllTanks(wayWords(worth.days), left.length) }}
    </el-button>
  </div>
</template>
