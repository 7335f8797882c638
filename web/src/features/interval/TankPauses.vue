<script setup lang="ts">
import { texts } from './texts'
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
  { value: 'OFF', label: texts.itsOff },
  { value: 'AWAY', label: texts.littleIsFed },
] as const
const SAID: Record<Pause['cause'], string> = { OFF: texts.stoodStill, AWAY: texts.littleWasFed }
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
  props.filters.find((filter) => filter.id === pause.filterId)?.name ?? texts.allFilters

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
  offerUndo(texts.savedTheDatesFollow, () => drop.mutateAsync(id))
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
    <h2 id="pauses">{{ texts.offOrAway }}</h2>
    <p v-if="pauses.isError.value" role="alert">{{ texts.thePausesCouldNot }}</p>
    <ul v-if="listed.length">
      <li
        v-for="pause in listed"
        :key="pause.id"
        class="flex flex-wrap gap-2 items-center min-h-touch edge-b-hair"
      >
        <span class="flex-[1_1_200px]">
          <b>{{ nameOf(pause) }}</b>{{ texts.from(SAID[pause.cause], shortDay(pause.firstDay)) }}
          <template v-if="pause.untilDay">{{ texts.until(shortDay(pause.untilDay)) }}</template>
          <template v-else>{{ texts.on }}</template>
        </span>
        <el-button
          v-if="!pause.untilDay && pause.firstDay < today()"
          :disabled="sending"
          @click="send(() => end.mutateAsync({ id: pause.id, untilDay: today() }))"
          >{{ texts.asUsualFromToday }}</el-button
        >
        <el-button text :disabled="sending" @click="remove(pause)">{{ texts.takeOut }}</el-button>
      </li>
    </ul>
    <details>
      <summary class="min-h-touch content-center text-herb font-600 cursor-pointer">
        {{ texts.addATimeOff }}
      </summary>
      <form class="grid gap-12px justify-items-start mt-2 mb-16px" novalidate @submit.prevent="add">
        <el-radio-group v-model="form.cause" size="large" :aria-label="texts.whatHappens">
          <el-radio-button v-for="one in CAUSES" :key="one.value" :value="one.value">{{
            one.label
          }}</el-radio-button>
        </el-radio-group>
        <el-radio-group
          v-if="filters.length > 1"
          v-model="form.filter"
          size="large"
          :aria-label="texts.whichFilter"
        >
          <el-radio-button :value="ALL">{{ texts.allFilters }}</el-radio-button>
          <el-radio-button v-for="filter in filters" :key="filter.id" :value="filter.id">{{
            filter.name
          }}</el-radio-button>
        </el-radio-group>
        <DayField v-model="form.firstDay" :label="texts.from2" name="firstDay" :error="errors.firstDay" />
        <DayField
          v-model="form.untilDay"
          :label="texts.asUsualAgainFrom"
          name="untilDay"
          :hint="texts.leaveBlankIfYou"
          :error="errors.untilDay"
        />
        <p v-if="form.cause === 'OFF'" class="small quiet">
          {{ texts.wetMediaGoesFoul }}
        </p>
        <p v-if="trouble && !Object.keys(errors).length" role="alert">{{ trouble }}</p>
        <el-button native-type="submit" type="primary" :disabled="sending">{{ texts.keep }}</el-button>
      </form>
    </details>
  </section>
</template>
