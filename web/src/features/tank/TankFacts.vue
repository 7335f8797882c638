<script setup lang="ts">
import { ageWords } from '@/shared/dates'
import { say } from '@/shared/units'
import { animalWords, BACTERIA, FEEDING, labelOf, STOCKING, TAP, WATER } from '@/shared/words'
import type { TankInput } from './queries'

/** What a keeper must have in mind before touching the tank. */
defineProps<{ tank: TankInput }>()
</script>

<template>
  <dl>
    <div>
      <dt>{{ labelOf(WATER, tank.setting.water) }} water</dt>
      <dd>{{ say('VOLUME', tank.netVolumeL) }}</dd>
    </div>
    <div>
      <dt>established</dt>
      <dd>{{ ageWords(tank.establishedOn) }}</dd>
    </div>
    <div>
      <dt>stocking</dt>
      <dd>{{ labelOf(STOCKING, tank.setting.stocking).toLowerCase() }}</dd>
    </div>
    <div v-if="animalWords(tank.setting.animals)">
      <dt>home of</dt>
      <dd>{{ animalWords(tank.setting.animals) }}</dd>
    </div>
    <div>
      <dt>feeding</dt>
      <dd>{{ labelOf(FEEDING, tank.setting.feeding).toLowerCase() }}</dd>
    </div>
    <div>
      <dt>bacteria live in</dt>
      <dd>{{ labelOf(BACTERIA, tank.setting.bacteriaHome).toLowerCase() }}</dd>
    </div>
    <div>
      <dt>tap holds</dt>
      <dd>{{ labelOf(TAP, tank.setting.tapWater).toLowerCase() }}</dd>
    </div>
    <div v-if="tank.room">
      <dt>in</dt>
      <dd>{{ tank.room }}</dd>
    </div>
  </dl>
</template>

<style scoped>
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 24px;
  margin: 4px 0 14px;
}

div {
  display: flex;
  gap: 6px;
}

dt {
  color: var(--ink-quiet);
}

dd {
  font-weight: 640;
}
</style>
