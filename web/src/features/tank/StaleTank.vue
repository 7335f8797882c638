<script setup lang="ts">
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
    Tank: tank.name,
    Room: tank.room || 'none',
    Volume: say('VOLUME', Number(tank.netVolumeL)),
    'Established on': tank.establishedOn,
    Water: labelOf(WATER, tank.setting.water),
    Stocking: labelOf(STOCKING, tank.setting.stocking),
    Animals: animalWords(tank.setting.animals) || 'none that ask for more',
    Feeding: labelOf(FEEDING, tank.setting.feeding),
    'Tap water': labelOf(TAP, tank.setting.tapWater),
    Bacteria: labelOf(BACTERIA, tank.setting.bacteriaHome),
    Canisters: labelOf(OPENING, tank.schools.opening),
    Socks: labelOf(SOCK, tank.schools.sock),
    'Rinsed in': labelOf(RINSE, tank.schools.rinse),
    Cleaning: labelOf(THOROUGHNESS, tank.schools.thoroughness),
    Flow: tank.schools.measuresFlow === false ? 'not asked for' : 'asked for',
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
  <ConflictNotice what="this tank" can-take @take="emit('take', current)" @keep="emit('keep', current)">
    <el-table :data="differences" row-key="key" aria-label="What differs">
      <el-table-column label="Field" prop="key" min-width="84" />
      <el-table-column label="Yours" prop="mine" min-width="100" />
      <el-table-column label="Saved now" prop="theirs" min-width="100" />
    </el-table>
  </ConflictNotice>
</template>
