<script setup lang="ts">
import { texts } from './texts'
import { ageWords } from '@/shared/dates'
import { say } from '@/shared/units'
import { animalWords, BACTERIA, FEEDING, labelOf, STOCKING, TAP, WATER } from '@/shared/words'
import type { TankInput } from './queries'

/** What a keeper must have in mind before touching the tank. */
defineProps<{ tank: TankInput }>()
</script>

<template>
  <dl class="flex flex-wrap gap-y-2px gap-x-24px mt-1 mb-3">
    <div class="flex gap-6px">
      <dt class="text-ink-quiet">{{ texts.water(labelOf(WATER, tank.setting.water)) }}</dt>
      <dd class="font-640">{{ say('VOLUME', tank.netVolumeL) }}</dd>
    </div>
    <div class="flex gap-6px">
      <dt class="text-ink-quiet">{{ texts.established }}</dt>
      <dd class="font-640">{{ ageWords(tank.establishedOn) }}</dd>
    </div>
    <div class="flex gap-6px">
      <dt class="text-ink-quiet">{{ texts.stocking }}</dt>
      <dd class="font-640">{{ labelOf(STOCKING, tank.setting.stocking).toLowerCase() }}</dd>
    </div>
    <div v-if="animalWords(tank.setting.animals)" class="flex gap-6px">
      <dt class="text-ink-quiet">{{ texts.homeOf }}</dt>
      <dd class="font-640">{{ animalWords(tank.setting.animals) }}</dd>
    </div>
    <div class="flex gap-6px">
      <dt class="text-ink-quiet">{{ texts.feeding }}</dt>
      <dd class="font-640">{{ labelOf(FEEDING, tank.setting.feeding).toLowerCase() }}</dd>
    </div>
    <div class="flex gap-6px">
      <dt class="text-ink-quiet">{{ texts.bacteriaLiveIn }}</dt>
      <dd class="font-640">{{ labelOf(BACTERIA, tank.setting.bacteriaHome).toLowerCase() }}</dd>
    </div>
    <div class="flex gap-6px">
      <dt class="text-ink-quiet">{{ texts.tapHolds }}</dt>
      <dd class="font-640">{{ labelOf(TAP, tank.setting.tapWater).toLowerCase() }}</dd>
    </div>
    <div v-if="tank.room" class="flex gap-6px">
      <dt class="text-ink-quiet">{{ texts.in }}</dt>
      <dd class="font-640">{{ tank.room }}</dd>
    </div>
  </dl>
</template>
