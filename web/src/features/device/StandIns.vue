<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import { useSending } from '@/shared/form'
import { useStandIns, useWorkStandIns } from './queries'

/** In the demo: puts its devices out of order by hand. Nothing elsewhere. */
type Mishap = NonNullable<Schemas['StandInDeed']['mishap']>
const MISHAPS: { mishap: Mishap; label: string }[] = [
  { mishap: 'UNPLUGGED', label: 'The filter is unplugged' },
  { mishap: 'DRY', label: 'The pump moves air' },
  { mishap: 'KINKED', label: 'A hose is kinked' },
  { mishap: 'LEAK', label: 'There is water under the stand' },
  { mishap: 'COLD', label: 'The heater was left off' },
  { mishap: 'SILENT', label: 'The probe is silent' },
]
const DAYS = 10
const SPEEDS = [
  { value: 1, label: 'As it does' },
  { value: 60, label: 'An hour of it a minute' },
  { value: 1440, label: 'A day of it a minute' },
]

const standIns = useStandIns()
const work = useWorkStandIns()
const { trouble, send } = useSending()
</script>

<template>
  <section v-if="standIns.data.value?.present" class="stand-ins grid gap-12px justify-items-start">
    <h2>By hand, in this demo</h2>
    <p class="quiet">These devices are not there. Put them out of order and see what Chervil says.</p>
    <ul>
      <li v-for="one in MISHAPS" :key="one.mishap" class="flex gap-10px items-center min-h-44px">
        <el-switch
          :id="`mishap-${one.mishap}`"
          :model-value="standIns.data.value.amiss.includes(one.mishap)"
          @update:model-value="
            (on: string | number | boolean) =>
              send(() => work.mutateAsync({ mishap: one.mishap, on: on === true }))
          "
        />
        <label :for="`mishap-${one.mishap}`">{{ one.label }}</label>
      </li>
    </ul>
    <el-button @click="send(() => work.mutateAsync({ days: DAYS }))">
      Let {{ DAYS }} days of dirt into the foam
    </el-button>
    <ChoiceRow
      :model-value="standIns.data.value.speed"
      legend="How fast dirt comes"
      name="speed"
      :choices="SPEEDS"
      @update:model-value="(speed: number) => send(() => work.mutateAsync({ speed }))"
    />
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
  </section>
</template>
