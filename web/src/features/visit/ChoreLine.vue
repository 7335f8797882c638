<script setup lang="ts">
import { texts } from './texts'
import { useChoreDone, useChoreNotDone } from '@/features/plan'
import type { Schemas } from '@/shared/api/client'
import WindowLine from '@/shared/components/WindowLine.vue'
import type { Day } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import { newId } from '@/shared/ids'

/** A chore of the day: its window, and that it was done. */
const props = defineProps<{ tank: number; chore: Schemas['ChoreErrand']; today: Day }>()

const done = useChoreDone()
const notDone = useChoreNotDone()
const { sending, trouble, send } = useSending()

async function log() {
  const id = newId()
  const { kind, name } = props.chore
  const logged = send(async () => {
    await done.mutateAsync({ id, tankId: props.tank, kind, doneOn: props.today })
    return true
  })
  if (await logged) offerUndo(`${name}: done.`, () => notDone.mutateAsync(id))
}
</script>

<template>
  <div class="chore">
    <span>{{ chore.name }}</span>
    <WindowLine
      :window="chore.window"
      :standing="chore.standing"
      :today="today"
      :before="12"
      :after="14"
      :focus="10"
    />
    <span>
      <RouterLink v-if="chore.kind === 'WATER_CHANGE'" :to="{ name: 'water-change', params: { tank } }">{{
        texts.logTheChange
      }}</RouterLink>
      <RouterLink
        v-else-if="chore.kind === 'MEDIA_PORTION'"
        :to="{ name: 'water-exchange', params: { tank } }"
        >{{ texts.seeThePortion }}</RouterLink
      >
      <el-button v-else type="primary" text :disabled="sending" @click="log">{{ texts.done }}</el-button>
      <span v-if="trouble" role="alert"> {{ trouble }}</span>
    </span>
  </div>
</template>

<style scoped>
.chore {
  display: grid;
  grid-template-columns: 250px 210px minmax(0, 1fr);
  gap: 0 18px;
  align-items: center;
  min-height: 42px;
}

@media (width <= 1000px) {
  .chore {
    grid-template-columns: minmax(0, 1fr) 210px;
  }

  .chore > :nth-child(3) {
    grid-column: 1 / -1;
  }
}

@media (width <= 640px) {
  .chore {
    grid-template-columns: 1fr;
    padding: 8px 0 4px;
  }
}
</style>
