<script setup lang="ts">
import { texts } from './texts'
import { useMutation, useQueryClient } from '@tanstack/vue-query'
import { api, body } from '@/shared/api/client'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import type { choreOf } from './chore'
import { tell } from './measures'

/** What an answer says of a chore goes into the plan, and comes out of it again. */
const props = defineProps<{ tank: number; chore: NonNullable<ReturnType<typeof choreOf>> }>()

const client = useQueryClient()
const { sending, trouble, send } = useSending()
const path = () => ({ tank: props.tank, kind: props.chore.kind })
const set = useMutation({
  mutationFn: (everyDays: number | undefined) =>
    body(api.PUT('/api/tanks/{tank}/chores/{kind}', { params: { path: path() }, body: { everyDays } })),
  onSuccess: () =>
    Promise.all([
      client.invalidateQueries({ queryKey: ['chores'] }),
      client.invalidateQueries({ queryKey: ['plan'] }),
      client.invalidateQueries({ queryKey: ['rounds'] }),
    ]),
})

async function plan() {
  const chores = await body(api.GET('/api/tanks/{tank}/chores', { params: { path: { tank: props.tank } } }))
  const before = chores.find((one) => one.kind === props.chore.kind)?.everyDays
  const done = await send(async () => {
    await set.mutateAsync(props.chore.everyDays)
    return true
  })
  if (done) offerUndo(texts.planned(props.chore.words), () => set.mutateAsync(before))
}
</script>

<template>
  <div>
    <el-button type="primary" :loading="sending" @click="plan">{{
      texts.planItEvery(tell('DAYS', chore.everyDays))
    }}</el-button>
    <p v-if="trouble" class="error" role="alert">{{ trouble }}</p>
  </div>
</template>
