<script setup lang="ts">
import { texts } from './texts'
import { useMutation, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useSession } from '@/features/account'
import { api, body, type Schemas } from '@/shared/api/client'
import { today } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import { tell } from './measures'
import type { Known } from './prefill'
import type { Answer } from './queries'
import { newId } from '@/shared/ids'

/** A flow that was caught becomes a reading of its filter; right after a service it is what clean means from now on. */
const props = defineProps<{ tank: number; known: Known; answer: Answer }>()

const client = useQueryClient()
const session = useSession()
const { sending, trouble, send } = useSending()
const lph = computed(() => Number(props.answer.values.lph))
const filter = computed(() => props.known.filter)
const servedToday = computed(() =>
  (props.known.services ?? []).some(
    (service) =>
      service.doneOn === today() && service.tasks.some((task) => task.filterId === filter.value?.id),
  ),
)
const stale = () =>
  Promise.all([
    client.invalidateQueries({ queryKey: ['services'] }),
    client.invalidateQueries({ queryKey: ['forecasts'] }),
  ])
const log = useMutation({
  mutationFn: ({ id, service }: { id: string; service: Schemas['ServiceInput'] }) =>
    body(api.PUT('/api/services/{service}', { params: { path: { service: id } }, body: service })),
  onSuccess: stale,
})
const withdraw = useMutation({
  mutationFn: (id: string) =>
    body(api.DELETE('/api/services/{service}', { params: { path: { service: id } } })),
  onSuccess: stale,
})

async function keepFlow(when: 'before' | 'after') {
  const id = newId()
  const reading = { litresPerHour: lph.value }
  const service = {
    tankId: props.tank,
    doneOn: today(),
    doneBy: session.data.value?.name ?? '',
    note: '',
    tasks: [],
    flows: [{ filterId: filter.value?.id ?? 0, [when]: reading }],
  }
  if (await send(() => log.mutateAsync({ id, service }))) {
    offerUndo(texts.flowOfKept(filter.value?.name ?? ''), () => withdraw.mutateAsync(id))
  }
}
</script>

<template>
  <div v-if="filter">
    <p>
      {{
        texts.keepFor(tell('LITRES_PER_HOUR', lph), filter.name, servedToday ? texts.itWasServedToday : '')
      }}
    </p>
    <el-button v-if="servedToday" type="primary" :loading="sending" @click="keepFlow('after')">{{
      texts.keepAsTheClean
    }}</el-button>
    <el-button :type="servedToday ? 'default' : 'primary'" :loading="sending" @click="keepFlow('before')">{{
      texts.keepAsAReading
    }}</el-button>
    <p v-if="trouble" class="error" role="alert">{{ trouble }}</p>
  </div>
</template>
