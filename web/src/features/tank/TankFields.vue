<script setup lang="ts">
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import DayField from '@/shared/components/DayField.vue'
import MeasureField from '@/shared/components/MeasureField.vue'
import TextField from '@/shared/components/TextField.vue'
import { today } from '@/shared/dates'
import {
  BACTERIA,
  FEEDING,
  OPENING,
  RINSE,
  RUNNING,
  SOCK,
  STOCKING,
  TAP,
  THOROUGHNESS,
  WATER,
} from '@/shared/words'
import type { TankForm } from './form'
import AnimalPicks from './AnimalPicks.vue'
import RinseFields from './RinseFields.vue'

/** The fields of a tank, what changes its plan first. */
defineProps<{ errors: Record<string, string>; rooms: string[]; existing?: boolean }>()
const form = defineModel<TankForm>({ required: true })
const now = today()
</script>

<template>
  <div class="grid gap-4">
    <div class="pair">
      <TextField v-model="form.name" label="Tank" name="name" hint="What you call it" :error="errors.name" />
      <MeasureField
        v-model="form.netVolumeL"
        label="Net volume"
        name="netVolumeL"
        quantity="VOLUME"
        :error="errors.netVolumeL"
      />
      <TextField
        v-model="form.room"
        label="Room"
        name="room"
        hint="Tanks in one room are done together"
        :suggestions="rooms"
        :error="errors.room"
      />
      <DayField
        v-if="existing"
        v-model="form.establishedOn"
        label="Established on"
        name="establishedOn"
        :max="now"
        :error="errors.establishedOn"
      />
    </div>
    <ChoiceRow
      v-if="!existing"
      v-model="form.running"
      legend="How long has it been running?"
      name="running"
      :choices="RUNNING"
      :error="errors.running"
    />
    <DayField
      v-if="!existing && form.running === 'DAY'"
      v-model="form.establishedOn"
      label="Since"
      name="establishedOn"
      :max="now"
      :error="errors.establishedOn"
    />
    <ChoiceRow v-model="form.setting.water" legend="Water" name="setting.water" :choices="WATER" />
    <div class="pair wide">
      <ChoiceRow
        v-model="form.setting.stocking"
        legend="Stocking"
        name="setting.stocking"
        :choices="STOCKING"
      />
      <ChoiceRow v-model="form.setting.feeding" legend="Feeding" name="setting.feeding" :choices="FEEDING" />
    </div>
    <AnimalPicks v-model="form" />
    <div class="pair wide">
      <ChoiceRow
        v-model="form.setting.tapWater"
        legend="Your tap water holds"
        name="setting.tapWater"
        :choices="TAP"
      />
      <ChoiceRow
        v-model="form.setting.bacteriaHome"
        legend="Its bacteria live in"
        name="setting.bacteriaHome"
        :choices="BACTERIA"
      />
    </div>
    <div class="pair wide">
      <ChoiceRow
        v-model="form.schools.opening"
        legend="Canisters are opened"
        name="schools.opening"
        :choices="OPENING"
      />
      <ChoiceRow
        v-model="form.schools.sock"
        legend="Socks are kept for"
        name="schools.sock"
        :choices="SOCK"
      />
    </div>
    <div class="pair wide">
      <ChoiceRow
        v-model="form.schools.rinse"
        legend="Media is rinsed in"
        name="schools.rinse"
        :choices="RINSE"
      />
      <ChoiceRow
        v-model="form.schools.thoroughness"
        legend="A service is"
        name="schools.thoroughness"
        :choices="THOROUGHNESS"
      />
    </div>
    <RinseFields v-model="form" :errors="errors" />
    <el-checkbox v-model="form.schools.measuresFlow">Ask for the flow before and after a service</el-checkbox>
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: var(--gap-3) var(--gap-4);
}

.wide {
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
}

@media (width <= 640px) {
  .wide {
    grid-template-columns: 1fr;
  }
}
</style>
