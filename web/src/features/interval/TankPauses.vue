<script setup lang="ts">
import { computed, reactive } from 'vue'
import DayField from '@/shared/components/DayField.vue'
import { shortDay, today } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import { useDropPause, useEndPause, usePauses, useSavePause, type Pause } from './queries'
import { newId } from '@/shared/ids'

/** When a filter stood still or its keeper was away: those days gather less dirt, so its dates wait. */
const props = defineProps<{ tank: number; filters: { id: number; name: string }[] }>()

const CAUSES = [
  { value: 'OFF', label: 'It’s off' },
  { value: 'AWAY', label: 'Little is fed' },
] as const
const SAID: Record<Pause['cause'], string> = { OFF: 'stood still', AWAY: 'little was fed' }
const ALL = 0

const pauses = usePauses(() => props.tank)
const save = useSavePause(() => props.tank)
const end = useEndPause()
const drop = useDropPause()
const { sending, errors, trouble, send } = useSending()

const blank = () => ({ cause: 'OFF' as Pause['cause'], filter: ALL, firstDay: today(), untilDay: '' })
const form = reactive(blank())
const listed = computed(() => (pauses.data.value ?? []).toReversed())
const nameOf = (pause: Pause) =>
  props.filters.find((filter) => filter.id === pause.filterId)?.name ?? 'All filters'

async function add() {
  const id = newId()
  const saved = await send(() =>
    save.mutateAsync({
      id,
      pause: {
        cause: form.cause,
        filterId: form.filter === ALL ? undefined : form.filter,
        firstDay: form.firstDay,
        untilDay: form.untilDay || undefined,
      },
    }),
  )
  if (!saved) return
  Object.assign(form, blank())
  offerUndo('Saved. The dates follow.', () => drop.mutateAsync(id))
}

async function remove(pause: Pause) {
  const removed = await send(async () => {
    await drop.mutateAsync(pause.id)
    return true
  })
  const { id, ...rest } = pause
  if (removed) offerUndo('Removed.', () => save.mutateAsync({ id, pause: rest }))
}
</script>

<template>
  <section aria-labelledby="pauses">
    <h2 id="pauses">Off or away</h2>
    <p v-if="pauses.isError.value" role="alert">The pauses could not be loaded.</p>
    <ul v-if="listed.length">
      <li
        v-for="pause in listed"
        :key="pause.id"
        class="flex flex-wrap gap-2 items-center min-h-touch edge-b-hair"
      >
        <span class="flex-[1_1_200px]">
          <b>{{ nameOf(pause) }}</b>: {{ SAID[pause.cause] }} from {{ shortDay(pause.firstDay) }}
          <template v-if="pause.untilDay">until {{ shortDay(pause.untilDay) }}</template>
          <template v-else>on</template>
        </span>
        <el-button
          v-if="!pause.untilDay && pause.firstDay < today()"
          :disabled="sending"
          @click="send(() => end.mutateAsync({ id: pause.id, untilDay: today() }))"
          >As usual from today</el-button
        >
        <el-button text :disabled="sending" @click="remove(pause)">Take out</el-button>
      </li>
    </ul>
    <details>
      <summary class="min-h-touch content-center text-herb font-600 cursor-pointer">
        Add a time off or away
      </summary>
      <form class="grid gap-12px justify-items-start mt-2 mb-16px" novalidate @submit.prevent="add">
        <el-radio-group v-model="form.cause" size="large" aria-label="What happens">
          <el-radio-button v-for="one in CAUSES" :key="one.value" :value="one.value">{{
            one.label
          }}</el-radio-button>
        </el-radio-group>
        <el-radio-group
          v-if="filters.length > 1"
          v-model="form.filter"
          size="large"
          aria-label="Which filter"
        >
          <el-radio-button :value="ALL">All filters</el-radio-button>
          <el-radio-button v-for="filter in filters" :key="filter.id" :value="filter.id">{{
            filter.name
          }}</el-radio-button>
        </el-radio-group>
        <DayField v-model="form.firstDay" label="From" name="firstDay" :error="errors.firstDay" />
        <DayField
          v-model="form.untilDay"
          label="As usual again from"
          name="untilDay"
          hint="Leave blank if you don’t know yet."
          :error="errors.untilDay"
        />
        <p v-if="form.cause === 'OFF'" class="small quiet">
          Wet media goes foul after about four hours without flow. Rinse it in tank water before the filter
          runs again, then test ammonia on days 1 and 3.
        </p>
        <p v-if="trouble && !Object.keys(errors).length" role="alert">{{ trouble }}</p>
        <el-button native-type="submit" type="primary" :disabled="sending">Keep</el-button>
      </form>
    </details>
  </section>
</template>
