<script setup lang="ts">
import { texts } from './texts'
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
      <TextField
        v-model="form.name"
        :label="texts.tank"
        name="name"
        :hint="texts.whatYouCallIt"
        :error="errors.name"
      />
      <MeasureField
        v-model="form.netVolumeL"
        :label="texts.netVolume"
        name="netVolumeL"
        quantity="VOLUME"
        :error="errors.netVolumeL"
      />
      <TextField
        v-model="form.room"
        :label="texts.room"
        name="room"
        :hint="texts.tanksInOneRoom"
        :suggestions="rooms"
        :error="errors.room"
      />
      <DayField
        v-if="existing"
        v-model="form.establishedOn"
        :label="texts.establishedOn"
        name="establishedOn"
        :max="now"
        :error="errors.establishedOn"
      />
    </div>
    <ChoiceRow
      v-if="!existing"
      v-model="form.running"
      :legend="texts.howLongHasIt"
      name="running"
      :choices="RUNNING"
      :error="errors.running"
    />
    <DayField
      v-if="!existing && form.running === 'DAY'"
      v-model="form.establishedOn"
      :label="texts.since"
      name="establishedOn"
      :max="now"
      :error="errors.establishedOn"
    />
    <ChoiceRow v-model="form.setting.water" :legend="texts.water2" name="setting.water" :choices="WATER" />
    <div class="pair wide">
      <ChoiceRow
        v-model="form.setting.stocking"
        :legend="texts.stocking2"
        name="setting.stocking"
        :choices="STOCKING"
      />
      <ChoiceRow
        v-model="form.setting.feeding"
        :legend="texts.feeding2"
        name="setting.feeding"
        :choices="FEEDING"
      />
    </div>
    <AnimalPicks v-model="form" />
    <div class="pair wide">
      <ChoiceRow
        v-model="form.setting.tapWater"
        :legend="texts.yourTapWaterHolds"
        name="setting.tapWater"
        :choices="TAP"
      />
      <ChoiceRow
        v-model="form.setting.bacteriaHome"
        :legend="texts.itsBacteriaLiveIn"
        name="setting.bacteriaHome"
        :choices="BACTERIA"
      />
    </div>
    <div class="pair wide">
      <ChoiceRow
        v-model="form.schools.opening"
        :legend="texts.canistersAreOpened"
        name="schools.opening"
        :choices="OPENING"
      />
      <ChoiceRow
        v-model="form.schools.sock"
        :legend="texts.socksAreKeptFor"
        name="schools.sock"
        :choices="SOCK"
      />
    </div>
    <div class="pair wide">
      <ChoiceRow
        v-model="form.schools.rinse"
        :legend="texts.mediaIsRinsedIn"
        name="schools.rinse"
        :choices="RINSE"
      />
      <ChoiceRow
        v-model="form.schools.thoroughness"
        :legend="texts.aServiceIs"
        name="schools.thoroughness"
        :choices="THOROUGHNESS"
      />
    </div>
    <RinseFields v-model="form" :errors="errors" />
    <el-checkbox v-model="form.schools.measuresFlow">{{ texts.askForTheFlow }}</el-checkbox>
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
