<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { ANIMALS } from '@/shared/words'
import type { TankForm } from './form'

/** Animals that ask for other cautions, another flow or a guarded intake than most fish do. */
const form = defineModel<TankForm>({ required: true })

/** What they eat and foul counts like too many fish; whoever knows better sets it back. */
const raised = ref(false)
const picked = computed({
  get: () => form.value.setting.animals ?? [],
  set(animals) {
    const turtles = animals.includes('TURTLES') && !form.value.setting.animals?.includes('TURTLES')
    raised.value = turtles && form.value.setting.stocking !== 'OVER'
    form.value.setting.animals = animals
    if (raised.value) form.value.setting.stocking = 'OVER'
  },
})
</script>

<template>
  <div data-field="setting.animals">
    <p id="animals" class="font-600">{{ texts.doAnyOfThese }}</p>
    <el-checkbox-group v-model="picked" aria-labelledby="animals">
      <el-checkbox v-for="choice in ANIMALS" :key="choice.value" :value="choice.value">
        {{ choice.label }}
      </el-checkbox>
    </el-checkbox-group>
    <p v-if="raised" class="small quiet" role="status">
      {{ texts.stockingIsSetTo }}
    </p>
  </div>
</template>
