<script setup lang="ts">
import MeasureField from '@/shared/components/MeasureField.vue'
import NumberField from '@/shared/components/NumberField.vue'
import { say } from '@/shared/units'
import type { TankForm } from './form'

/** What a keeper draws rinse water with, and how much the tank can give. */
defineProps<{ errors: Record<string, string> }>()
const form = defineModel<TankForm>({ required: true })

const USUAL_BUCKET_L = 8
</script>

<template>
  <div class="grid cols-[repeat(auto-fit,minmax(180px,1fr))] gap-y-3 gap-x-4">
    <MeasureField
      v-model="form.bucketL"
      label="Your bucket"
      name="setting.bucketL"
      quantity="VOLUME"
      :hint="`Two thirds of it are used. Leave blank for ${say('VOLUME', USUAL_BUCKET_L)}`"
      :error="errors['setting.bucketL']"
    />
    <NumberField
      v-model="form.drawPercent"
      label="Most to draw for rinsing"
      name="setting.drawShare"
      unit="% of the tank"
      hint="Leave blank for 25 %"
      :error="errors['setting.drawShare']"
    />
  </div>
</template>
