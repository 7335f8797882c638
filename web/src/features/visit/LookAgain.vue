<script setup lang="ts">
import { texts } from './texts'
import type { Schemas } from '@/shared/api/client'
import { momentWords } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import { useLooked, useNotLooked } from './queries'

/** Looks that finished work asks for, each ticked with one tap. */
defineProps<{ looks: Schemas['LookAgain'][] }>()

const looked = useLooked()
const notLooked = useNotLooked()
const { sending, trouble, send } = useSending()

async function tick(look: Schemas['LookAgain']) {
  const done = await send(async () => {
    await looked.mutateAsync(look.id)
    return true
  })
  if (done) offerUndo('Looked.', () => notLooked.mutateAsync(look.id))
}
</script>

<template>
  <section aria-labelledby="looks">
    <h2 id="looks" class="mt-18px">{{ texts.lookAgain }}</h2>
    <p
      v-for="look in looks"
      :key="look.id"
      class="look flex gap-12px items-center justify-between min-h-52px edge-b-hair"
    >
      <span>
        <b>{{ look.tank.name }}</b>: {{ look.words }}
        <span class="small quiet">{{ texts.due(momentWords(look.dueAt)) }}</span>
      </span>
      <el-button :disabled="sending" :aria-label="texts.done2(look.words)" @click="tick(look)">{{
        texts.done
      }}</el-button>
    </p>
    <p v-if="trouble" class="error" role="alert">{{ trouble }}</p>
  </section>
</template>
