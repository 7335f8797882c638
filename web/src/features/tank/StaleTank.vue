<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import ConflictNotice from '@/shared/components/ConflictNotice.vue'
import { say } from '@/shared/units'
import {
  animalWords,
  labelOf,
  BACTERIA,
  FEEDING,
  OPENING,
  SOCK,
  STOCKING,
  TAP,
  WATER,
  RINSE,
  THOROUGHNESS,
} from '@/shared/words'
import { fromTank, type TankForm } from './form'
import type { Tank } from './queries'

/** Someone else changed the tank meanwhile: both values, and the choice between them. */
const props = defineProps<{ mine: TankForm; current: Tank }>()
const emit = defineEmits<{ take: [tank: Tank]; keep: [tank: Tank] }>()

function told(tank: TankForm): Record<string, string> {
  return {
    [texts.tank]: tank.name,
    [texts.room]: tank.room || texts.none,
    [texts.volume]: say('VOLUME', Number(tank.netVolumeL)),
    [texts.establishedOn]: tank.establishedOn,
    [texts.water2]: labelOf(WATER, tank.setting.water),
    [texts.stocking2]: labelOf(STOCKING, tank.setting.stocking),
    [texts.animals]: animalWords(tank.setting.animals) || texts.noneThatAskFor,
    [texts.feeding2]: labelOf(FEEDING, tank.setting.feeding),
    [texts.tapWater]: labelOf(TAP, tank.setting.tapWater),
    [texts.bacteria]: labelOf(BACTERIA, tank.setting.bacteriaHome),
    [texts.canisters]: labelOf(OPENING, tank.schools.opening),
    [texts.socks]: labelOf(SOCK, tank.schools.sock),
    [texts.rinsedIn]: labelOf(RINSE, tank.schools.rinse),
    [texts.cleaning]: labelOf(THOROUGHNESS, tank.schools.thoroughness),
    [texts.flow]: tank.schools.measuresFlow === false ? texts.notAskedFor : texts.askedFor,
  }
}
const differences = computed(() => {
  const mine = told(props.mine)
  const theirs = told(fromTank(props.current))
  return Object.keys(mine)
    .filter((key) => mine[key] !== theirs[key])
    .map((key) => ({ key, mine: mine[key], theirs: theirs[key] }))
})
</script>

<template>
  <ConflictNotice :what="texts.thisTank" can-take @take="emit('take', current)" @keep="emit('keep', current)">
    <el-table :data="differences" row-key="key" :aria-label="texts.whatDiffers">
      <el-table-column :label="texts.field" prop="key" min-width="84" />
      <el-table-column :label="texts.yours" prop="mine" min-width="100" />
      <el-table-column :label="texts.savedNow2" prop="theirs" min-width="100" />
    </el-table>
  </ConflictNotice>
</template>
