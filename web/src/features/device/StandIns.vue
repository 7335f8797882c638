<script setup lang="ts">
import { texts } from './texts'
import type { Schemas } from '@/shared/api/client'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import { useSending } from '@/shared/form'
import { useStandIns, useWorkStandIns } from './queries'

/** In the demo: puts its devices out of order by hand. Nothing elsewhere. */
type Mishap = NonNullable<Schemas['StandInDeed']['mishap']>
const MISHAPS: { mishap: Mishap; label: string }[] = [
  { mishap: 'UNPLUGGED', label: texts.theFilterIsUnplugged },
  { mishap: 'DRY', label: texts.thePumpMovesAir },
  { mishap: 'KINKED', label: texts.aHoseIsKinked },
  { mishap: 'LEAK', label: texts.thereIsWaterUnder },
  { mishap: 'COLD', label: texts.theHeaterWasLeft },
  { mishap: 'SILENT', label: texts.theProbeIsSilent },
]
const DAYS = 10
const SPEEDS = [
  { value: 1, label: texts.asItDoes },
  { value: 60, label: texts.anHourOfIt },
  { value: 1440, label: texts.aDayOfIt },
]

const standIns = useStandIns()
const work = useWorkStandIns()
const { trouble, send } = useSending()
</script>

<template>
  <section v-if="standIns.data.value?.present" class="stand-ins grid gap-12px justify-items-start">
    <h2>{{ texts.byHandInThis }}</h2>
    <p class="quiet">{{ texts.theseDevicesAreNot }}</p>
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
      {{ texts.letDaysOfDirt(DAYS) }}
    </el-button>
    <ChoiceRow
      :model-value="standIns.data.value.speed"
      :legend="texts.howFastDirtComes"
      name="speed"
      :choices="SPEEDS"
      @update:model-value="(speed: number) => send(() => work.mutateAsync({ speed }))"
    />
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
  </section>
</template>
